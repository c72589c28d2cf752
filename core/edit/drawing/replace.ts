import { present } from "../../basics";
import type { Id } from "../../basics";
import type { Rect } from "../../layout";
import { Declarations, changesIn, looksIn, looksOf, restingVariant, valuesIn } from "../../looks";
import { ROOT, apply, newId, set } from "../../project";
import type { Change, Layer, Op, Option, Piece, Project } from "../../project";
import { OPTION, TRAIT } from "../../properties";
import type { SpecifiedValue } from "../../properties";
import { addOption } from "../behaviour/rules";
import { contains } from "../pieces";
import { editWords } from "../words";
import { isPlacing, only, rulesOnto } from "./extract";
import { removeLayers, subtree, topmost } from "./layers";

/** What layers hold that copies can be given: the kinds of such layers, and the property. */
const contents = [
  { kind: "text", key: "text" },
  { kind: "picture", key: "picture" },
  { kind: "icon", key: "icon" },
] as const;
type Content = (typeof contents)[number];

/** A name without the number that copies of a layer are given. */
const plainName = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[\s\d_-]+$/g, "")
    .trim();

const layersOf = (piece: Piece, root: Id, { kind }: Content): Layer[] =>
  subtree(piece, root)
    .map((id) => present(piece.layers[id]))
    .filter((layer) => layer.kind === kind);

/** Layers of a drawing with those of a component they stand for: by name, else by their order. */
const pairsOf = (
  drawn: readonly Layer[],
  known: readonly Layer[],
  isCalled: (layer: Layer, name: string) => boolean,
): readonly (readonly [drawn: Layer, known: Layer])[] => {
  const left = new Set(known);
  const pairs: [Layer, Layer][] = [];
  const others: Layer[] = [];
  for (const layer of drawn) {
    const name = plainName(layer.name);
    const same = [...left].find((k) => isCalled(k, name));
    if (same) {
      pairs.push([layer, same]);
      left.delete(same);
    } else others.push(layer);
  }
  if (others.length !== left.size) return pairs;
  return [...pairs, ...others.map((layer, i) => [layer, present([...left][i])] as const)];
};

/**
 * A component that stands in for drawings: it gets an option for whatever they hold that its copies
 * cannot be given yet.
 */
class StandIn {
  readonly ops: Op[] = [];

  constructor(
    private project: Project,
    private readonly id: Id,
  ) {}

  private get component(): Piece {
    return present(this.project.pieces[this.id]);
  }

  private optionOf(layer: Id, key: Content["key"]): Option | undefined {
    return Object.values(this.component.options).find((o) => o.layer === layer && o.key === key);
  }

  /** The option for what a layer of the component holds, made where there is none. */
  private giving(layer: Id, key: Content["key"]): Id {
    const known = this.optionOf(layer, key);
    if (known) return known.id;
    const { id, change } = addOption(this.component, layer, key);
    this.ops.push(...change.ops);
    this.project = apply(this.project, change.ops).doc;
    return id;
  }

  /** What a copy is given so that it holds what a drawing holds. */
  give(out: Declarations, copy: Id, piece: Piece, drawing: Id): void {
    for (const content of contents) {
      const { component } = this;
      const pairs = pairsOf(
        layersOf(piece, drawing, content),
        layersOf(component, ROOT, content),
        (layer, name) =>
          [layer.name, this.optionOf(layer.id, content.key)?.name ?? ""]
            .map(plainName)
            .includes(name),
      );
      for (const [drawn, known] of pairs) this.giveOne(out, copy, piece, content, drawn, known);
    }
  }

  private giveOne(
    out: Declarations,
    copy: Id,
    piece: Piece,
    { key }: Content,
    drawn: Layer,
    known: Layer,
  ): void {
    const { component } = this;
    const rest = changesIn(looksIn(component, restingVariant(component)), known.id);
    const usual = rest.findLast((changes) => changes[key] !== undefined)?.[key];
    const said = looksOf(piece).flatMap((look) => {
      const value = look.changes[drawn.id]?.[key];
      return value === undefined ? [] : [{ when: look.when, value }];
    });
    const isKnown = this.optionOf(known.id, key) !== undefined;
    if (!isKnown && said.every(({ value }) => value === usual)) return;
    const option = this.giving(known.id, key);
    for (const { when, value } of said) out.say(when, copy, { [OPTION + option]: value });
  }
}

/** Says of a copy where the layer lies that it stands for, and of a copy what that was given. */
const sayPlace = (out: Declarations, piece: Piece, layer: Layer, copy: Id): void => {
  const isCopy = layer.kind === "instance";
  for (const look of looksOf(piece)) {
    const changes = look.changes[layer.id];
    if (!changes) continue;
    const stays = (key: string): boolean =>
      isPlacing(changes)(key) || (isCopy && (key.startsWith(TRAIT) || key.startsWith(OPTION)));
    out.say(look.when, copy, only(changes, stays));
  }
};

/** The size of what a copy takes the place of; where that fitted what is in it, so does the copy. */
const sizeKept = (
  project: Project,
  piece: Piece,
  layer: Layer,
  box: Rect | undefined,
): Record<string, SpecifiedValue> => {
  const v = valuesIn(project, piece, restingVariant(piece), layer);
  return {
    ...(box && v.widthMode !== "fit" ? { width: box.width, widthMode: "fixed" } : {}),
    ...(box && v.heightMode !== "fit" ? { height: box.height, heightMode: "fixed" } : {}),
  };
};

/**
 * Puts copies of a component in the place of layers, with their place and size, and with the texts,
 * pictures and icons they hold: those of the same name, else in order where there are as many. The
 * component gets options for those that its copies could not be given.
 */
export const replaceBy = (
  project: Project,
  piece: Piece,
  ids: readonly Id[],
  componentId: Id,
  boxes: ReadonlyMap<Id, Rect>,
): { change: Change; ids: Id[] } | null => {
  const component = project.pieces[componentId];
  const tops = topmost(piece, ids);
  if (!component || tops.length === 0 || contains(project, componentId, piece.id)) return null;
  const standIn = new StandIn(project, componentId);
  const out = new Declarations();
  const made: Id[] = [];
  const ops: Op[] = [];
  for (const id of tops) {
    const layer = present(piece.layers[id]);
    const { name, parent, order } = layer;
    const copy: Layer = { id: newId(), kind: "instance", name, parent, order };
    const box = boxes.get(id);
    made.push(copy.id);
    out.say({}, copy.id, { component: componentId, ...sizeKept(project, piece, layer, box) });
    sayPlace(out, piece, layer, copy.id);
    standIn.give(out, copy.id, piece, id);
    ops.push(
      ...rulesOnto(piece, new Set(subtree(piece, id)), copy.id),
      set(["pieces", piece.id, "layers", copy.id], copy),
    );
  }
  const label = editWords.replaceWith(component.name);
  const all = [...removeLayers(piece, tops).ops, ...standIn.ops, ...ops, ...out.ops(piece)];
  return { ids: made, change: { label, ops: all } };
};
