import type { Id } from "../basics";
import type { OverlayStyle, Piece, Project } from "../project";
import type { State } from "./state";
import type { Path } from "./types";

/** Begins the part of a path that names an overlay: no layer has such an id. */
const OVER = "~";

/** An overlay's part of paths; it lies on the shown piece as a placed copy would. */
export const overlayPart = (screen: Id): Id => OVER + screen;

/** The screen an overlay's part of a path names; null for a layer's. */
export const overlayOf = (part: Id): Id | null =>
  part.startsWith(OVER) ? part.slice(OVER.length) : null;

/** How a screen lies over others. */
export const overlayStyle = (piece: Piece): OverlayStyle =>
  piece.overlay ?? { place: "centre", dim: 0.4, closes: true };

/** The path of what takes input: the front overlay, else the shown piece. */
export const frontPath = (state: State): Path => {
  const front = state.overlays.at(-1);
  return front ? `${state.screen}/${overlayPart(front.screen)}` : state.screen;
};

/** The front overlay, if a press outside of it or Escape closes it. */
export const closable = (project: Project, state: State): Id | null => {
  const front = state.overlays.at(-1);
  const piece = front && project.pieces[front.screen];
  return piece && overlayStyle(piece).closes ? piece.id : null;
};

/**
 * Whether two states show the same screen under the same overlays: where not, an event that was on
 * its way ends.
 */
export const sameSurface = (a: State, b: State): boolean =>
  a.screen === b.screen && a.overlays === b.overlays;

/**
 * A table of paths without those of one copy and the copies inside it. Keys may go on after a
 * space.
 */
export const without = <T>(
  table: Readonly<Record<Path, T>>,
  path: Path,
): Readonly<Record<Path, T>> =>
  Object.fromEntries(
    Object.entries(table).filter(
      ([key]) => key !== path && !key.startsWith(`${path}/`) && !key.startsWith(`${path} `),
    ),
  );
