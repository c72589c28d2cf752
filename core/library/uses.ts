import { entryOf } from "../basics";
import type { Id } from "../basics";
import { motionsIn, numberTokensOf, tokensOfMotion } from "../edit";
import { inOrder } from "../project";
import type { Piece, Project } from "../project";
import { isBound } from "../properties";

/** Where a component is placed: a piece, and its layers that are copies of it in some variant. */
export interface Use {
  readonly piece: Piece;
  readonly layers: readonly Id[];
}

const placed = new WeakMap<object, ReadonlyMap<Id, readonly Id[]>>();

/** The components a piece places, with the layers that do; kept as long as its looks are. */
const placedBy = (piece: Piece): ReadonlyMap<Id, readonly Id[]> =>
  entryOf(placed, piece.looks, () => {
    const layers = new Map<Id, Set<Id>>();
    for (const look of Object.values(piece.looks))
      for (const [layer, { component }] of Object.entries(look.changes))
        if (typeof component === "string")
          layers.set(component, (layers.get(component) ?? new Set()).add(layer));
    return new Map([...layers].map(([id, set]) => [id, [...set]]));
  });

const uses = new WeakMap<object, ReadonlyMap<Id, readonly Use[]>>();

/** Where each component is placed, in the order of the pieces. */
export const usesByComponent = (project: Project): ReadonlyMap<Id, readonly Use[]> =>
  entryOf(uses, project.pieces, () => {
    const found = new Map<Id, Use[]>();
    for (const piece of inOrder(project.pieces))
      for (const [component, layers] of placedBy(piece)) {
        const list = found.get(component) ?? [];
        list.push({ piece, layers });
        found.set(component, list);
      }
    return found;
  });

/** How many copies of a component there are. */
export const copiesOf = (project: Project, component: Id): number =>
  (usesByComponent(project).get(component) ?? []).reduce((n, use) => n + use.layers.length, 0);

const tokens = new WeakMap<Piece, ReadonlySet<Id>>();

/** The tokens a piece is bound to by its looks, motions, waits and drags. */
export const tokensIn = (piece: Piece): ReadonlySet<Id> =>
  entryOf(tokens, piece, () => {
    const found = new Set<Id>();
    for (const look of Object.values(piece.looks))
      for (const changes of Object.values(look.changes))
        for (const said of Object.values(changes)) if (isBound(said)) found.add(said.token);
    for (const { motion } of motionsIn([piece]))
      for (const token of tokensOfMotion(motion)) found.add(token);
    for (const rule of Object.values(piece.rules))
      for (const token of numberTokensOf(rule)) found.add(token);
    return found;
  });
