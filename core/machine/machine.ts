import type { Id } from "../basics";
import { restingVariant } from "../looks";
import { tableEntry } from "../project";
import type { Motion, Project } from "../project";
import { scheduleTimers, noteInMotion } from "./time/timers";
import { liveAt } from "./chain";
import { cancel, clickOn, keyDown, keyUp, lift, moveFocus, moveOver, press } from "./input/contact";
import { fillIn } from "./input/forms";
import { keepDrag, moveTo } from "./input/drag";
import { writeTraits } from "./rules/writing";
import { listensFor } from "./rules/listening";
import { onLayer } from "./rules/fire";
import { goBack, goTo, openOverlay } from "./navigate";
import type { Emit, MachineEvent } from "./events";
import { changed, initialState } from "./state";
import type { State } from "./state";
import type { Input, Path } from "./types";
import { runDue } from "./time/wait";

const still: Motion = { kind: "cut", duration: 0, delay: 0, easing: "linear" };
/** A quick tween for traits switched by hand, so that one sees what changed. */
export const byHand: Motion = { kind: "tween", duration: 150, delay: 0, easing: "ease-out" };

/** Who leads to a screen where no rule does. */
const byPresenter = (path: Path) => ({ path, rule: null });

/** The state a piece starts in, with the waits that begin at once. */
export const start = (project: Project, piece: Id, now = 0): State =>
  scheduleTimers(project, initialState(piece, now));

const take = (project: Project, state: State, input: Input, emit: Emit): State => {
  switch (input.type) {
    case "over":
      return moveOver(project, state, input.layer, emit);
    case "move":
      return moveTo(project, state, [input.x, input.y], emit);
    case "down":
      return press(project, state, state.pointer.over, null, emit);
    case "up":
      return state.keyboard.pressing === null ? lift(project, state, emit) : state;
    case "cancel":
      return cancel(project, state, emit);
    case "focus":
      return moveFocus(project, state, input.layer, emit);
    case "key":
      return input.phase === "down"
        ? keyDown(project, state, input.key, emit)
        : keyUp(project, state, input.key, emit);
    case "fill":
      return fillIn(project, state, `${state.screen}/${input.layer}`, input.text, emit);
    case "click":
      return clickOn(project, state, input.layer, emit);
    case "scroll": {
      const layer = `${state.screen}/${input.layer}`;
      const offsets = { ...state.scroll.offsets, [layer]: Math.max(0, input.to) };
      const next = changed(state, "scroll", { offsets });
      emit({ type: "scrolled", at: state.now, state: next, path: state.screen });
      return next;
    }
    case "seen":
      return see(
        project,
        state,
        input.layers.map((l) => `${state.screen}/${l}`),
        emit,
      );
    case "answer":
      return changed(state, "forms", { answersWell: input.well });
    case "show":
      return showTrait(project, state, input.at, input.trait, input.value, emit);
    case "screen":
      return input.screen === state.screen
        ? state
        : goTo(project, state, input.screen, still, byPresenter(input.screen), emit);
    case "overlay":
      return openOverlay(project, state, input.screen, still, byPresenter(state.screen), emit);
    case "back":
      return goBack(project, state, still, byPresenter(state.screen), emit);
  }
};

/** Feeds one input. Same state and input give the same result, always. */
export const step = (
  project: Project,
  state: State,
  input: Input,
): { state: State; events: MachineEvent[] } => {
  const events: MachineEvent[] = [];
  const emit: Emit = (event) => events.push(event);
  const taken = refocus(project, take(project, state, input, emit), emit);
  return { state: refocus(project, runDue(project, taken, taken.now, emit), emit), events };
};

/** Layers have come into sight, others out of it; those that come are told so. */
const see = (project: Project, state: State, inSight: readonly Path[], emit: Emit): State =>
  inSight
    .filter((p) => !state.scroll.inSight.includes(p))
    .reduce(
      (s, p) => onLayer(project, s, p, listensFor("seen"), emit),
      changed(state, "scroll", { inSight }),
    );

/** The keyboard's focus goes back to where it was before an overlay. */
const refocus = (project: Project, state: State, emit: Emit): State => {
  const { refocus: layer } = state.keyboard;
  return layer === null
    ? state
    : moveFocus(project, changed(state, "keyboard", { refocus: null }), layer, emit);
};

const showTrait = (
  project: Project,
  state: State,
  at: Path,
  trait: Id,
  value: Id,
  emit: Emit,
): State => {
  const live = liveAt(project, state, at);
  const known = live && tableEntry(live.piece.traits, trait);
  if (!known || !tableEntry(known.values, value)) return state;
  const serial = state.serial + 1;
  const written = writeTraits(project, { ...state, serial }, live, { [trait]: value }, serial);
  const motion = known.motion ?? byHand;
  const moving = written.sets.length
    ? noteInMotion(project, written.state, at, motion)
    : written.state;
  const next = scheduleTimers(project, moving);
  if (written.sets.length)
    emit({ type: "shown", at: state.now, state: next, path: at, sets: written.sets, motion });
  return next;
};

/** Lets time pass until `until` (ms), firing waits at the very moment they are due. */
export const advance = (
  project: Project,
  state: State,
  until: number,
): { state: State; events: MachineEvent[] } => {
  const events: MachineEvent[] = [];
  const emit: Emit = (event) => events.push(event);
  const next = refocus(project, runDue(project, state, Math.max(until, state.now), emit), emit);
  return { state: { ...next, now: Math.max(next.now, until) }, events };
};

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
