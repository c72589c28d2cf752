import { entryOf, present } from "../../basics";
import type { Id } from "../../basics";
import { childrenOf } from "../../looks";
import {
  BASE,
  ROOT,
  byOrder,
  inOrder,
  newId,
  orderAfter,
  orderAt,
  remove,
  set,
} from "../../project";
import type { Change, Layer, LayerChanges, Op, Piece } from "../../project";
import type { LayerKind, Value } from "../../properties";
import { freeName } from "../pieces";
import type { Made } from "../pieces";
import { editWords } from "../words";

/** What a layer is called before anybody names it. */
export const kindNames: Readonly<Record<LayerKind, string>> = {
  box: editWords.box,
  ellipse: editWords.ellipse,
  line: editWords.line,
  polygon: editWords.triangle,
  path: editWords.shape,
  compound: editWords.compound,
  text: editWords.text,
  picture: editWords.image,
  icon: editWords.icon,
  instance: editWords.copy,
};

const siblings = (piece: Piece, parent: Id, without: readonly Id[] = []): Layer[] =>
  (childrenOf(piece).get(parent) ?? []).filter((l) => !without.includes(l.id));

/** A new layer on top of its parent's children, with values for all variants. */
export const addLayer = (
  piece: Piece,
  kind: LayerKind,
  parent: Id,
  values: Readonly<Record<string, Value>>,
  name?: string,
): Made => {
  const id = newId();
  const wanted = freeName(
    name ?? kindNames[kind],
    Object.values(piece.layers).map((l) => l.name),
  );
  const layer: Layer = {
    id,
    kind,
    name: wanted,
    parent,
    order: orderAfter(siblings(piece, parent)),
  };
  const at = ["pieces", piece.id];
  return {
    id,
    change: {
      label: editWords.insert(layer.name),
      ops: [set([...at, "layers", id], layer), set([...at, "looks", BASE, "changes", id], values)],
    },
  };
};

/** A layer and everything inside it, outermost first. */
export const subtree = (piece: Piece, id: Id): Id[] => [
  id,
  ...(childrenOf(piece).get(id) ?? []).flatMap((c) => subtree(piece, c.id)),
];

/** Of some layers, those not inside another of them, and never the root. */
export const topmost = (piece: Piece, ids: readonly Id[]): Id[] => {
  const chosen = new Set(ids.filter((id) => id !== ROOT));
  const inside = (id: Id): boolean => {
    const parent = piece.layers[id]?.parent;
    return parent != null && (chosen.has(parent) || inside(parent));
  };
  return [...chosen].filter((id) => piece.layers[id] && !inside(id));
};

/**
 * Removes layers with what is inside them and what looks and options say about them. Rules on them
 * stay, and are shown as broken.
 */
export const removeLayers = (piece: Piece, ids: readonly Id[]): Change => {
  const tops = topmost(piece, ids);
  const all = new Set(tops.flatMap((id) => subtree(piece, id)));
  const at = ["pieces", piece.id];
  const ops: Op[] = [];
  for (const look of Object.values(piece.looks))
    for (const id of all)
      if (look.changes[id]) ops.push(remove([...at, "looks", look.id, "changes", id]));
  for (const option of Object.values(piece.options))
    if (all.has(option.layer)) ops.push(remove([...at, "options", option.id]));
  for (const id of all) ops.push(remove([...at, "layers", id]));
  return {
    label:
      tops.length === 1
        ? editWords.delete2(piece.layers[tops[0] ?? ""]?.name)
        : editWords.deleteLayers(tops.length),
    ops,
  };
};

export const renameLayer = (piece: Piece, id: Id, name: string): Change => ({
  label: editWords.rename(name),
  ops: [
    set(["pieces", piece.id, "layers", id, "name"], name),
    ...(id === ROOT ? [set(["pieces", piece.id, "name"], name)] : []),
  ],
});

/**
 * Moves a layer one place among its siblings: +1 towards the front, -1 towards the back; null at
 * the end.
 */
export const restack = (piece: Piece, id: Id, by: 1 | -1): Change | null => {
  const layer = piece.layers[id];
  if (!layer || layer.parent === null) return null;
  const all = siblings(piece, layer.parent);
  const at = all.findIndex((l) => l.id === id) + by;
  if (at < 0 || at >= all.length) return null;
  return {
    label: editWords.move(layer.name, by),
    ops: [
      set(
        ["pieces", piece.id, "layers", id, "order"],
        orderAt(siblings(piece, layer.parent, [id]), at),
      ),
    ],
  };
};

/** Whether a layer can have children. */
export const holds = (piece: Piece, id: Id): boolean =>
  ["box", "compound"].includes(piece.layers[id]?.kind ?? "");

/**
 * What a look says about a layer, with its place moved by a way, px; a place that is bound or not
 * said stays.
 */
export const movedBy = (changes: LayerChanges, dx: number, dy: number): LayerChanges => ({
  ...changes,
  ...(typeof changes.x === "number" ? { x: changes.x + dx } : {}),
  ...(typeof changes.y === "number" ? { y: changes.y + dy } : {}),
});

/**
 * Moves what every look says about a layer's place, so that it stays where it is when the place it
 * is told from changes.
 */
export const shift = (piece: Piece, id: Id, dx: number, dy: number): Op[] =>
  Object.values(piece.looks).flatMap((look) => {
    const changes = look.changes[id];
    const at = ["pieces", piece.id, "looks", look.id, "changes", id];
    const ops: Op[] = [];
    if (dx && typeof changes?.x === "number") ops.push(set([...at, "x"], changes.x + dx));
    if (dy && typeof changes?.y === "number") ops.push(set([...at, "y"], changes.y + dy));
    return ops;
  });

/**
 * Puts layers into a parent at a place among its children (counted without them), each moved by its
 * way so that it stays where it is shown; null when a layer would be inside itself.
 */
export const moveInto = (
  piece: Piece,
  ids: readonly Id[],
  parent: Id,
  index: number,
  ways: ReadonlyMap<Id, { readonly dx: number; readonly dy: number }> = new Map(),
): Change | null => {
  const tops = topmost(piece, ids);
  if (
    tops.length === 0 ||
    tops.some((id) => subtree(piece, id).includes(parent)) ||
    !holds(piece, parent)
  )
    return null;
  const list: Layer[] = siblings(piece, parent, tops);
  const ops: Op[] = [];
  tops.forEach((id, i) => {
    const order = orderAt(list, index + i);
    list.push({ ...present(piece.layers[id]), order });
    ops.push(
      set(["pieces", piece.id, "layers", id, "parent"], parent),
      set(["pieces", piece.id, "layers", id, "order"], order),
    );
    const way = ways.get(id);
    if (way) ops.push(...shift(piece, id, way.dx, way.dy));
  });
  return { label: editWords.moveName(piece.layers[tops[0] ?? ""]?.name), ops };
};

/** What duplicates of some layers are put behind: of layers that lie one after another, the last. */
const endsOfRuns = (piece: Piece, tops: readonly Id[]): ReadonlyMap<Id, Id> => {
  const chosen = new Set(tops);
  const out = new Map<Id, Id>();
  for (const parent of new Set(tops.map((id) => piece.layers[id]?.parent ?? ROOT))) {
    let end: Id | null = null;
    for (const { id } of [...siblings(piece, parent)].reverse()) {
      if (!chosen.has(id)) end = null;
      else out.set(id, (end ??= id));
    }
  }
  return out;
};

/** Orders of the duplicates of some layers: behind them, in their own order. */
const ordersBehind = (piece: Piece, tops: readonly Id[]): ReadonlyMap<Id, string> => {
  const out = new Map<Id, string>();
  const lists = new Map<Id, Layer[]>();
  const last = new Map<Id, Id>();
  const ends = endsOfRuns(piece, tops);
  for (const top of [...tops].sort((a, b) =>
    byOrder(present(piece.layers[a]), present(piece.layers[b])),
  )) {
    const layer = present(piece.layers[top]);
    const parent = layer.parent ?? ROOT;
    const list = entryOf(lists, parent, () => siblings(piece, parent));
    const end = ends.get(top) ?? top;
    const behind = last.get(end) ?? end;
    const order = orderAt(list, list.findIndex((l) => l.id === behind) + 1);
    const twin = { ...layer, id: `${top}'`, order };
    list.push(twin);
    list.sort(byOrder);
    last.set(end, twin.id);
    out.set(top, order);
  }
  return out;
};

/**
 * Copies layers with their looks in every variant, moved by a way; in the tree they follow their
 * originals, so that one reads on. Rules are not copied: `rulesAlong` brings them, by the twins.
 */
export const duplicateLayers = (
  piece: Piece,
  ids: readonly Id[],
  by: { readonly dx: number; readonly dy: number },
): { change: Change; ids: Id[]; twins: ReadonlyMap<Id, Id> } => {
  const at = ["pieces", piece.id];
  const ops: Op[] = [];
  const made: Id[] = [];
  const twins = new Map<Id, Id>();
  const names = Object.values(piece.layers).map((l) => l.name);
  const tops = topmost(piece, ids);
  const orders = ordersBehind(piece, tops);
  for (const top of tops) {
    const twin = new Map(subtree(piece, top).map((id) => [id, newId()]));
    made.push(present(twin.get(top)));
    for (const [from, to] of twin) {
      twins.set(from, to);
      const layer = present(piece.layers[from]);
      const name = freeName(layer.name, names);
      names.push(name);
      const parent = from === top ? layer.parent : (twin.get(layer.parent ?? "") ?? layer.parent);
      const order = orders.get(from) ?? layer.order;
      ops.push(set([...at, "layers", to], { ...layer, id: to, name, parent, order }));
      for (const look of inOrder(piece.looks)) {
        const changes = look.changes[from];
        if (!changes) continue;
        const moved = from === top ? movedBy(changes, by.dx, by.dy) : changes;
        ops.push(set([...at, "looks", look.id, "changes", to], moved));
      }
    }
  }
  return {
    ids: made,
    twins,
    change: {
      label: made.length === 1 ? editWords.duplicateLayer : editWords.duplicateLayers(made.length),
      ops,
    },
  };
};
