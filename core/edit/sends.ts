import type { Id } from "../basics";
import type { Piece, Project } from "../project";
import { contains } from "./pieces";

/** For each piece's looks, whether a layer of it sends forms; looks never change in place. */
const known = new WeakMap<Piece["looks"], boolean>();

const sendsItself = ({ looks }: Piece): boolean => {
  const before = known.get(looks);
  if (before !== undefined) return before;
  const sends = Object.values(looks).some((look) =>
    Object.values(look.changes).some((changes) => changes.sends === true),
  );
  known.set(looks, sends);
  return sends;
};

/**
 * Whether forms can be sent where a piece is used: by something in it, or in a component placed in
 * it; a screen leads to others, and opens them over itself.
 */
export const sendsForms = (project: Project, id: Id): boolean => {
  const isScreen = project.pieces[id]?.kind === "screen";
  return Object.values(project.pieces).some(
    (p) => sendsItself(p) && (isScreen || p.id === id || contains(project, id, p.id)),
  );
};
