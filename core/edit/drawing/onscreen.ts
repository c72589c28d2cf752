import type { Id } from "../../basics";
import { restingVariant, valuesIn } from "../../looks";
import { ROOT, apply } from "../../project";
import type { Op, Piece, Project } from "../../project";
import { addPiece } from "../pieces";
import type { Made } from "../pieces";
import { editWords } from "../words";
import { addLayer } from "./layers";

interface Size {
  readonly width: number;
  readonly height: number;
}

/** A screen that exists, or a new one with what makes it. */
const screenFor = (
  project: Project,
  id: Id | null,
): { piece: Piece; ops: readonly Op[] } | null => {
  if (id !== null) {
    const piece = project.pieces[id];
    return piece?.kind === "screen" ? { piece, ops: [] } : null;
  }
  const made = addPiece(project, "screen", editWords.screen);
  const { ops } = made.change;
  const piece = apply(project, ops).doc.pieces[made.id];
  return piece ? { piece, ops } : null;
};

/**
 * Places a component in the middle of a screen, or of a new one (`screen` is null), as large as it
 * is (px): one step of undo. The answer gives the screen's id; null where there is no such screen.
 */
export const placeOnScreen = (
  project: Project,
  component: Piece,
  size: Size,
  screen: Id | null,
): Made | null => {
  const found = screenFor(project, screen);
  const root = found?.piece.layers[ROOT];
  if (!found || !root) return null;
  const { piece } = found;
  const room = valuesIn(project, piece, restingVariant(piece), root);
  const x = Math.round((room.width - size.width) / 2);
  const y = Math.round((room.height - size.height) / 2);
  const copy = addLayer(piece, "instance", ROOT, { component: component.id, x, y }, component.name);
  return {
    id: piece.id,
    change: {
      label: editWords.placeOn(component.name, piece.name),
      ops: [...found.ops, ...copy.change.ops],
    },
  };
};
