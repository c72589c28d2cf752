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

/** Whether something in a piece, or in a component placed in it, sends forms. */
export const sendsForms = (project: Project, id: Id): boolean =>
  Object.values(project.pieces).some(
    (p) => sendsItself(p) && (p.id === id || contains(project, id, p.id)),
  );
