import type { Id } from "../../basics";
import { childrenOf, restingVariant, valuesIn } from "../../looks";
import { ROOT, apply } from "../../project";
import type { Change, Op, Piece, Project } from "../../project";
import { addPiece } from "../pieces";
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

/** What placing made: the screen it is on, and the copy there. */
interface Placed {
  readonly change: Change;
  readonly screen: Id;
  readonly copy: Id;
}

/** How far from each other copies are that would lie upon one another, px. */
const GAP = 16;

/** The first free place from one on downwards, of those where copies are placed. */
const freeFrom = (project: Project, piece: Piece, x: number, y: number, step: number): number => {
  const rest = restingVariant(piece);
  const taken = new Set(
    (childrenOf(piece).get(ROOT) ?? [])
      .map((layer) => valuesIn(project, piece, rest, layer))
      .filter((values) => values.x === x)
      .map((values) => values.y),
  );
  let free = y;
  while (taken.has(free)) free += step;
  return free;
};

/**
 * Places a component in the middle of a screen, or of a new one (`screen` is null), as large as it
 * is (px), under those that lie there already: one step of undo. Returns null where there is no
 * such screen.
 */
export const placeOnScreen = (
  project: Project,
  component: Piece,
  size: Size,
  screen: Id | null,
): Placed | null => {
  const found = screenFor(project, screen);
  const root = found?.piece.layers[ROOT];
  if (!found || !root) return null;
  const { piece } = found;
  const room = valuesIn(project, piece, restingVariant(piece), root);
  const x = Math.round((room.width - size.width) / 2);
  const middle = Math.round((room.height - size.height) / 2);
  const y = freeFrom(project, piece, x, middle, Math.round(size.height) + GAP);
  const copy = addLayer(piece, "instance", ROOT, { component: component.id, x, y }, component.name);
  return {
    screen: piece.id,
    copy: copy.id,
    change: {
      label: editWords.placeOn(component.name, piece.name),
      ops: [...found.ops, ...copy.change.ops],
    },
  };
};
