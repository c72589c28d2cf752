import type { Id } from "../../basics";
import { adoptionOf } from "../../project";
import type { Piece } from "../../project";

/** The components that a layer of a piece may show, in whatever variant. */
const shownBy = (piece: Piece, layer: Id): readonly Id[] => {
  const said = Object.values(piece.looks).map((look) => look.changes[layer]?.component);
  const ids = said.filter((id) => typeof id === "string").filter((id) => id !== "");
  return [...new Set(ids)];
};

/** A copy of a component that an adoption brings. */
export interface Copy {
  readonly piece: Id;
  readonly layer: Id;
  readonly components: readonly Id[];
}

/** The copies in a piece of what an adoption brings. */
export const copiesOfAdopted = (piece: Piece, adoption: Id): readonly Copy[] =>
  Object.values(piece.layers)
    .filter((layer) => layer.kind === "instance")
    .flatMap((layer) => {
      const components = shownBy(piece, layer.id).filter((id) => adoptionOf(id) === adoption);
      return components.length > 0 ? [{ piece: piece.id, layer: layer.id, components }] : [];
    });
