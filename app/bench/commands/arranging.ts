import { useMemo } from "react";
import type { Id } from "#core/basics";
import {
  align,
  carryVariant,
  copyLayers,
  detach,
  distribute,
  extract,
  fitFrame,
  flattenLayer,
  lock,
  moveInto,
  bringAlong,
  clipHere,
  pasteClip,
  strangersIn,
  readClip,
  replaceBy,
  resetVariant,
  restackTo,
  scaleLayers,
  styleOf,
  topmost,
  unwrap,
  wrap,
} from "#core/edit";
import type { Alignment, Clip, Moves } from "#core/edit";
import { pathInBox } from "#core/formats/svg";
import { boundsIn, findBox, mapOf, spotBounds, spotsIn, unite, wayInto } from "#core/layout";
import type { LayoutBox, Rect } from "#core/layout";
import { restingVariant, valuesIn, variantKey, variantName, variantsOf } from "#core/looks";
import { outlinePath } from "#core/paint";
import { partsOf } from "#core/paths";
import { ROOT, newId } from "#core/project";
import type { Change, LayerChanges, Piece, Variant, Op } from "#core/project";
import { hundredths, propertiesOf, styleKeys } from "#core/properties";
import type { Value } from "#core/properties";
import { heavy } from "../../services/heavy";
import { BenchEdits } from "./edits";
import { boxesIn } from "./scaling";
import { parentForNew } from "../state/active";
import type { Active } from "../state/active";
import { useWorkpiece } from "../state/context";
import { Scenes } from "../state/scenes/scenes";
import type { BenchState } from "../state/state";
import type { Workpiece } from "../state/workpiece";
import { commandsWords } from "./words";

/** Whether layers are outlines that can be combined with each other. */
export const canCombine = (piece: Piece, ids: readonly Id[]): boolean =>
  ids.length > 1 &&
  ids.every((id) =>
    ["box", "ellipse", "polygon", "path", "compound"].includes(piece.layers[id]?.kind ?? ""),
  );

/**
 * What is done to chosen layers as wholes: lining up, grouping, copying, turning into components.
 */
export class Arranging {
  private readonly edits: BenchEdits;

  constructor(private readonly workpiece: Workpiece) {
    this.edits = new BenchEdits(workpiece);
  }

  private get state(): BenchState {
    return this.workpiece.state;
  }

  private here(): { active: Active; piece: Piece; scene: LayoutBox; ids: Id[] } | null {
    const { piece, active, scene, state } = this.workpiece;
    if (!piece || !active || !scene) return null;
    return { active, piece, scene, ids: topmost(piece, state.chosen) };
  }

  private boxes(scene: LayoutBox, ids: readonly Id[]): Map<Id, Rect> {
    return new Map(
      ids.flatMap((id) => {
        const p = findBox(scene, id)?.placed;
        return p ? [[id, spotBounds({ ...p, map: mapOf(p) })] as const] : [];
      }),
    );
  }

  private done(change: Change | null | undefined, choose?: readonly Id[]): boolean {
    if (!this.workpiece.run(() => change)) return false;
    if (choose) this.state.choose(choose);
    return true;
  }

  private move(moves: Moves): void {
    const here = this.here();
    if (!here) return;
    const spots = spotsIn(here.scene);
    const next: Record<Id, Record<string, Value>> = {};
    for (const [id, { dx, dy }] of moves) {
      const layer = here.piece.layers[id];
      const spot = spots.get(id);
      if (!layer || !spot || (!dx && !dy)) continue;
      const v = valuesIn(this.workpiece.project, here.piece, here.active.variant, layer);
      const [x, y] = wayInto(spot.parent, dx, dy);
      next[id] = {
        ...(x ? { x: hundredths(v.x + x) } : {}),
        ...(y ? { y: hundredths(v.y + y) } : {}),
      };
    }
    if (Object.keys(next).length) this.edits.set(next);
    this.edits.endGesture();
  }

  align(how: Alignment): void {
    const here = this.here();
    if (!here) return;
    const bounds = boundsIn(here.scene);
    const parent = here.piece.layers[here.ids[0] ?? ""]?.parent;
    this.move(
      align(
        new Map(
          here.ids.flatMap((id) => {
            const b = bounds.get(id);
            return b ? [[id, b] as const] : [];
          }),
        ),
        how,
        bounds.get(parent ?? ROOT) ?? null,
      ),
    );
  }

  distribute(axis: "x" | "y"): void {
    const here = this.here();
    if (!here) return;
    const bounds = boundsIn(here.scene);
    this.move(
      distribute(
        new Map(
          here.ids.flatMap((id) => {
            const b = bounds.get(id);
            return b ? [[id, b] as const] : [];
          }),
        ),
        axis,
      ),
    );
  }

  wrap(how: "group" | "compound" | "row" | "column"): void {
    const here = this.here();
    if (!here || here.ids.length === 0) return;
    if (how === "compound" && !canCombine(here.piece, here.ids)) {
      this.edits.note(commandsWords.selectTwoMoreShapes);
      return;
    }
    const made = wrap(here.piece, here.ids, how, this.boxes(here.scene, here.ids));
    if (!made) {
      this.edits.note(commandsWords.selectLayersSameBox);
      return;
    }
    this.done(made.change, [made.id]);
  }

  unwrap(): void {
    const here = this.here();
    const out: Id[] = [];
    for (const id of here?.ids ?? []) {
      const piece = this.workpiece.piece;
      const p = here && findBox(here.scene, id)?.placed;
      if (!piece || !p) continue;
      const arranged = p.values.arrange !== undefined && p.values.arrange !== "free";
      const made = unwrap(
        piece,
        id,
        { x: hundredths(p.x), y: hundredths(p.y) },
        arranged
          ? new Map(p.children.map((c) => [c.layer.id, { x: hundredths(c.x), y: hundredths(c.y) }]))
          : null,
      );
      if (made && this.done(made.change)) out.push(...made.ids);
    }
    if (out.length) this.state.choose(out);
  }

  /** Makes the piece's frame as large as what one sees in it. */
  fitFrame(): void {
    const here = this.here();
    const bounds = here && boundsIn(here.scene);
    const inside = here?.scene.children.flatMap((c) => bounds?.get(c.layer.id) ?? []) ?? [];
    const around = unite(inside);
    if (here && around) this.done(fitFrame(here.piece, around));
    else this.edits.note(commandsWords.nothingFitNoLayer);
  }

  lock(on: boolean): void {
    const here = this.here();
    if (here) this.done(lock(here.piece, here.ids, on));
  }
  stackTo(end: "front" | "back"): void {
    const here = this.here();
    if (here) this.done(restackTo(here.piece, here.ids, end));
  }
  show(ids: readonly Id[], on: boolean): void {
    if (ids.length) this.edits.set(Object.fromEntries(ids.map((id) => [id, { visible: on }])));
    this.edits.endGesture();
  }

  /** Puts layers into a parent at a place among what it holds; they stay where they are shown. */
  moveInto(ids: readonly Id[], parent: Id, index: number): void {
    const here = this.here();
    if (!here) return;
    const spots = spotsIn(here.scene);
    const to = spots.get(parent);
    const ways = new Map<Id, { dx: number; dy: number }>();
    for (const id of topmost(here.piece, ids)) {
      const from = spots.get(id)?.parent;
      if (!from || !to || here.piece.layers[id]?.parent === parent) continue;
      const [dx, dy] = wayInto(to.map, from[4] - to.map[4], from[5] - to.map[5]);
      ways.set(id, { dx: hundredths(dx), dy: hundredths(dy) });
    }
    this.done(moveInto(here.piece, ids, parent, index, ways));
  }

  /** Makes one editable path of a compound, in every variant in which its shapes differ. */
  async flatten(): Promise<void> {
    const here = this.here();
    const id = here?.ids[0];
    const { env } = this.workpiece.scenes;
    if (!here || !env || id === undefined || here.piece.layers[id]?.kind !== "compound") return;
    const shapes = new Map<string, { placed: LayoutBox; variants: Variant[] }>();
    // all of them, also those the stage does not show just now
    for (const { variant, placed: scene } of new Scenes().of(
      env,
      this.workpiece.project,
      here.piece,
      variantsOf(here.piece),
    )) {
      const placed = scene && findBox(scene, id)?.placed;
      if (!placed) continue;
      const key = outlinePath(placed);
      const known = shapes.get(key);
      if (known) known.variants.push(variant);
      else shapes.set(key, { placed, variants: [variant] });
    }
    const made: { shape: string; variants: readonly Variant[] }[] = [];
    for (const { placed, variants } of shapes.values()) {
      const d = await heavy().combine(placed.values.combine as string, partsOf(placed));
      made.push({
        shape: d === "" ? "M0 0Z" : pathInBox(d, placed.width, placed.height),
        variants,
      });
    }
    const piece = this.workpiece.piece;
    const rest = variantKey(here.piece, restingVariant(here.piece));
    const base =
      made.find((m) => m.variants.some((v) => variantKey(here.piece, v) === rest)) ?? made[0];
    if (!piece || !base) return;
    const gesture = `flatten ${newId()}`;
    this.workpiece.run((_, now) => flattenLayer(now, id, base.shape), gesture);
    for (const m of made)
      if (m !== base) this.edits.setIn(m.variants, { [id]: { shape: m.shape } }, gesture);
    this.edits.endGesture();
  }

  copy(): string | null {
    const here = this.here();
    return here && here.ids.length
      ? JSON.stringify(
          copyLayers(
            this.workpiece.session.id,
            this.workpiece.project,
            here.piece,
            here.active.variant,
            here.ids,
          ),
        )
      : null;
  }

  cut(): string | null {
    const text = this.copy();
    if (text !== null) this.edits.remove(this.state.chosen);
    return text;
  }

  /** Pastes copied layers, a little aside or in place; false when the text is none of ours. */
  paste(text: string, inPlace: boolean): boolean {
    const clip: Clip | null = readClip(text);
    if (!clip || !this.workpiece.piece) return false;
    const { session, project } = this.workpiece;
    if (strangersIn(session.id, project, clip).length > 0)
      this.state.openDialog({ kind: "bring", clip, inPlace });
    else this.put(clipHere(session.id, project, clip), inPlace);
    return true;
  }

  /** Pastes layers together with the components they show, which become the project's own. */
  pasteAlong(clip: Clip, inPlace: boolean): void {
    const { project } = this.workpiece;
    const brought = bringAlong(project, clip);
    this.put(brought.clip, inPlace, brought.ops);
  }

  private put(clip: Clip, inPlace: boolean, before: readonly Op[] = []): void {
    const piece = this.workpiece.piece;
    if (!piece) return;
    const lead = piece.layers[this.state.chosen[0] ?? ""];
    const copiedHere = lead && clip.piece === piece.id && clip.layers.some((l) => l.id === lead.id);
    const parent = copiedHere ? (lead.parent ?? ROOT) : parentForNew(piece, this.state.chosen);
    const made = pasteClip(
      this.workpiece.session.id,
      this.workpiece.project,
      piece,
      clip,
      parent,
      inPlace ? 0 : 12,
    );
    this.done({ ...made.change, ops: [...before, ...made.change.ops] }, made.ids);
  }

  copyStyle(): void {
    const here = this.here();
    const id = this.state.chosen[0];
    const layer = id === undefined ? undefined : here?.piece.layers[id];
    if (!here || !layer) return;
    const said = styleOf(this.workpiece.project, here.piece, here.active.variant, layer);
    const values = valuesIn(this.workpiece.project, here.piece, here.active.variant, layer);
    const keys = [
      ...Object.keys(said).filter((k) => k !== "style"),
      ...("style" in said ? styleKeys : []),
    ];
    const plain = Object.fromEntries(
      keys.flatMap((k) => {
        const v = values[k];
        return v === undefined || (typeof v === "object" && "fit" in v) ? [] : [[k, v]];
      }),
    );
    this.state.holdStyle({ project: this.workpiece.session.id, name: layer.name, said, plain });
    this.edits.note(commandsWords.copiedStyleSelectOther(layer.name));
  }

  pasteStyle(): void {
    const here = this.here();
    const { heldStyle } = this.state;
    if (!here || !heldStyle) return;
    // another project knows neither the tokens nor the pictures of this one
    const held = heldStyle.project === this.workpiece.session.id ? heldStyle.said : heldStyle.plain;
    const next: Record<Id, LayerChanges> = {};
    for (const id of this.state.chosen) {
      const layer = here.piece.layers[id];
      if (!layer) continue;
      const has = new Set(propertiesOf(layer.kind).map((p) => p.key));
      next[id] = Object.fromEntries(Object.entries(held).filter(([k]) => has.has(k)));
    }
    this.edits.set(next);
    this.edits.endGesture();
  }

  copyVariant(variant: Variant): void {
    const here = this.here();
    if (!here) return;
    this.state.holdVariant({ piece: here.piece.id, variant });
    this.edits.note(
      commandsWords.copiedLook(variantName(here.piece, variant), variantsOf(here.piece).length > 1),
    );
  }

  pasteVariant(to: Variant, layers?: readonly Id[]): void {
    const here = this.here();
    const { heldVariant } = this.state;
    if (!here || heldVariant?.piece !== here.piece.id) return;
    if (
      !this.done(carryVariant(this.workpiece.project, here.piece, heldVariant.variant, to, layers))
    )
      this.edits.note(commandsWords.bothVariantsAlreadyLook);
  }

  reset(variant: Variant, layers?: readonly Id[]): void {
    const here = this.here();
    if (here && !this.done(resetVariant(here.piece, variant, layers)))
      this.edits.note(commandsWords.nothingResetVariantHas);
  }

  /** Makes a component of what is chosen; gives its id. */
  extract(): Id | null {
    const here = this.here();
    const lead = here?.piece.layers[here.ids[0] ?? ""];
    if (!here || !lead) return null;
    const made = extract(
      this.workpiece.project,
      here.piece,
      here.ids,
      here.ids.length === 1 ? lead.name : commandsWords.component,
      this.boxes(here.scene, here.ids),
    );
    if (!made) {
      this.edits.note(commandsWords.selectLayersSameBox2);
      return null;
    }
    if (!this.done(made.change, [made.copy])) return null;
    this.edits.note(
      commandsWords.createdComponentLeftCopy(this.workpiece.project.pieces[made.component]?.name),
    );
    return made.component;
  }

  detach(): void {
    const here = this.here();
    const out: Id[] = [];
    for (const id of here?.ids ?? []) {
      const gesture = `detach ${newId()}`;
      const made = this.workpiece.make((project, piece) => detach(project, piece, id), gesture);
      if (!made) continue;
      out.push(made.id);
      const placed = here && findBox(here.scene, id)?.placed;
      if (placed) this.scaleAs(made.id, placed, gesture);
      this.edits.endGesture();
    }
    if (out.length) this.state.choose(out);
  }

  /** Layers that were a scaled copy are as large as that was shown. */
  private scaleAs(id: Id, copy: LayoutBox, gesture: string): void {
    const { nested, values, width, height } = copy;
    if (values.resizing !== "scale" || !nested || nested.width === 0) return;
    const scaling = {
      by: width / nested.width,
      corner: { x: values.x, y: values.y },
      boxes: boxesIn(nested),
    };
    this.workpiece.run((project, piece) => scaleLayers(project, piece, [id], scaling), gesture);
    const size = { width, height, widthMode: "fixed", heightMode: "fixed", resizing: "follow" };
    this.edits.setForAll({ [id]: size }, gesture);
  }

  replaceBy(component: Id): void {
    const here = this.here();
    const made =
      here &&
      replaceBy(
        this.workpiece.project,
        here.piece,
        here.ids,
        component,
        this.boxes(here.scene, here.ids),
      );
    if (made) this.done(made.change, made.ids);
  }
}

export const useArranging = (): Arranging => {
  const workpiece = useWorkpiece();
  return useMemo(() => new Arranging(workpiece), [workpiece]);
};
