import type { Id } from "../basics";
import { inOrder, isOwn } from "../project";
import type { Piece, Project } from "../project";

/** The pieces of a project itself in order, without those it has adopted. */
export const ownPieces = ({ pieces }: Pick<Project, "pieces">): readonly Piece[] =>
  inOrder(pieces).filter(({ id }) => isOwn(id));

/** The records of a table that are a project's own, without those it has adopted. */
export const ownRecords = <T>(table: Readonly<Record<Id, T>>): Readonly<Record<Id, T>> =>
  Object.fromEntries(Object.entries(table).filter(([id]) => isOwn(id)));
