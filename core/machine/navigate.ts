import type { Id } from "../basics";
import type { Motion, Project } from "../project";
import { scheduleTimers } from "./time/timers";
import { endReverts } from "./rules/reverts";
import { overlayOf, overlayPart, without } from "./surface";
import type { Emit } from "./events";
import { changed, unpressed, untouched } from "./state";
import type { State } from "./state";
import type { Path } from "./types";

/** What effects that change screens compete for. */
export const SCREEN = "screen";

/** Which rule leads elsewhere; null when it was done from outside. */
export interface Cause {
  readonly path: Path;
  readonly rule: Id | null;
}

const enterScreen = (
  project: Project,
  state: State,
  screen: Id,
  history: readonly Id[],
  motion: Motion,
  cause: Cause,
  emit: Emit,
): State => {
  // what was held or waited for on the screen left behind ends with it, as do its overlays
  const left = closeAll(
    endReverts(
      project,
      state,
      () => true,
      () => undefined,
    ),
  );
  const next = scheduleTimers(project, {
    ...untouched(left),
    screen,
    history,
    clips: {},
    forms: { ...left.forms, sending: {} },
    scroll: { ...left.scroll, inSight: [] },
    timers: { ...left.timers, waits: [], scheduled: {}, settling: {} },
  });
  emit({
    type: "navigated",
    at: state.now,
    state: next,
    path: cause.path,
    rule: cause.rule,
    from: state.screen,
    to: screen,
    motion,
  });
  return next;
};

/** Overlays begin anew each time they are opened: what they were goes when they do. */
const forget = (state: State, path: Path): State => ({
  ...state,
  traits: without(state.traits, path),
  options: without(state.options, path),
  writers: without(state.writers, path),
  clips: without(state.clips, path),
  forms: {
    ...state.forms,
    entries: without(state.forms.entries, path),
    sending: without(state.forms.sending, path),
  },
  scroll: { ...state.scroll, offsets: without(state.scroll.offsets, path) },
  timers: {
    ...state.timers,
    settling: without(state.timers.settling, path),
    stopped: without(state.timers.stopped, path),
  },
});

const closeAll = (state: State): State =>
  state.overlays.length === 0
    ? state
    : {
        ...state.overlays.reduce(
          (s, o) => forget(s, `${state.screen}/${overlayPart(o.screen)}`),
          state,
        ),
        overlays: [],
      };

export const goTo = (
  project: Project,
  state: State,
  screen: Id,
  motion: Motion,
  cause: Cause,
  emit: Emit,
): State =>
  screen === state.screen || !project.pieces[screen]
    ? state
    : enterScreen(
        project,
        state,
        screen,
        [...state.history, state.screen].slice(-100),
        motion,
        cause,
        emit,
      );

/** Back is out of the front overlay, else to the screen before. */
export const goBack = (
  project: Project,
  state: State,
  motion: Motion,
  cause: Cause,
  emit: Emit,
): State => {
  const front = state.overlays.at(-1);
  if (front) return closeOverlay(project, state, front.screen, motion, cause, emit);
  const to = state.history.findLast((s) => project.pieces[s]);
  return to === undefined
    ? state
    : enterScreen(
        project,
        state,
        to,
        state.history.slice(0, state.history.lastIndexOf(to)),
        motion,
        cause,
        emit,
      );
};

/** What is pressed, hovered and focused is let go, seen by all; waits go on. */
const letGo = (project: Project, state: State, emit: Emit): State => {
  const ended = endReverts(project, state, () => true, emit);
  return untouched(unpressed(ended));
};

/**
 * Shows a screen over what is there; one that lies there already comes to the front and begins
 * anew.
 */
export const openOverlay = (
  project: Project,
  state: State,
  screen: Id,
  motion: Motion,
  cause: Cause,
  emit: Emit,
): State => {
  if (project.pieces[screen]?.kind !== "screen" || screen === state.screen) return state;
  const returnTo = state.keyboard.focused[0]?.slice(state.screen.length + 1) ?? null;
  const free = forget(letGo(project, state, emit), `${state.screen}/${overlayPart(screen)}`);
  const next = scheduleTimers(project, {
    ...free,
    overlays: [...free.overlays.filter((o) => o.screen !== screen), { screen, returnTo, motion }],
  });
  emit({
    type: "opened",
    at: state.now,
    state: next,
    path: cause.path,
    rule: cause.rule,
    screen,
    motion,
  });
  return next;
};

/** Takes an overlay away; the keyboard's focus goes back to where it was when it was opened. */
export const closeOverlay = (
  project: Project,
  state: State,
  screen: Id,
  motion: Motion,
  cause: Cause,
  emit: Emit,
): State => {
  const overlay = state.overlays.find((o) => o.screen === screen);
  if (!overlay) return state;
  const free = forget(letGo(project, state, emit), `${state.screen}/${overlayPart(screen)}`);
  const overlays = free.overlays.filter((o) => o !== overlay);
  const back = changed({ ...free, overlays }, "keyboard", { refocus: overlay.returnTo });
  const next = scheduleTimers(project, back);
  emit({
    type: "closed",
    at: state.now,
    state: next,
    path: cause.path,
    rule: cause.rule,
    screen,
    motion,
  });
  return next;
};

/** The overlay that "close" said at a path means: the one it is said in, else the front one. */
export const overlayMeant = (state: State, path: Path): Id | null => {
  const inside = overlayOf(path.split("/")[1] ?? "");
  return inside ?? state.overlays.at(-1)?.screen ?? null;
};
