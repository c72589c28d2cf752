import type { Rect } from "../layout/bounds";
import { fewestDeclarations } from "../gather/minimal";
import { unite } from "../layout/bounds";
import { cascade, changesIn, looksIn, looksOf } from "../looks/cascade";
import { Declarations } from "../looks/declarations";
import { resolveTokens } from "../looks/tokens";
import { overridesFrom, startOf } from "../looks/tree";
import { restingVariant, restOf, traitsOf, valuesOf } from "../looks/variants";
import { set } from "../project/change";
import type { Change, Op } from "../project/change";
import { byOrder, newId, orderAfter } from "../project/ids";
import { ROOT } from "../project/types";
import type {
  Id,
  Layer,
  LayerChanges,
  Look,
  Option,
  Piece,
  Project,
  Variant,
} from "../project/types";
import { defaultsOf, OPTION, TRAIT } from "../properties/registry";
import type { SpecifiedValue } from "../properties/types";
import { removeLayers, subtree, topmost } from "./layers";
import { contains, freeName, newPiece } from "./pieces";

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

const only = (
  changes: LayerChanges,
  keep: (key: string) => boolean,
): Record<string, SpecifiedValue> =>
  Object.fromEntries(Object.entries(changes).filter(([k]) => keep(k)));
const isPlacing =
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
const rulesOnto = (piece: Piece, gone: ReadonlySet<Id>, copy: Id): Op[] =>
  Object.values(piece.rules)
    .filter((r) => r.source !== null && gone.has(r.source))
    .map((r) => set(["pieces", piece.id, "rules", r.id, "source"], copy));

/**
 * Makes a component of layers and puts a copy of it in their place. The traits that what is said about them depends on go
 * along, and the copy follows the piece's own, so that every variant looks as before. Options go along too and stay open
 * to the outside. `boxes` are the layers' places in their parent. Null when the layers do not lie in one parent.
 */
export const extract = (
  project: Project,
  piece: Piece,
  ids: readonly Id[],
  name: string,
  boxes: ReadonlyMap<Id, Rect>,
): Extracted | null => {
  const tops = topmost(piece, ids)
    .map((id) => piece.layers[id] as Layer)
    .sort(byOrder);
  const [first] = tops;
  const frame = unite([...boxes.values()]);
  if (!first || !frame || first.parent === null || tops.some((l) => l.parent !== first.parent))
    return null;
  const single = tops.length === 1 && first.kind === "box" ? first : null;
  const inside = new Set(tops.flatMap((l) => subtree(piece, l.id)));
  const wanted = freeName(
    name,
    Object.values(project.pieces).map((p) => p.name),
  );
  const base = newPiece("component", wanted, orderAfter(Object.values(project.pieces)));
  const copy: Layer = {
    id: newId(),
    kind: "instance",
    name: wanted,
    parent: first.parent,
    order: first.order,
  };
  const within = new Declarations();
  const outside = new Declarations();
  if (!single) within.say({}, ROOT, { width: frame.width, height: frame.height });
  outside.say(
    {},
    copy.id,
    single ? { component: base.id } : { component: base.id, x: frame.x, y: frame.y },
  );
  const traits = new Set<Id>();
  for (const look of looksOf(piece))
    for (const id of inside) {
      const changes = look.changes[id];
      if (!changes) continue;
      if (id === single?.id) {
        const own = only(changes, (k) => !isPlacing(changes)(k));
        const place = only(changes, isPlacing(changes));
        outside.say(look.when, copy.id, place);
        within.say(look.when, ROOT, own);
        if (Object.keys(own).length) Object.keys(look.when).forEach((t) => traits.add(t));
        continue;
      }
      const moved =
        !single && tops.some((t) => t.id === id)
          ? {
              ...changes,
              ...(typeof changes.x === "number" ? { x: changes.x - frame.x } : {}),
              ...(typeof changes.y === "number" ? { y: changes.y - frame.y } : {}),
            }
          : changes;
      within.say(look.when, id, moved);
      Object.keys(look.when).forEach((t) => traits.add(t));
    }
  const carried = traitsOf(piece).filter((t) => traits.has(t.id));
  for (const t of carried)
    for (const v of valuesOf(t))
      outside.say(v.id === restOf(t) ? {} : { [t.id]: [v.id] }, copy.id, { [TRAIT + t.id]: v.id });
  const layers: Layer[] = [base.layers[ROOT] as Layer];
  for (const id of inside) {
    const l = piece.layers[id] as Layer;
    if (l.id !== single?.id)
      layers.push({
        ...l,
        parent: tops.some((t) => t.id === l.id) || l.parent === single?.id ? ROOT : l.parent,
      });
  }
  const options = Object.values(piece.options).filter((o) => inside.has(o.layer));
  const component: Piece = {
    ...base,
    traits: Object.fromEntries(carried.map((t) => [t.id, t])),
    layers: Object.fromEntries(layers.map((l) => [l.id, l])),
    looks: within.table(),
    options: Object.fromEntries(
      options.map((o) => [o.id, o.layer === single?.id ? { ...o, layer: ROOT } : o]),
    ),
  };
  const shown = options.map((o): Option => ({
    ...o,
    layer: copy.id,
    key: `${OPTION}${o.id}` as Option["key"],
  }));
  const at = ["pieces", piece.id];
  const ops: Op[] = [
    set(["pieces", component.id], component),
    ...rulesOnto(piece, inside, copy.id),
    ...removeLayers(
      piece,
      tops.map((l) => l.id),
    ).ops,
    set([...at, "layers", copy.id], copy),
    ...outside.ops(piece),
    ...shown.map((o) => set([...at, "options", o.id], o)),
  ];
  return {
    component: component.id,
    copy: copy.id,
    change: {
      label:
        `Make a component of ${tops.length === 1 ? first.name : `${tops.length} layers`}`.slice(
          0,
          200,
        ),
      ops,
    },
  };
};

/** Every layer of a component in a variant with what a copy's options set: tokens stay bound, so the layers follow them. */
const flatValues = (
  component: Piece,
  variant: Variant,
  over: ReadonlyMap<Id, LayerChanges>,
): Map<Id, Record<string, SpecifiedValue>> =>
  new Map(
    Object.values(component.layers).map((l) => [
      l.id,
      Object.assign({}, ...changesIn(looksIn(component, variant), l.id), over.get(l.id)) as Record<
        string,
        SpecifiedValue
      >,
    ]),
  );

/**
 * Turns a copy into plain layers: a box where the copy was, holding what its component shows in the copy's variant. Where
 * the piece gives the copy other traits or options, the layers look accordingly. The component's own rules do not come along.
 */
export const detach = (
  project: Project,
  piece: Piece,
  id: Id,
): { change: Change; id: Id } | null => {
  const copy = piece.layers[id];
  const said = (looks: readonly Look[]) =>
    cascade(
      copy as Layer,
      changesIn(looks, id).map((c) => resolveTokens(project, c)),
    );
  if (copy?.kind !== "instance" || copy.parent === null) return null;
  const resting = looksOf(piece).filter((l) => Object.keys(l.when).length === 0);
  const component = project.pieces[String(said(resting).component)];
  if (!component) return null;
  const twin = new Map(Object.keys(component.layers).map((l) => [l, newId()]));
  const box: Layer = {
    id: twin.get(ROOT) as Id,
    kind: "box",
    name: copy.name,
    parent: copy.parent,
    order: copy.order,
  };
  const out = new Declarations();
  const concerned = new Set<Id>();
  for (const look of looksOf(piece)) {
    const changes = look.changes[id];
    if (!changes) continue;
    const own = only(
      changes,
      (k) =>
        k !== "component" &&
        !k.startsWith(TRAIT) &&
        !k.startsWith(OPTION) &&
        !((k === "widthMode" || k === "heightMode") && changes[k] === "fit"),
    );
    out.say(look.when, box.id, own);
    Object.keys(look.when).forEach((t) => concerned.add(t));
  }
  // what the component shows in each variant that matters, said in as few words as possible
  const rest = restingVariant(piece);
  const traits = traitsOf(piece).filter((t) => concerned.has(t.id));
  const variants = traits
    .reduce<Variant[]>(
      (list, t) => list.flatMap((v) => valuesOf(t).map((x) => ({ ...v, [t.id]: x.id }))),
      [rest],
    )
    .sort(
      (a, b) =>
        Number(traits.some((t) => a[t.id] !== rest[t.id])) -
        Number(traits.some((t) => b[t.id] !== rest[t.id])),
    );
  const flats = variants.map((variant) => {
    const v = said(looksIn(piece, variant));
    return flatValues(component, startOf(component, v), overridesFrom(component, v));
  });
  for (const layer of Object.values(component.layers)) {
    const keys = new Set(flats.flatMap((f) => Object.keys(f.get(layer.id) ?? {})));
    for (const key of keys) {
      const samples = variants.map((variant, i) => ({
        variant,
        value: flats[i]?.get(layer.id)?.[key] ?? defaultsOf(layer.kind)[key] ?? "",
      }));
      for (const s of fewestDeclarations(
        traits.map((t) => t.id),
        samples,
      ))
        out.say(
          s.when,
          twin.get(layer.id) as Id,
          out.says(s.when, twin.get(layer.id) as Id, key) ? {} : { [key]: s.value },
        );
    }
  }
  const at = ["pieces", piece.id];
  const layers = Object.values(component.layers)
    .filter((l) => l.id !== ROOT)
    .map((l): Layer => ({
      ...l,
      id: twin.get(l.id) as Id,
      parent: twin.get(l.parent ?? ROOT) as Id,
    }));
  const gone = removeLayers(piece, [id]);
  return {
    id: box.id,
    change: {
      label: `Make layers of ${copy.name}`,
      ops: [
        ...rulesOnto(piece, new Set([id]), box.id),
        ...gone.ops,
        ...[box, ...layers].map((l) => set([...at, "layers", l.id], l)),
        ...out.ops(piece),
      ],
    },
  };
};

const words = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[\s\d_-]+$/g, "")
    .trim();

/** The texts a component's copies can set, by the names of the option and its layer. */
const textOptions = (component: Piece): { id: Id; names: string[] }[] =>
  Object.values(component.options)
    .filter((o) => o.key === "text")
    .map((o) => ({
      id: o.id,
      names: [words(o.name), words(component.layers[o.layer]?.name ?? "")],
    }));

/** Puts copies of a component in the place of layers, with their place and size, and with their texts where names match. */
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
  const options = textOptions(component);
  const at = ["pieces", piece.id];
  const out = new Declarations();
  const made: Id[] = [];
  const ops: Op[] = [];
  for (const id of tops) {
    const layer = piece.layers[id] as Layer;
    const box = boxes.get(id);
    const copy: Layer = {
      id: newId(),
      kind: "instance",
      name: layer.name,
      parent: layer.parent,
      order: layer.order,
    };
    made.push(copy.id);
    out.say({}, copy.id, {
      component: componentId,
      ...(box
        ? { width: box.width, height: box.height, widthMode: "fixed", heightMode: "fixed" }
        : {}),
    });
    for (const look of looksOf(piece)) {
      const changes = look.changes[id];
      if (changes)
        out.say(
          look.when,
          copy.id,
          only(
            changes,
            (k) =>
              isPlacing(changes)(k) ||
              (layer.kind === "instance" && (k.startsWith(TRAIT) || k.startsWith(OPTION))),
          ),
        );
      for (const inner of subtree(piece, id)) {
        const text = look.changes[inner]?.text;
        const name = words(piece.layers[inner]?.name ?? "");
        const option = text === undefined ? undefined : options.find((o) => o.names.includes(name));
        if (option && text !== undefined)
          out.say(look.when, copy.id, { [OPTION + option.id]: text });
      }
    }
    ops.push(
      ...rulesOnto(piece, new Set(subtree(piece, id)), copy.id),
      set([...at, "layers", copy.id], copy),
    );
  }
  return {
    ids: made,
    change: {
      label: `Replace by ${component.name}`,
      ops: [...removeLayers(piece, tops).ops, ...ops, ...out.ops(piece)],
    },
  };
};
