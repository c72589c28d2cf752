import type { Id } from "../../basics";
import type { Rect } from "../../layout";
import { resolveTokens, valuesIn } from "../../looks";
import { BASE, ROOT, set } from "../../project";
import type { Change, Condition, Layer, Op, Piece, Project, Variant } from "../../project";
import { defaultsOf, hundredths, mapFour, property } from "../../properties";
import type { AwayPose, Four, Shadow, SpecifiedValue } from "../../properties";
import { editWords } from "../words";
import { subtree, topmost } from "./layers";
import { setValues } from "./looks";

/** Lengths in px that grow with a layer. Outlines, gradients and pictures are shares of its box. */
const lengths: ReadonlySet<string> = new Set([
  "width",
  "height",
  "minWidth",
  "minHeight",
  "maxWidth",
  "maxHeight",
  "touch",
  "gap",
  "scrolledBy",
  "rounding",
  "blur",
  "borderWidth",
  "size",
  "spacing",
]);
const corners: ReadonlySet<string> = new Set(["radius", "padding"]);
/** A radius or a limit of this length stands for "as far as it goes"; px. */
const ENDLESS = 10_000;

const longer = (n: number, by: number): number => (n >= ENDLESS ? n : hundredths(n * by));

const isShadows = (value: unknown): value is readonly Shadow[] => Array.isArray(value);

const scaledShadow = (s: Shadow, by: number): Shadow => ({
  ...s,
  x: longer(s.x, by),
  y: longer(s.y, by),
  blur: longer(s.blur, by),
  spread: longer(s.spread, by),
});

const isFour = (value: unknown): value is Four =>
  Array.isArray(value) && value.length === 4 && value.every((n) => typeof n === "number");

const isPose = (value: unknown): value is AwayPose =>
  typeof value === "object" && value !== null && "opacity" in value && "rotation" in value;

/** A value made so many times as large; undefined where it has no length. */
const scaledValue = (key: string, value: unknown, by: number): SpecifiedValue | undefined => {
  if (lengths.has(key)) return typeof value === "number" ? longer(value, by) : undefined;
  if (corners.has(key) && isFour(value)) return mapFour(value, (n) => longer(n, by));
  if (key === "shadow" && isShadows(value)) return value.map((s) => scaledShadow(s, by));
  if (!isPose(value)) return undefined;
  return {
    ...value,
    x: longer(value.x, by),
    y: longer(value.y, by),
    blur: longer(value.blur, by),
  };
};

/** How layers are scaled. */
export interface Scaling {
  /** how many times as large they become */
  readonly by: number;
  /** the corner that stays where it is, in what the layers lie in; px */
  readonly corner: { readonly x: number; readonly y: number };
  /** where copies lie and how large they are shown; px */
  readonly boxes: ReadonlyMap<Id, Rect>;
}

/** Where a layer's own place goes: outermost layers keep their way from the corner that stays. */
const scaledPlace = (value: unknown, from: number, by: number): number | undefined =>
  typeof value === "number" ? hundredths(from + (value - from) * by) : undefined;

/** A copy is shown so many times as large, whatever is in it. */
const scaledCopy = (box: Rect, by: number): Record<string, SpecifiedValue> => ({
  width: longer(box.width, by),
  height: longer(box.height, by),
  widthMode: "fixed",
  heightMode: "fixed",
  resizing: "scale",
});

const scaledAll = (
  layer: Layer,
  values: Readonly<Record<string, unknown>>,
  scaling: Scaling,
  isOuter: boolean,
): Record<string, SpecifiedValue> => {
  const { by } = scaling;
  const corner = isOuter ? scaling.corner : { x: 0, y: 0 };
  const out: Record<string, SpecifiedValue> = {};
  for (const [key, value] of Object.entries(values)) {
    const place = key === "x" || key === "y" ? scaledPlace(value, corner[key], by) : undefined;
    const next = place ?? scaledValue(key, value, by);
    if (next !== undefined && property(key)?.kinds.includes(layer.kind)) out[key] = next;
  }
  return out;
};

/** What the base look leaves to the defaults, as far as those have a length. */
const defaultsFor = (layer: Layer): Readonly<Record<string, unknown>> => {
  const all = defaultsOf(layer.kind);
  const { size, borderWidth } = all;
  const own = layer.kind === "text" ? { size } : {};
  return layer.kind === "line" ? { ...own, borderWidth } : own;
};

const isCopy = (layer: Layer): boolean => layer.kind === "instance";

/**
 * Makes layers with all that lies in them so many times as large, in every variant: sizes, places,
 * corners, borders, shadows, blur, text, gaps and paddings. What was bound to a token keeps its
 * scaled value. Copies become scaled ones, as large as shown.
 */
export const scaleLayers = (
  project: Project,
  piece: Piece,
  ids: readonly Id[],
  scaling: Scaling,
): Change => {
  const whole = ids.includes(ROOT);
  const tops = whole ? [ROOT] : topmost(piece, ids);
  const at = ["pieces", piece.id, "looks"];
  const ops: Op[] = [];
  for (const top of tops)
    for (const id of subtree(piece, top)) {
      const layer = piece.layers[id];
      if (!layer) continue;
      for (const look of Object.values(piece.looks)) {
        const said = look.changes[id];
        const isBase = look.id === BASE;
        if (!said && !isBase) continue;
        const values = resolveTokens(project, said ?? {});
        const known = isBase ? { ...defaultsFor(layer), ...values } : values;
        const box = isBase && isCopy(layer) ? scaling.boxes.get(id) : undefined;
        const next = {
          ...scaledAll(layer, known, scaling, id === top && !whole),
          ...(box ? scaledCopy(box, scaling.by) : {}),
        };
        if (Object.keys(next).length)
          ops.push(set([...at, look.id, "changes", id], { ...said, ...next }));
      }
    }
  return { label: editWords.scale(Math.round(scaling.by * 100)), ops };
};

/** The same in a scope: as the layers are in a variant, so many times as large. */
export const scaleLayersIn = (
  project: Project,
  piece: Piece,
  ids: readonly Id[],
  scaling: Scaling,
  where: { readonly variant: Variant; readonly whens: readonly Condition[] },
): Change | null => {
  const whole = ids.includes(ROOT);
  const tops = whole ? [ROOT] : topmost(piece, ids);
  const edits: Record<Id, Record<string, SpecifiedValue>> = {};
  for (const top of tops)
    for (const id of subtree(piece, top)) {
      const layer = piece.layers[id];
      if (!layer) continue;
      const v: Readonly<Record<string, unknown>> = valuesIn(project, piece, where.variant, layer);
      const box = isCopy(layer) ? scaling.boxes.get(id) : undefined;
      const scaled = {
        ...scaledAll(layer, v, scaling, id === top && !whole),
        ...(box ? scaledCopy(box, scaling.by) : {}),
      };
      const changed = Object.entries(scaled).filter(
        ([key, next]) => JSON.stringify(next) !== JSON.stringify(v[key]),
      );
      if (changed.length) edits[id] = Object.fromEntries(changed);
    }
  const change = setValues(piece, where.whens, edits);
  return change && { ...change, label: editWords.scale(Math.round(scaling.by * 100)) };
};
