import { generateKeyBetween } from "fractional-indexing";
import type { Id } from "../basics";
import type { Draft } from "../formats/svg";
import { BASE, inOrder, newId, set } from "../project";
import type { Change, Layer, Op, Piece } from "../project";

/**
 * Gives names that are not taken yet, in constant time each: "Wave", then "Wave 2", then "Wave 3".
 */
class FreeNames {
  private readonly taken: Set<string>;
  private readonly next = new Map<string, number>();

  constructor(names: Iterable<string>) {
    this.taken = new Set([...names].map((name) => name.toLowerCase()));
  }

  take(wanted: string): string {
    const base = wanted.replace(/ \d+$/, "");
    let name = wanted;
    for (let n = this.next.get(base) ?? 2; this.taken.has(name.toLowerCase()); n++) {
      name = `${base} ${n}`;
      this.next.set(base, n + 1);
    }
    this.taken.add(name.toLowerCase());
    return name;
  }
}

const lastOrder = (piece: Piece, parent: Id): string | null =>
  inOrder(piece.layers).findLast((layer) => layer.parent === parent)?.order ?? null;

/**
 * Puts drafts of layers on top of a parent's children; they look the same in all variants. Takes
 * time in proportion to them.
 */
export const addDrafts = (
  piece: Piece,
  drafts: readonly Draft[],
  parent: Id,
  label: string,
): { change: Change; ids: Id[] } => {
  const at = ["pieces", piece.id];
  const ops: Op[] = [];
  const ids: Id[] = [];
  const names = new FreeNames(Object.values(piece.layers).map((l) => l.name));
  const place = (list: readonly Draft[], into: Id, after: string | null): void => {
    let order = after;
    for (const draft of list) {
      const id = newId();
      order = generateKeyBetween(order, null);
      const layer: Layer = {
        id,
        kind: draft.kind,
        name: names.take(draft.name),
        parent: into,
        order,
      };
      ops.push(
        set([...at, "layers", id], layer),
        set([...at, "looks", BASE, "changes", id], draft.values),
      );
      if (into === parent) ids.push(id);
      place(draft.inside, id, null);
    }
  };
  place(drafts, parent, lastOrder(piece, parent));
  return { ids, change: { label, ops } };
};
