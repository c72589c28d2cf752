import type { Id } from "../basics";
import type { Piece, Project, TraitTarget } from "../project";
import type { Trouble } from "./rules/trouble";

/** The components an instance layer can show, in whatever variant. */
export const componentsAt = (project: Project, piece: Piece, layer: Id): Piece[] => {
  const ids = new Set(
    Object.values(piece.looks)
      .map((l) => l.changes[layer]?.component)
      .filter((c) => typeof c === "string"),
  );
  return [...ids].flatMap((c) => project.pieces[c] ?? []);
};

/** Why a trait of a piece cannot be given what an effect gives it, null when it can. */
export const missingValue = (piece: Piece, id: Id, to: TraitTarget): Trouble | null => {
  const trait = piece.traits[id];
  if (!trait) return ["trait"];
  return "value" in to && !trait.values[to.value] ? ["value", trait.name] : null;
};
