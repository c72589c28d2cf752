import { restingVariant } from "../looks";
import type { Id } from "../basics";
import type { Project } from "../project";
import { keepDrag } from "./input/drag";
import { changed, initialState } from "./state";
import type { State } from "./state";
import { scheduleTimers } from "./time/timers";

/** The state a piece starts in, with the waits that begin at once. */
export const start = (project: Project, piece: Id, now = 0): State =>
  scheduleTimers(project, initialState(piece, now));

/** The traits of the shown piece itself. */
export const shownVariant = (project: Project, state: State) => {
  const piece = project.pieces[state.screen];
  return piece ? (state.traits[state.screen] ?? restingVariant(piece)) : {};
};

/** After an edit: what no longer exists is let go, waits are looked at afresh. */
export const revise = (project: Project, state: State): State => {
  const screen = project.pieces[state.screen]
    ? state.screen
    : (state.history.findLast((s) => project.pieces[s]) ?? state.screen);
  const overlays = state.overlays.every((o) => project.pieces[o.screen])
    ? state.overlays
    : state.overlays.filter((o) => project.pieces[o.screen]);
  const kept = keepDrag(project, { ...state, screen, overlays });
  return scheduleTimers(project, changed(kept, "timers", { stopped: {} }));
};
