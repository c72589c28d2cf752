import type { Id } from "../basics";
import { restingVariant } from "../looks";
import type { Motion, Project } from "../project";
import { scheduleTimers, noteInMotion } from "./timers";
import { liveAt } from "./chain";
import { cancel, keyDown, keyUp, lift, moveFocus, moveOver, press } from "./contact";
import { keepDrag, moveTo } from "./drag";
import { writeTraits } from "./writing";
import { listensFor } from "./listening";
import { onLayer } from "./fire";
import { goTo } from "./navigate";
import type { Emit, MachineEvent, Input, Path, State } from "./types";
import { runDue } from "./wait";

const still: Motion = { kind: "cut", duration: 0, delay: 0, easing: "linear" };
/** A quick tween for traits switched by hand, so that one sees what changed. */
export const byHand: Motion = { kind: "tween", duration: 150, delay: 0, easing: "ease-out" };

/** The state a piece starts in, with the waits that begin at once. */
export const start = (project: Project, piece: Id, now = 0): State =>
  scheduleTimers(project, {
    now,
    screen: piece,
    history: [],
    overlays: [],
    traits: {},
    options: {},
    writers: {},
    serial: 1,
    timers: [],
    armed: {},
    holds: [],
    over: [],
    pressed: null,
    grip: null,
    trail: [],
    drag: null,
    byKey: null,
    heldIn: [],
    clicked: null,
    focused: [],
    refocus: null,
    clips: {},
    scrolled: {},
    seen: [],
    entries: {},
    sending: {},
    answersWell: true,
    settling: {},
    stopped: {},
  });

const take = (project: Project, state: State, input: Input, emit: Emit): State => {
  switch (input.type) {
    case "over":
      return moveOver(project, state, input.layer, emit);
    case "move":
      return moveTo(project, state, [input.x, input.y], emit);
    case "down":
      return press(project, state, state.over, null, emit);
    case "up":
      return state.byKey === null ? lift(project, state, emit) : state;
    case "cancel":
      return cancel(project, state, emit);
    case "focus":
      return moveFocus(project, state, input.layer, emit);
    case "key":
      return input.phase === "down"
        ? keyDown(project, state, input.key, emit)
        : keyUp(project, state, input.key, emit);
    case "scroll": {
      const next = {
        ...state,
        scrolled: { ...state.scrolled, [`${state.screen}/${input.layer}`]: Math.max(0, input.to) },
      };
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
      return { ...state, answersWell: input.well };
    case "show":
      return showTrait(project, state, input.at, input.trait, input.value, emit);
    case "screen":
      return input.screen === state.screen
        ? state
        : goTo(project, state, input.screen, still, { path: input.screen, rule: null }, emit);
  }
};

/** Feeds one input. Same state and input give the same result, always. */
export const step = (
  project: Project,
  state: State,
  input: Input,
): { state: State; happenings: MachineEvent[] } => {
  const happenings: MachineEvent[] = [];
  const emit: Emit = (h) => happenings.push(h);
  const taken = refocus(project, take(project, state, input, emit), emit);
  return { state: refocus(project, runDue(project, taken, taken.now, emit), emit), happenings };
};

/** Layers have come into sight, others out of it; those that come are told so. */
const see = (project: Project, state: State, seen: readonly Path[], emit: Emit): State =>
  seen
    .filter((p) => !state.seen.includes(p))
    .reduce((s, p) => onLayer(project, s, p, listensFor("seen"), emit), { ...state, seen });

/** The keyboard's focus goes back to where it was before an overlay. */
const refocus = (project: Project, state: State, emit: Emit): State =>
  state.refocus === null
    ? state
    : moveFocus(project, { ...state, refocus: null }, state.refocus, emit);

const showTrait = (
  project: Project,
  state: State,
  at: Path,
  trait: Id,
  value: Id,
  emit: Emit,
): State => {
  const live = liveAt(project, state, at);
  if (!live?.piece.traits[trait]?.values[value]) return state;
  const serial = state.serial + 1;
  const written = writeTraits(project, { ...state, serial }, live, { [trait]: value }, serial);
  const moving = written.sets.length
    ? noteInMotion(project, written.state, at, byHand)
    : written.state;
  const next = scheduleTimers(project, moving);
  if (written.sets.length)
    emit({ type: "shown", at: state.now, state: next, path: at, sets: written.sets });
  return next;
};

/** Lets time pass until `until` (ms), firing waits at the very moment they are due. */
export const advance = (
  project: Project,
  state: State,
  until: number,
): { state: State; happenings: MachineEvent[] } => {
  const happenings: MachineEvent[] = [];
  const emit: Emit = (h) => happenings.push(h);
  const next = refocus(project, runDue(project, state, Math.max(until, state.now), emit), emit);
  return { state: { ...next, now: Math.max(next.now, until) }, happenings };
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
  return scheduleTimers(project, keepDrag(project, { ...state, screen, overlays, stopped: {} }));
};
