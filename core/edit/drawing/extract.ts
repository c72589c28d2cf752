import { present } from "../../basics";
import type { Id } from "../../basics";
import { fewestDeclarations } from "../../gather";
import { unite } from "../../layout";
import type { Rect } from "../../layout";
import {
  Declarations,
  cascade,
  changesIn,
  looksIn,
  looksOf,
  overridesFrom,
  resolveTokens,
  restOf,
  restingVariant,
  startOf,
  traitsOf,
  valuesOf,
} from "../../looks";
import { ROOT, byOrder, cutText, newId, orderAfter, set } from "../../project";
import type {
  Change,
  Layer,
  LayerChanges,
  Look,
  Op,
  Option,
  Piece,
  Project,
  Trait,
  Variant,
} from "../../project";
import { OPTION, TRAIT, defaultsOf } from "../../properties";
import type { SpecifiedValue } from "../../properties";
import { movedBy, removeLayers, subtree, topmost } from "./layers";
import { freeName, newPiece } from "../pieces";
import { editWords } from "../words";

/** What says where and how a layer lies in what is around it, rather than what it is. */
const placing = [
  "x",
  "y",
  "rotation",
  "scale",
  "pivot",
  "stack",
  "visible",
  "followX",
  "followY",
  "grow",
  "floats",
  "masks",
  "opacity",
  "mixing",
];

export const only = (
  changes: LayerChanges,
  keep: (key: string) => boolean,
): Record<string, SpecifiedValue> =>
  Object.fromEntries(Object.entries(changes).filter(([k]) => keep(k)));
export const isPlacing =
  (changes: LayerChanges) =>
  (key: string): boolean =>
    placing.includes(key) ||
    ((key === "widthMode" || key === "heightMode") && changes[key] === "stretch");

export interface Extracted {
  readonly change: Change;
  /** the new component */ readonly component: Id;
  /** the copy that stands where the layers were */ readonly copy: Id;
}

/** Rules on layers that went into a copy now listen to the copy. */
export const rulesOnto = (piece: Piece, gone: ReadonlySet<Id>, copy: Id): Op[] =>
  Object.values(piece.rules)
    .filter((r) => r.source !== null && gone.has(r.source))
    .map((r) => set(["pieces", piece.id, "rules", r.id, "source"], copy));

/** What is taken out of a piece: layers of one parent with all that is inside them. */
interface Taken {
  readonly piece: Piece;
  readonly tops: readonly Layer[];
  readonly inside: ReadonlySet<Id>;
  /** the one box that becomes the component's root */
  readonly single: Layer | null;
  readonly frame: Rect;
}

const takenFrom = (
  piece: Piece,
  ids: readonly Id[],
  boxes: ReadonlyMap<Id, Rect>,
): Taken | null => {
  const tops = topmost(piece, ids)
    .map((id) => present(piece.layers[id]))
    .sort(byOrder);
  const [first] = tops;
  const frame = unite([...boxes.values()]);
  const isTogether = tops.every((l) => l.parent === first?.parent);
  if (!first || !frame || first.parent === null || !isTogether) return null;
  const single = tops.length === 1 && first.kind === "box" ? first : null;
  const inside = new Set(tops.flatMap((l) => subtree(piece, l.id)));
  return { piece, tops, inside, single, frame };
};

/**
 * What is said of the layers, within the component and of the copy; and the traits on which it
 * depends.
 */
const saidOf = ({ piece, tops, inside, single, frame }: Taken, component: Id, copy: Id) => {
  const within = new Declarations();
  const outside = new Declarations();
  const traits = new Set<Id>();
  const place = { x: frame.x, y: frame.y };
  if (!single) within.say({}, ROOT, { width: frame.width, height: frame.height });
  outside.say({}, copy, single ? { component } : { component, ...place });
  const isTop = (id: Id): boolean => tops.some((t) => t.id === id);
  const depends = (look: Look) => {
    for (const trait of Object.keys(look.when)) traits.add(trait);
  };
  for (const look of looksOf(piece)) {
    for (const id of inside) {
      const changes = look.changes[id];
      if (!changes) continue;
      if (id === single?.id) {
        const own = only(changes, (key) => !isPlacing(changes)(key));
        outside.say(look.when, copy, only(changes, isPlacing(changes)));
        within.say(look.when, ROOT, own);
        if (Object.keys(own).length) depends(look);
        continue;
      }
      within.say(
        look.when,
        id,
        !single && isTop(id) ? movedBy(changes, -frame.x, -frame.y) : changes,
      );
      depends(look);
    }
  }
  return { within, outside, traits };
};

/** The layers under the component's root. */
const layersWithin = ({ piece, tops, inside, single }: Taken): Layer[] =>
  [...inside]
    .map((id) => present(piece.layers[id]))
    .filter((layer) => layer.id !== single?.id)
    .map((layer) => {
      const isOutermost = tops.includes(layer) || layer.parent === single?.id;
      return { ...layer, parent: isOutermost ? ROOT : layer.parent };
    });

/**
 * Makes a component of layers and puts a copy of it in their place. The traits that what is said
 * about them depends on go along, and the copy follows the piece's own, so that every variant looks
 * as before. Options go along too and stay open to the outside. `boxes` are the layers' places in
 * their parent. Null when the layers do not lie in one parent.
 */
export const extract = (
  project: Project,
  piece: Piece,
  ids: readonly Id[],
  name: string,
  boxes: ReadonlyMap<Id, Rect>,
): Extracted | null => {
  const taken = takenFrom(piece, ids, boxes);
  const first = taken?.tops[0];
  if (!taken || !first) return null;
  const { tops, inside, single } = taken;
  const pieces = Object.values(project.pieces);
  const wanted = freeName(
    name,
    pieces.map((p) => p.name),
  );
  const base = newPiece("component", wanted, orderAfter(pieces));
  const { parent, order } = first;
  const copy: Layer = { id: newId(), kind: "instance", name: wanted, parent, order };
  const { within, outside, traits } = saidOf(taken, base.id, copy.id);
  const carried = traitsOf(piece).filter((t) => traits.has(t.id));
  for (const t of carried)
    for (const v of valuesOf(t))
      outside.say(v.id === restOf(t) ? {} : { [t.id]: [v.id] }, copy.id, { [TRAIT + t.id]: v.id });
  const layers = [present(base.layers[ROOT]), ...layersWithin(taken)];
  const options = Object.values(piece.options).filter((o) => inside.has(o.layer));
  const onto = (o: Option): Option => (o.layer === single?.id ? { ...o, layer: ROOT } : o);
  const component: Piece = {
    ...base,
    traits: Object.fromEntries(carried.map((t) => [t.id, t])),
    layers: Object.fromEntries(layers.map((l) => [l.id, l])),
    looks: within.table(),
    options: Object.fromEntries(options.map((o) => [o.id, onto(o)])),
  };
  const shown = options.map((o): Option => ({ ...o, layer: copy.id, key: `${OPTION}${o.id}` }));
  const at = ["pieces", piece.id];
  const gone = tops.map((l) => l.id);
  const words = tops.length === 1 ? first.name : editWords.layers(tops.length);
  const ops: Op[] = [
    set(["pieces", component.id], component),
    ...rulesOnto(piece, inside, copy.id),
    ...removeLayers(piece, gone).ops,
    set([...at, "layers", copy.id], copy),
    ...outside.ops(piece),
    ...shown.map((o) => set([...at, "options", o.id], o)),
  ];
  const label = cutText(editWords.createComponentFrom(words), 200);
  return { component: component.id, copy: copy.id, change: { label, ops } };
};

/**
 * Every layer of a component in a variant with what a copy's options set: tokens stay bound, so the
 * layers follow them.
 */
const flatValues = (
  component: Piece,
  variant: Variant,
  over: ReadonlyMap<Id, LayerChanges>,
): Map<Id, Record<string, SpecifiedValue>> =>
  new Map(
    Object.values(component.layers).map((l) => [
      l.id,
      // looks say values of properties, each by its key
      Object.assign({}, ...changesIn(looksIn(component, variant), l.id), over.get(l.id)) as Record<
        string,
        SpecifiedValue
      >,
    ]),
  );

/** What of a copy's own values its box keeps: all but what only a copy has. */
const isBoxed =
  (changes: LayerChanges) =>
  (key: string): boolean => {
    const isFitting = (key === "widthMode" || key === "heightMode") && changes[key] === "fit";
    const isOfCopy = key === "component" || key.startsWith(TRAIT) || key.startsWith(OPTION);
    return !isOfCopy && !isFitting;
  };

/** Every combination of some traits, those in which all of them rest first. */
const combinations = (piece: Piece, traits: readonly Trait[]): Variant[] => {
  const rest = restingVariant(piece);
  const moves = (v: Variant): number => Number(traits.some((t) => v[t.id] !== rest[t.id]));
  return traits
    .reduce<Variant[]>(
      (list, t) => list.flatMap((v) => valuesOf(t).map((x) => ({ ...v, [t.id]: x.id }))),
      [rest],
    )
    .sort((a, b) => moves(a) - moves(b));
};

/** Says what a component shows in each variant that matters, in as few declarations as possible. */
const sayFlat = (
  out: Declarations,
  component: Piece,
  twin: ReadonlyMap<Id, Id>,
  traits: readonly Trait[],
  shown: readonly { variant: Variant; flat: ReadonlyMap<Id, Record<string, SpecifiedValue>> }[],
): void => {
  const ids = traits.map((t) => t.id);
  for (const layer of Object.values(component.layers)) {
    const id = present(twin.get(layer.id));
    const keys = new Set(shown.flatMap(({ flat }) => Object.keys(flat.get(layer.id) ?? {})));
    for (const key of keys) {
      const fallback = defaultsOf(layer.kind)[key] ?? "";
      const samples = shown.map(({ variant, flat }) => ({
        variant,
        value: flat.get(layer.id)?.[key] ?? fallback,
      }));
      for (const { when, value } of fewestDeclarations(ids, samples)) {
        if (!out.says(when, id, key)) out.say(when, id, { [key]: value });
      }
    }
  }
};

/**
 * Turns a copy into plain layers: a box where the copy was, holding what its component shows in the
 * copy's variant. Where the piece gives the copy other traits or options, the layers look
 * accordingly. The component's own rules do not come along.
 */
export const detach = (
  project: Project,
  piece: Piece,
  id: Id,
): { change: Change; id: Id } | null => {
  const copy = piece.layers[id];
  if (copy?.kind !== "instance" || copy.parent === null) return null;
  const said = (looks: readonly Look[]) =>
    cascade(
      copy,
      changesIn(looks, id).map((c) => resolveTokens(project, c)),
    );
  const resting = looksOf(piece).filter((l) => Object.keys(l.when).length === 0);
  const component = project.pieces[said(resting).component ?? ""];
  if (!component) return null;
  const twin = new Map(Object.keys(component.layers).map((l) => [l, newId()]));
  const { name, parent, order } = copy;
  const box: Layer = { id: present(twin.get(ROOT)), kind: "box", name, parent, order };
  const out = new Declarations();
  const concerned = new Set<Id>();
  for (const look of looksOf(piece)) {
    const changes = look.changes[id];
    if (!changes) continue;
    out.say(look.when, box.id, only(changes, isBoxed(changes)));
    for (const trait of Object.keys(look.when)) concerned.add(trait);
  }
  const traits = traitsOf(piece).filter((t) => concerned.has(t.id));
  const shown = combinations(piece, traits).map((variant) => {
    const v = said(looksIn(piece, variant));
    return {
      variant,
      flat: flatValues(component, startOf(component, v), overridesFrom(component, v)),
    };
  });
  sayFlat(out, component, twin, traits, shown);
  const inner = Object.values(component.layers).filter((l) => l.id !== ROOT);
  const layers = inner.map((l): Layer => ({
    ...l,
    id: present(twin.get(l.id)),
    parent: twin.get(l.parent ?? ROOT) ?? box.id,
  }));
  const at = ["pieces", piece.id];
  const ops = [
    ...rulesOnto(piece, new Set([id]), box.id),
    ...removeLayers(piece, [id]).ops,
    ...[box, ...layers].map((l) => set([...at, "layers", l.id], l)),
    ...out.ops(piece),
  ];
  return { id: box.id, change: { label: editWords.convertLayers(copy.name), ops } };
};
