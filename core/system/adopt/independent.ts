import type { Id } from "../../basics";
import { freeName } from "../../edit";
import { ROOT, adoptionOf, apply, cutText, innerId, newId, orderAfter, set } from "../../project";
import type { Change, Op, Origin, Piece, Project } from "../../project";
import { Renaming, kindsOf, ownPieces } from "../../world";
import { systemWords } from "../words";
import { pieceOps } from "./references";

const originOf = ({ adoptions }: Project, id: Id): Origin | null => {
  const adoption = adoptions[adoptionOf(id) ?? ""];
  if (!adoption) return null;
  const { system, name, number } = adoption;
  return { system, name, number, piece: innerId(id) };
};

/** Every piece of a project itself, with one component in the place of another one. */
const replacedOps = (world: Project, from: Id, to: Id): Op[] => {
  const same = (id: Id): Id => id;
  const names = {
    piece: (id: Id) => (id === from ? to : id),
    token: same,
    group: same,
    theme: same,
    asset: same,
  };
  const renaming = new Renaming(names, kindsOf(world));
  return ownPieces(world).flatMap((piece) => pieceOps(piece, renaming.piece(piece)));
};

/**
 * Makes an adopted component the project's own: a copy of it that remembers where it came from
 * stands in its place wherever the project uses it. What lies in it goes on to be adopted. Null
 * where it is not adopted.
 */
export const makeIndependent = (
  world: Project,
  id: Id,
): { readonly change: Change; readonly id: Id } | null => {
  const piece = world.pieces[id];
  const origin = originOf(world, id);
  if (!piece || !origin) return null;
  const own = ownPieces(world);
  const name = freeName(
    piece.name,
    own.map((p) => p.name),
  );
  const { group: _group, ...copied } = piece;
  const root = piece.layers[ROOT];
  const made: Piece = {
    ...copied,
    id: newId(),
    name,
    order: orderAfter(own),
    layers: root ? { ...piece.layers, [ROOT]: { ...root, name } } : piece.layers,
    origin,
  };
  const ops = [set(["pieces", made.id], made)];
  const label = cutText(systemWords.makeIndependent(piece.name), 200);
  const replaced = replacedOps(apply(world, ops).doc, id, made.id);
  return { id: made.id, change: { label, ops: [...ops, ...replaced] } };
};
