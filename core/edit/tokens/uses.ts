import { ownPieces } from "../../world";
import { entryOf } from "../../basics";
import type { Id } from "../../basics";
import type { Piece, Project } from "../../project";
import { isBound } from "../../properties";
import type { SpecifiedValue } from "../../properties";

/** Where a look says a property: a place a token can be bound at. */
export interface ValuePlace {
  readonly piece: Id;
  readonly look: Id;
  readonly layer: Id;
  readonly key: string;
  readonly said: SpecifiedValue;
}

/** Everything that looks of some pieces say, of all the project's own where none are named. */
export const places = function* (
  project: Project,
  pieces: readonly Piece[] = ownPieces(project),
): Generator<ValuePlace> {
  for (const piece of pieces)
    for (const look of Object.values(piece.looks))
      for (const [layer, changes] of Object.entries(look.changes))
        for (const [key, said] of Object.entries(changes))
          yield { piece: piece.id, look: look.id, layer, key, said };
};

export const pathOf = (p: ValuePlace): string[] => [
  "pieces",
  p.piece,
  "looks",
  p.look,
  "changes",
  p.layer,
  p.key,
];

const bound = new WeakMap<Piece, readonly ValuePlace[]>();

/** The places of a piece that are bound to tokens; kept as long as the piece stays the same. */
const boundPlaces = (project: Project, piece: Piece): readonly ValuePlace[] =>
  entryOf(bound, piece, () => [...places(project, [piece])].filter((p) => isBound(p.said)));

const byToken = new WeakMap<object, ReadonlyMap<Id, readonly ValuePlace[]>>();

/** The places where each token is bound; found once for as long as no piece changes. */
const placesByToken = (project: Project): ReadonlyMap<Id, readonly ValuePlace[]> =>
  entryOf(byToken, project.pieces, () => {
    const found = new Map<Id, ValuePlace[]>();
    for (const piece of Object.values(project.pieces))
      for (const place of boundPlaces(project, piece))
        if (isBound(place.said)) entryOf(found, place.said.token, () => []).push(place);
    return found;
  });

/** The places where a token is bound, in all pieces. */
export const usesOf = (project: Project, token: Id): readonly ValuePlace[] =>
  placesByToken(project).get(token) ?? [];
