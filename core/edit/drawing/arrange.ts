import { present } from "../../basics";
import type { Id } from "../../basics";
import { unite } from "../../layout";
import type { Rect } from "../../layout";
import { childrenOf } from "../../looks";
import { BASE, ROOT, byOrder, newId, orderAt, remove, set } from "../../project";
import type { Change, Layer, LayerChanges, Op, Piece } from "../../project";
import type { Four, Value } from "../../properties";
import { freeName } from "../pieces";
import { removeLayers, shift, topmost } from "./layers";
import { editWords } from "../words";

/** How far each layer has to move to line up; x and y are ways, px. */
export type Moves = ReadonlyMap<Id, { readonly dx: number; readonly dy: number }>;
export type Alignment = "left" | "centre" | "right" | "top" | "middle" | "bottom";

/** How far a box has to move to lie at one side or in the middle of a frame. */
const wayTo = (how: Alignment, box: Rect, frame: Rect): { dx: number; dy: number } => {
  const dx = frame.x - box.x;
  const dy = frame.y - box.y;
  switch (how) {
    case "left":
      return { dx, dy: 0 };
    case "centre":
      return { dx: dx + frame.width / 2 - box.width / 2, dy: 0 };
    case "right":
      return { dx: dx + frame.width - box.width, dy: 0 };
    case "top":
      return { dx: 0, dy };
    case "middle":
      return { dx: 0, dy: dy + frame.height / 2 - box.height / 2 };
    case "bottom":
      return { dx: 0, dy: dy + frame.height - box.height };
  }
};

/** Lines boxes up with one another, or one alone with the box around it. */
export const align = (boxes: ReadonlyMap<Id, Rect>, how: Alignment, around: Rect | null): Moves => {
  const frame = boxes.size === 1 ? around : unite([...boxes.values()]);
  const out = new Map<Id, { dx: number; dy: number }>();
  if (!frame) return out;
  for (const [id, box] of boxes) out.set(id, wayTo(how, box, frame));
  return out;
};

/** Gives boxes equal gaps between the outermost two; fewer than three stay. */
export const distribute = (boxes: ReadonlyMap<Id, Rect>, axis: "x" | "y"): Moves => {
  const size = (r: Rect) => (axis === "x" ? r.width : r.height);
  const at = (r: Rect) => r[axis];
  const list = [...boxes].sort((a, b) => at(a[1]) - at(b[1]));
  const out = new Map<Id, { dx: number; dy: number }>();
  const first = list[0]?.[1];
  const last = list.at(-1)?.[1];
  if (!first || !last || list.length < 3) return out;
  const gap =
    (at(last) + size(last) - at(first) - list.reduce((sum, [, r]) => sum + size(r), 0)) /
    (list.length - 1);
  let next = at(first);
  for (const [id, r] of list) {
    const by = next - at(r);
    out.set(id, axis === "x" ? { dx: by, dy: 0 } : { dx: 0, dy: by });
    next += size(r) + gap;
  }
  return out;
};

/** Layers that share one parent, in their order from back to front; null when they do not. */
const together = (piece: Piece, ids: readonly Id[]): { parent: Id; layers: Layer[] } | null => {
  const layers = topmost(piece, ids)
    .map((id) => present(piece.layers[id]))
    .sort(byOrder);
  const parent = layers[0]?.parent;
  return parent != null && layers.every((l) => l.parent === parent) ? { parent, layers } : null;
};

export interface Grouped {
  readonly change: Change;
  readonly id: Id;
}

type Container = "group" | "compound" | "row" | "column";

const containerNames: Readonly<Record<Container, string>> = {
  group: editWords.group,
  compound: editWords.compound,
  row: editWords.row,
  column: editWords.column,
};

/**
 * Layers in the order they stand in along an axis, and the mean gap between them; 8 px for one
 * alone.
 */
const alongAxis = (
  layers: readonly Layer[],
  boxes: ReadonlyMap<Id, Rect>,
  axis: "x" | "y",
): { sorted: Layer[]; gap: number } => {
  const at = (layer: Layer): number => boxes.get(layer.id)?.[axis] ?? 0;
  const sorted = [...layers].sort((a, b) => at(a) - at(b));
  const side = axis === "x" ? "width" : "height";
  const gaps = sorted.slice(1).map((layer, i) => {
    const before = boxes.get(present(sorted[i]).id);
    const box = boxes.get(layer.id);
    return before && box ? box[axis] - before[axis] - before[side] : 0;
  });
  if (gaps.length === 0) return { sorted, gap: 8 };
  const mean = gaps.reduce((a, b) => a + b, 0) / gaps.length;
  return { sorted, gap: Math.max(0, Math.round(mean)) };
};

const containerValues = (how: Container, frame: Rect, gap: number): Record<string, Value> => {
  const size: Record<string, Value> =
    how === "compound"
      ? { width: frame.width, height: frame.height }
      : { widthMode: "fit", heightMode: "fit" };
  const arranged: Record<string, Value> =
    how === "row" || how === "column"
      ? { arrange: how, gap, align: "centre", padding: [0, 0, 0, 0] satisfies Four }
      : {};
  return { x: frame.x, y: frame.y, ...size, ...arranged };
};

const paintKeys = [
  "fill",
  "borderColour",
  "borderWidth",
  "borderAt",
  "borderStyle",
  "shadow",
  "opacity",
  "blend",
] as const;

const paintIn = (changes: LayerChanges): LayerChanges =>
  Object.fromEntries(
    paintKeys.flatMap((key) => {
      const value = changes[key];
      return value === undefined ? [] : [[key, value] as const];
    }),
  );

/** What looks other than the base one say of how a layer is painted, said of another. */
const paintOnto = (piece: Piece, from: Id, to: Id): Op[] =>
  Object.values(piece.looks).flatMap((look) => {
    const paint = paintIn(look.changes[from] ?? {});
    if (look.id === BASE || Object.keys(paint).length === 0) return [];
    return [set(["pieces", piece.id, "looks", look.id, "changes", to], paint)];
  });

/**
 * Puts layers into a new container where they are: a group as large as what it holds, a compound of
 * shapes, painted as the lowest of them was, or a row or column in the order they stand in, with their mean gap. `boxes` are their
 * places in their parent. Null when they have different parents.
 */
export const wrap = (
  piece: Piece,
  ids: readonly Id[],
  how: Container,
  boxes: ReadonlyMap<Id, Rect>,
): Grouped | null => {
  const found = together(piece, ids);
  const frame = unite([...boxes.values()]);
  if (!found || !frame) return null;
  const { parent, layers } = found;
  const id = newId();
  const at = ["pieces", piece.id];
  const words = containerNames[how];
  const lowest = present(layers[0]).id;
  const top = present(layers.at(-1));
  const rest = (childrenOf(piece).get(parent) ?? []).filter((l) => !layers.includes(l));
  const names = Object.values(piece.layers).map((l) => l.name);
  const box: Layer = {
    id,
    kind: how === "compound" ? "compound" : "box",
    name: freeName(words, names),
    parent,
    order: orderAt(rest, rest.filter((l) => byOrder(l, top) < 0).length),
  };
  const arranged = alongAxis(layers, boxes, how === "column" ? "y" : "x");
  const isArranged = how === "row" || how === "column";
  const ops: Op[] = [
    set([...at, "layers", id], box),
    set([...at, "looks", BASE, "changes", id], {
      ...containerValues(how, frame, arranged.gap),
      ...(how === "compound" ? paintIn(piece.looks[BASE]?.changes[lowest] ?? {}) : {}),
    }),
  ];
  if (how === "compound") ops.push(...paintOnto(piece, lowest, id));
  const placed: Layer[] = [];
  for (const layer of isArranged ? arranged.sorted : layers) {
    const next = orderAt(placed, placed.length);
    placed.push({ ...layer, order: next });
    ops.push(
      set([...at, "layers", layer.id, "parent"], id),
      set([...at, "layers", layer.id, "order"], next),
      ...shift(piece, layer.id, -frame.x, -frame.y),
    );
  }
  const label = how === "group" ? editWords.group : editWords.wrap(words.toLowerCase());
  return { id, change: { label, ops } };
};

/**
 * Takes a container away and leaves what it holds where it is; null for a layer that holds nothing,
 * and for the root.
 * `at` is its place in its parent; `places` those of what it holds, where it arranged them. */
export const unwrap = (
  piece: Piece,
  id: Id,
  at: { readonly x: number; readonly y: number },
  places: ReadonlyMap<Id, { readonly x: number; readonly y: number }> | null = null,
): { change: Change; ids: Id[] } | null => {
  const box = piece.layers[id];
  const children = childrenOf(piece).get(id) ?? [];
  if (!box || id === ROOT || box.parent === null || children.length === 0) return null;
  const base = ["pieces", piece.id];
  const siblings: Layer[] = (childrenOf(piece).get(box.parent) ?? []).filter((l) => l.id !== id);
  let index = (childrenOf(piece).get(box.parent) ?? []).findIndex((l) => l.id === id);
  const ops: Op[] = [];
  for (const child of children) {
    const order = orderAt(siblings, index);
    siblings.splice(index++, 0, { ...child, order });
    ops.push(
      set([...base, "layers", child.id, "parent"], box.parent),
      set([...base, "layers", child.id, "order"], order),
      ...(places
        ? (["x", "y"] as const).map((key) =>
            set(
              [...base, "looks", BASE, "changes", child.id, key],
              (places.get(child.id)?.[key] ?? 0) + at[key],
            ),
          )
        : shift(piece, child.id, at.x, at.y)),
    );
  }
  for (const look of Object.values(piece.looks))
    if (look.changes[id]) ops.push(remove([...base, "looks", look.id, "changes", id]));
  for (const option of Object.values(piece.options))
    if (option.layer === id) ops.push(remove([...base, "options", option.id]));
  return {
    ids: children.map((c) => c.id),
    change: { label: editWords.ungroup(box.name), ops: [...ops, remove([...base, "layers", id])] },
  };
};

/** Locks layers, so that they cannot be chosen or moved on the stage, or frees them. */
export const lock = (piece: Piece, ids: readonly Id[], locked: boolean): Change => ({
  label: locked ? editWords.lock : editWords.unlock,
  ops: ids
    .filter((id) => id !== ROOT && piece.layers[id])
    .map((id) =>
      locked
        ? set(["pieces", piece.id, "layers", id, "locked"], true)
        : remove(["pieces", piece.id, "layers", id, "locked"]),
    ),
});

/** Puts layers in front of all their siblings, or behind them. */
export const restackTo = (piece: Piece, ids: readonly Id[], end: "front" | "back"): Change => {
  const ops: Op[] = [];
  const moved = topmost(piece, ids)
    .map((id) => present(piece.layers[id]))
    .sort(byOrder);
  const lists = new Map<Id, Layer[]>();
  for (const layer of moved) {
    const parent = layer.parent ?? ROOT;
    if (!lists.has(parent))
      lists.set(
        parent,
        (childrenOf(piece).get(parent) ?? []).filter((l) => !moved.includes(l)),
      );
  }
  for (const layer of end === "front" ? moved : [...moved].reverse()) {
    const list = present(lists.get(layer.parent ?? ROOT));
    const order = orderAt(list, end === "front" ? list.length : 0);
    list.splice(end === "front" ? list.length : 0, 0, { ...layer, order });
    ops.push(set(["pieces", piece.id, "layers", layer.id, "order"], order));
  }
  return { label: end === "front" ? editWords.bringFront : editWords.sendBack, ops };
};

/**
 * Turns a compound into a path with the outline its shapes make; the shapes go. Fill, border and
 * shadows stay.
 */
export const flattenLayer = (piece: Piece, id: Id, shape: string): Change => {
  const inside = (childrenOf(piece).get(id) ?? []).map((c) => c.id);
  const at = ["pieces", piece.id];
  const cleared = Object.values(piece.looks)
    .filter((l) => l.changes[id]?.combine !== undefined)
    .map((l) => remove([...at, "looks", l.id, "changes", id, "combine"]));
  return {
    label: editWords.convertOnePath(piece.layers[id]?.name),
    ops: [
      ...removeLayers(piece, inside).ops,
      ...cleared,
      set([...at, "layers", id, "kind"], "path"),
      set([...at, "looks", BASE, "changes", id, "shape"], shape),
      set([...at, "looks", BASE, "changes", id, "overlaps"], "holes"),
    ],
  };
};
