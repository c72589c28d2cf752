import { ROOT } from "../../project";
import type { Project } from "../../project";
import { chainOf, split, withinScreen } from "../chain";
import type { Emit } from "../events";
import { closeOverlay } from "../navigate";
import type { State, Timer } from "../state";
import { closable, frontPath } from "../surface";
import type { Path } from "../types";
import { focusStops } from "./focus";
import { isEntry } from "./forms";

/** A second click within this time of the first, on the same layer, is a double click; ms. */
export const DOUBLE = 400;

/** Keys that do nothing by themselves (UI Events KeyboardEvent key Values, §3.2). */
export const modifiers: ReadonlySet<string> = new Set([
  "Shift",
  "Control",
  "Alt",
  "Meta",
  "CapsLock",
]);

export const sameLayers = (a: readonly Path[], b: readonly Path[]): boolean =>
  a === b || (a.length === b.length && a.every((p) => b.includes(p)));

/**
 * The innermost focusable layer of what is pressed, as a click event's focus goes in HTML. What is
 * around an entry alone is part of its field: a press on it is for the entry.
 */
export const focusableIn = (
  project: Project,
  state: State,
  chain: readonly Path[],
): Path | null => {
  const stops = focusStops(project, state);
  const whole = `${frontPath(state)}/${ROOT}`;
  for (const path of chain) {
    const here = withinScreen(path);
    if (stops.includes(here)) return here;
    if (path === whole) continue;
    const inside = stops.filter((stop) => chainOf(project, state, stop).includes(path));
    const [only] = inside;
    if (
      inside.length === 1 &&
      only !== undefined &&
      isEntry(project, state, `${state.screen}/${only}`)
    )
      return only;
  }
  return null;
};

/** Closes the front overlay as people expect of one that need not be answered. */
export const closeFront = (project: Project, state: State, emit: Emit): State => {
  const screen = closable(project, state);
  const front = state.overlays.at(-1);
  return screen === null || !front
    ? state
    : closeOverlay(
        project,
        state,
        screen,
        front.motion,
        { path: frontPath(state), rule: null },
        emit,
      );
};

/**
 * A hold has lasted: what is still pressed there answers, and the press is no click in that copy
 * any more.
 */
export const isHeldFor = (state: State, timer: Timer): boolean =>
  timer.source !== undefined &&
  state.pointer.pressed !== null &&
  state.pointer.pressed.includes(timer.source) &&
  split(timer.source).copy === timer.at;
