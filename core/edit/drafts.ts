import type { Draft } from "../formats/svg/read";
import { newId, orderAfter } from "../project/ids";
import { set } from "../project/change";
import type { Change, Op } from "../project/change";
import { BASE } from "../project/types";
import type { Id, Layer, Piece } from "../project/types";
import { childrenOf } from "../looks/tree";
import { freeName } from "./pieces";

/** Puts drafts of layers on top of a parent's children; they look the same in all variants. */
export const addDrafts = (piece: Piece, drafts: readonly Draft[], parent: Id, label: string): { change: Change; ids: Id[] } => {
  const at = ["pieces", piece.id];
  const ops: Op[] = [], ids: Id[] = [];
  const names = Object.values(piece.layers).map((l) => l.name);
  const place = (list: readonly Draft[], into: Id, siblings: readonly Layer[]): void => {
    const stack = [...siblings];
    for (const draft of list) {
      const id = newId(), name = freeName(draft.name, names);
      names.push(name);
      const layer: Layer = { id, kind: draft.kind, name, parent: into, order: orderAfter(stack) };
      stack.push(layer);
      ops.push(set([...at, "layers", id], layer), set([...at, "looks", BASE, "changes", id], draft.values));
      if (into === parent) ids.push(id);
      place(draft.inside, id, []);
    }
  };
  place(drafts, parent, childrenOf(piece).get(parent) ?? []);
  return { ids, change: { label, ops } };
};
