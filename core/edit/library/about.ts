import type { Id } from "../../basics";
import { ownPieces } from "../../world";
import { inOrder, orderAfter, remove, set } from "../../project";
import type { About, Change, Op, Piece, Project, Status } from "../../project";
import { editWords } from "../words";

const at = (piece: Piece, ...rest: string[]): string[] => ["pieces", piece.id, ...rest];

/** How far a component is: not to be used yet, to be used, or what is used in its stead. */
export const setStatus = (piece: Piece, status: Status): Change => ({
  label: editWords.setStatus(piece.name),
  ops: [status === "draft" ? remove(at(piece, "status")) : set(at(piece, "status"), status)],
});

/** Writes a part of what is said about a component; nothing where the text is empty. */
export const setAbout = (piece: Piece, part: keyof About, text: string): Change => {
  const { [part]: _before, ...others } = piece.about ?? {};
  const about: About = text.trim() === "" ? others : { ...others, [part]: text };
  const isEmpty = Object.values(about).every((said) => said === undefined);
  return {
    label: editWords.describe(piece.name),
    ops: [isEmpty ? remove(at(piece, "about")) : set(at(piece, "about"), about)],
  };
};

const inGroup = (piece: Piece, group: string): Op =>
  group === "" ? remove(at(piece, "group")) : set(at(piece, "group"), group);

/** Puts a component into a group of the library, last there; "" is none. */
export const moveToGroup = (project: Project, id: Id, group: string): Change | null => {
  const piece = project.pieces[id];
  if (!piece || (piece.group ?? "") === group) return null;
  const order = orderAfter(Object.values(project.pieces));
  return {
    label: editWords.moveToGroup(piece.name, group),
    ops: [inGroup(piece, group), set(at(piece, "order"), order)],
  };
};

const groupsIn = (pieces: readonly Piece[]): readonly string[] => [
  ...new Set(pieces.flatMap(({ kind, group }) => (kind === "component" && group ? [group] : []))),
];

/**
 * The groups of the library in the order of their first components, without the empty one; those
 * of adopted systems come last.
 */
export const libraryGroups = (project: Project): readonly string[] => {
  const own = ownGroups(project);
  return [...own, ...groupsIn(inOrder(project.pieces)).filter((group) => !own.includes(group))];
};

/** The groups that the project's own components are in. */
export const ownGroups = (project: Project): readonly string[] => groupsIn(ownPieces(project));

/** Renames a group, or puts its components into another one of that name; "" dissolves it. */
export const renameGroup = (project: Project, group: string, name: string): Change => ({
  label: editWords.renameGroup(group, name),
  ops: ownPieces(project)
    .filter((piece) => piece.group === group)
    .map((piece) => inGroup(piece, name)),
});
