import { ROOT } from "../project/types";
import type { Project } from "../project/types";
import { arm } from "./arm";
import { chainOf, passage, split } from "./chain";
import { drop } from "./drag";
import { asks, dispatch, enabledOn, onLayer } from "./fire";
import type { Asks, Happen } from "./fire";
import { clickedInForm, isEntry, typeKey } from "./forms";
import { endHolds } from "./holds";
import { closeOverlay } from "./navigate";
import { rulesOf } from "./piece";
import { closable, frontPath, sameSurface } from "./surface";
import type { Hold, Path, State, Timer } from "./types";

/** A second click within this time of the first, on the same layer, is a double click; ms. */
export const DOUBLE = 400;

/** Layers are left and entered, from the innermost outwards and back in; what was held by being there ends. */
const shift = (
  project: Project,
  state: State,
  before: readonly Path[],
  chain: readonly Path[],
  cause: Hold["cause"],
  leave: Asks,
  enter: Asks,
  happen: Happen,
): State => {
  const left = before.filter((p) => !chain.includes(p));
  const entered = chain.filter((p) => !before.includes(p)).reverse();
  let next = state;
  for (const path of left) {
    next = arm(
      project,
      endHolds(project, next, (h) => h.cause === cause && h.source === path, happen),
    );
    next = onLayer(project, next, path, leave, happen);
    if (!sameSurface(next, state)) return next;
  }
  for (const path of entered) {
    next = onLayer(project, next, path, enter, happen);
    if (!sameSurface(next, state)) return next;
  }
  return next;
};

/** The pointer is over a layer now, or over none. A hold whose layer is left is given up. */
export const moveOver = (
  project: Project,
  state: State,
  layer: Path | null,
  happen: Happen,
): State => {
  const chain = chainOf(project, state, layer);
  if (chain.length === state.over.length && chain.every((p) => state.over.includes(p)))
    return state;
  const timers =
    state.byKey === null
      ? state.timers.filter((t) => t.source === undefined || chain.includes(t.source))
      : state.timers;
  return shift(
    project,
    { ...state, over: chain, timers },
    state.over,
    chain,
    "hover",
    asks("leave"),
    asks("enter", "hover"),
    happen,
  );
};

/** The keyboard's focus goes to a layer, or away. Layers around it count as focused while it is inside. */
export const moveFocus = (
  project: Project,
  state: State,
  layer: Path | null,
  happen: Happen,
): State => {
  const chain = chainOf(project, state, layer);
  if (chain.length === state.focused.length && chain.every((p) => state.focused.includes(p)))
    return state;
  // a key that is down when the focus goes presses nothing any more
  const given = state.byKey === null ? state : release(project, state, happen);
  return shift(
    project,
    { ...given, focused: chain },
    state.focused,
    chain,
    "focus",
    asks("blur"),
    asks("focus"),
    happen,
  );
};

/** Ends a press without release or click; what was dragged goes back. */
const release = (project: Project, before: State, happen: Happen): State => {
  const state = drop(project, before, true, happen);
  return arm(
    project,
    endHolds(
      project,
      {
        ...state,
        pressed: null,
        grip: null,
        byKey: null,
        heldIn: [],
        timers: state.timers.filter((t) => t.source === undefined),
      },
      (h) => h.cause === "press",
      happen,
    ),
  );
};

export const cancel = release;

/** The waits of holding: in each piece those of the innermost layer that has any. */
const holdsOn = (project: Project, state: State, chain: readonly Path[]): Timer[] =>
  passage(project, state, chain).flatMap(({ live, layers }) => {
    for (const layer of layers) {
      const rules = enabledOn(project, state, live, layer, asks("hold"));
      if (rules.length)
        return rules.map((r): Timer => ({
          at: live.path,
          rule: r.id,
          due: state.now + (r.trigger.ms ?? 0),
          source: `${live.path}/${layer}`,
        }));
    }
    return [];
  });

/** A press on layers, by the pointer or by a key. The pointer takes the keyboard's focus away. */
export const press = (
  project: Project,
  state: State,
  chain: readonly Path[],
  byKey: string | null,
  happen: Happen,
): State => {
  if (state.pressed) return state;
  // what is filled in takes the focus that is pressed on it
  const entry = byKey === null && isEntry(project, state, chain[0]) ? (chain[0] ?? null) : null;
  const ready =
    byKey === null
      ? moveFocus(project, state, entry && entry.slice(state.screen.length + 1), happen)
      : state;
  const pressed = dispatch(
    project,
    {
      ...ready,
      pressed: chain,
      byKey,
      heldIn: [],
      grip: byKey === null ? (ready.trail.at(-1)?.point ?? null) : null,
    },
    asks("press"),
    chain,
    happen,
  ).state;
  return pressed.pressed
    ? { ...pressed, timers: [...pressed.timers, ...holdsOn(project, pressed, chain)] }
    : pressed;
};

const waiting = ["click", "release", "double", "hold"];

/** What was clicked a moment ago is clicked again; or this click is remembered for the next. */
const clickedTwice = (
  project: Project,
  before: State,
  now: State,
  common: readonly Path[],
  happen: Happen,
): { state: State; any: boolean } => {
  const { clicked } = before;
  const isSoon = clicked !== null && before.now - clicked.at <= DOUBLE;
  const twice = isSoon ? common.filter((p) => clicked.chain.includes(p)) : [];
  const double = dispatch(project, now, asks("double"), twice, happen);
  const isOver = twice.length > 0 || common.length === 0;
  return {
    state: { ...double.state, clicked: isOver ? null : { chain: common, at: before.now } },
    any: double.any,
  };
};

/** Nothing answered a press: either the pointer had left what waited for it, or nothing did. */
const tellUnanswered = (
  project: Project,
  before: State,
  now: State,
  common: readonly Path[],
  happen: Happen,
): void => {
  const pressed = before.pressed ?? [];
  const [inner] = pressed;
  if (!inner) return;
  const waited = passage(project, before, pressed).some(({ live, layers }) =>
    rulesOf(project, live.piece).some(
      (r) => waiting.includes(r.trigger.type) && layers.includes(r.source ?? ROOT),
    ),
  );
  const about = { at: before.now, state: now, layer: inner };
  if (!waited) happen({ type: "missed", ...about });
  else if (common.length < pressed.length) happen({ type: "leftPressed", ...about });
};

/** What was pressed is let go: release and click where it still is, then what the press held ends. */
export const lift = (project: Project, before: State, happen: Happen): State => {
  if (!before.pressed) return before;
  const state = drop(project, before, false, happen);
  if (!state.pressed) return state;
  const { pressed, heldIn } = state;
  const there = state.byKey === null ? state.over : state.focused;
  const common = pressed.filter((p) => there.includes(p));
  const up: State = {
    ...state,
    pressed: null,
    grip: null,
    byKey: null,
    heldIn: [],
    timers: state.timers.filter((t) => t.source === undefined),
  };
  const released = dispatch(project, up, asks("release"), common, happen, heldIn);
  const clicked = sameSurface(released.state, state)
    ? dispatch(project, released.state, asks("click"), common, happen, heldIn)
    : { state: released.state, any: false };
  const byClick = heldIn.length === 0;
  let next = clicked.state;
  if (sameSurface(next, state) && common.length > 0 && byClick)
    next = clickedInForm(project, next, common, happen);
  const double =
    sameSurface(next, state) && state.byKey === null && byClick
      ? clickedTwice(project, state, next, common, happen)
      : { state: next, any: false };
  next = double.state;
  const answered = released.any || clicked.any || double.any;
  if (!answered && byClick) tellUnanswered(project, state, next, common, happen);
  // a press and a release beside the front overlay
  if (pressed.length === 0 && state.over.length === 0) next = closeFront(project, next, happen);
  return sameSurface(next, state)
    ? arm(
        project,
        endHolds(project, next, (h) => h.cause === "press", happen),
      )
    : next;
};

/** Closes the front overlay as people expect of one that need not be answered. */
const closeFront = (project: Project, state: State, happen: Happen): State => {
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
        happen,
      );
};

const sameKey = (a: string, b: string): boolean =>
  a === b || (a.length === 1 && a.toLowerCase() === b.toLowerCase());

/**
 * A key goes down: rules for it answer first, from the focus outwards, or those of the whole piece while nothing is focused.
 * Else Enter and the space bar press what is focused, as a pointer would.
 */
export const keyDown = (project: Project, state: State, key: string, happen: Happen): State => {
  const typed = typeKey(project, state, key, happen);
  if (typed) return typed;
  const chain = state.focused.length ? state.focused : [`${frontPath(state)}/${ROOT}`];
  const told = dispatch(
    project,
    state,
    (r) => r.trigger.type === "key" && sameKey(r.trigger.key ?? "", key),
    chain,
    happen,
  );
  // what is being dragged is given up before anything is closed
  if (!told.any && key === "Escape")
    return told.state.drag
      ? release(project, told.state, happen)
      : closeFront(project, told.state, happen);
  if (told.any || (key !== "Enter" && key !== " ") || state.focused.length === 0) return told.state;
  return press(project, told.state, state.focused, key, happen);
};

export const keyUp = (project: Project, state: State, key: string, happen: Happen): State =>
  state.byKey === key ? lift(project, state, happen) : state;

/** A hold has lasted: what is still pressed there answers, and the press is no click in that copy any more. */
export const holdsNow = (state: State, timer: Timer): boolean =>
  timer.source !== undefined &&
  state.pressed !== null &&
  state.pressed.includes(timer.source) &&
  split(timer.source).copy === timer.at;
