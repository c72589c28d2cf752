import { ROOT } from "../../project";
import type { Emit } from "../events";
import { drop } from "../input/drag";
import { clickedInForm, typeKey } from "../input/forms";
import { DOUBLE, closeFront, modifiers, sameLayers } from "../input/pressing";
import { keyAsk } from "../rules/asks";
import type { Ask } from "../rules/asks";
import { unpressed } from "../state";
import type { Revert, State, Timer } from "../state";
import { frontPath, sameSurface } from "../surface";
import type { Path } from "../types";
import { keyboardOf, pointerOf, withKeyboard, withPointer, withWaits } from "./copies";
import { dispatch, onLayer } from "./fire";
import type { Answered } from "./fire";
import type { Program } from "./program";
import { endHeld } from "./reverts";
import { schedule } from "./waits";

const nowhere: readonly Path[] = [];

/**
 * Layers are left and entered, from the innermost outwards and back in; what was held by being
 * there ends.
 */
const shift = (
  program: Program,
  state: State,
  before: readonly Path[],
  chain: readonly Path[],
  cause: Revert["cause"],
  leave: Ask,
  enter: Ask,
  emit: Emit,
): State => {
  const { left, entered } = program.shift(before, chain);
  let next = state;
  for (const { path, copy, layer } of left) {
    next = schedule(program, endHeld(program, next, cause, path, emit));
    next = onLayer(program, next, copy, layer, leave, emit);
    if (!sameSurface(next, state)) return next;
  }
  for (const { copy, layer } of entered) {
    next = onLayer(program, next, copy, layer, enter, emit);
    if (!sameSurface(next, state)) return next;
  }
  return next;
};

/** A hold whose layer is left by the pointer is given up. */
const keepHolds = (state: State, chain: readonly Path[]): State => {
  const { waits } = state.timers;
  if (waits.length === 0 || state.keyboard.pressing !== null) return state;
  const kept = waits.filter((t) => t.source === undefined || chain.includes(t.source));
  return kept.length === waits.length ? state : withWaits(state, kept);
};

/** The pointer is over a layer now, or over none. */
export const moveOver = (program: Program, state: State, layer: Path | null, emit: Emit): State => {
  const chain = program.scene(state).chain(layer);
  const { over } = state.pointer;
  if (sameLayers(chain, over)) return state;
  const pointer = pointerOf(state);
  pointer.over = chain;
  const moved = keepHolds(withPointer(state, pointer), chain);
  return shift(program, moved, over, chain, "hover", "leave", "enter", emit);
};

/**
 * The keyboard's focus goes to a layer, or away. Layers around it count as focused while it is
 * inside. `isShown` says whether it comes by the keyboard, so that one is shown where it is.
 */
export const moveFocus = (
  program: Program,
  state: State,
  layer: Path | null,
  emit: Emit,
  isShown = true,
): State => {
  const scene = program.scene(state);
  const chain = scene.chain(layer);
  const { focused, shown: wasShown } = state.keyboard;
  if (sameLayers(chain, focused)) return state;
  // a key that is down when the focus goes presses nothing any more
  const given = state.keyboard.pressing === null ? state : release(program, state, emit);
  const shown = chain.length > 0 && (isShown || scene.isEntry(chain[0]));
  const keyboard = keyboardOf(given);
  keyboard.focused = chain;
  keyboard.shown = shown;
  return shift(
    program,
    withKeyboard(given, keyboard),
    focused,
    chain,
    "focus",
    wasShown ? "blur" : "blur any",
    shown ? "focus" : "focus any",
    emit,
  );
};

/**
 * A key is pressed where a pointer had brought the focus: now one is shown where it is, and what
 * waits for that answers.
 */
const showFocus = (program: Program, state: State, key: string, emit: Emit): State => {
  const { focused, shown } = state.keyboard;
  if (shown || focused.length === 0 || modifiers.has(key)) return state;
  const keyboard = keyboardOf(state);
  keyboard.shown = true;
  let next = withKeyboard(state, keyboard);
  for (const { copy, layer } of program.shift(nowhere, focused).entered)
    if (sameSurface(next, state)) next = onLayer(program, next, copy, layer, "focus waiting", emit);
  return next;
};

const dropped = (program: Program, state: State, isCancelled: boolean, emit: Emit): State =>
  state.pointer.drag ? drop(program.project, state, isCancelled, emit) : state;

/** Ends a press without release or click; what was dragged goes back. */
export const release = (program: Program, before: State, emit: Emit): State => {
  const state = dropped(program, before, true, emit);
  return schedule(program, endHeld(program, unpressed(state), "press", null, emit));
};

/** The waits of a long press: in each piece those of the innermost layer that has any. */
const longPressTimers = (program: Program, state: State, chain: readonly Path[]): Timer[] => {
  const timers: Timer[] = [];
  for (const { copy, layers } of program.scene(state).route(chain)) {
    const asked = copy.table.answering("hold");
    if (!asked) continue;
    const row = program.rowAt(state, copy);
    const holding = layers.find((layer) => row.answer("hold", layer).rules.length > 0);
    if (holding === undefined) continue;
    for (const { rule } of row.answer("hold", holding).rules)
      timers.push({
        at: copy.path,
        rule: rule.id,
        due: state.now + (rule.trigger.ms ?? 0),
        source: `${copy.path}/${holding}`,
      });
  }
  return timers;
};

/**
 * A press on layers, by the pointer or by a key. The pointer gives the keyboard's focus to the
 * innermost layer that can have it, without showing that; where there is none it takes it away.
 */
export const press = (
  program: Program,
  state: State,
  chain: readonly Path[],
  byKey: string | null,
  emit: Emit,
): State => {
  if (state.pointer.pressed) return state;
  const ready =
    byKey === null
      ? moveFocus(program, state, program.scene(state).focusable(chain), emit, false)
      : state;
  const pointer = pointerOf(ready);
  pointer.pressed = chain;
  pointer.grip = byKey === null ? (ready.pointer.trail.at(-1)?.point ?? null) : null;
  pointer.heldIn = [];
  const keyboard = keyboardOf(ready);
  keyboard.pressing = byKey;
  const begun = withKeyboard(withPointer(ready, pointer), keyboard);
  const pressed = dispatch(program, begun, "press", chain, emit).state;
  if (!pressed.pointer.pressed) return pressed;
  const timers = longPressTimers(program, pressed, chain);
  return timers.length === 0 ? pressed : withWaits(pressed, [...pressed.timers.waits, ...timers]);
};

/** What was clicked a moment ago is clicked again; or this click is remembered for the next. */
const clickedTwice = (
  program: Program,
  before: State,
  now: State,
  common: readonly Path[],
  emit: Emit,
): Answered => {
  const { clicked } = before.pointer;
  const isSoon = clicked !== null && before.now - clicked.at <= DOUBLE;
  const twice = isSoon ? inBoth(program, common, clicked.chain) : [];
  const double = dispatch(program, now, "double", twice, emit);
  const isOver = twice.length > 0 || common.length === 0;
  const pointer = pointerOf(double.state);
  pointer.clicked = isOver ? null : { chain: common, at: before.now };
  return { state: withPointer(double.state, pointer), any: double.any };
};

/** The layers that are in both of two chains, in the order of the first. */
const inBoth = (
  program: Program,
  some: readonly Path[],
  others: readonly Path[],
): readonly Path[] => {
  if (some === others) return some;
  const common = some.filter((p) => others.includes(p));
  return common.length === some.length ? some : program.lists.one(common);
};

/** Nothing answered a press: either the pointer had left what waited for it, or nothing did. */
const tellUnanswered = (
  program: Program,
  before: State,
  now: State,
  common: readonly Path[],
  emit: Emit,
): void => {
  const pressed = before.pointer.pressed ?? [];
  const [inner] = pressed;
  if (inner === undefined) return;
  const waited = program
    .scene(before)
    .route(pressed)
    .some(({ copy, layers }) => layers.some((layer) => copy.table.afterPress.has(layer)));
  const about = { at: before.now, state: now, layer: inner };
  if (!waited) emit({ type: "missed", ...about });
  else if (common.length < pressed.length) emit({ type: "leftPressed", ...about });
};

/** Whom a press that is let go reaches: those that are still there, and were not held too long. */
interface Reaching {
  readonly program: Program;
  readonly state: State;
  readonly common: readonly Path[];
  readonly emit: Emit;
}

/** Release, click and double click of what is let go. */
const answerLift = ({ program, state, common, emit }: Reaching): State => {
  const { heldIn } = state.pointer;
  const byClick = heldIn.length === 0;
  const released = dispatch(program, unpressed(state), "release", common, emit, heldIn);
  const clicked = sameSurface(released.state, state)
    ? dispatch(program, released.state, "click", common, emit, heldIn)
    : { state: released.state, any: false };
  let next = clicked.state;
  if (common.length > 0 && byClick && sameSurface(next, state) && program.scene(next).hasForms)
    next = clickedInForm(program.project, next, common, emit);
  const double =
    byClick && state.keyboard.pressing === null && sameSurface(next, state)
      ? clickedTwice(program, state, next, common, emit)
      : { state: next, any: false };
  const answered = released.any || clicked.any || double.any;
  if (!answered && byClick) tellUnanswered(program, state, double.state, common, emit);
  return double.state;
};

/**
 * What was pressed is let go: release and click where it still is, then what the press held ends.
 */
export const lift = (program: Program, before: State, emit: Emit): State => {
  if (!before.pointer.pressed) return before;
  const state = dropped(program, before, false, emit);
  const { pressed, over } = state.pointer;
  if (!pressed) return state;
  const there = state.keyboard.pressing === null ? over : state.keyboard.focused;
  const common = inBoth(program, pressed, there);
  let next = answerLift({ program, state, common, emit });
  // a press and a release beside the front overlay
  if (pressed.length === 0 && over.length === 0) next = closeFront(program.project, next, emit);
  return sameSurface(next, state)
    ? schedule(program, endHeld(program, next, "press", null, emit))
    : next;
};

/**
 * A layer is pressed and let go by what has no pointer: what is hovered meanwhile stays so. Nothing
 * happens while something else is pressed.
 */
export const clickOn = (program: Program, state: State, layer: Path, emit: Emit): State => {
  const chain = program.scene(state).chain(layer);
  if (state.pointer.pressed || chain.length === 0) return state;
  const { over, trail } = state.pointer;
  const there = pointerOf(state);
  there.over = chain;
  there.trail = [];
  const begun = withPointer(state, there);
  const next = lift(program, press(program, begun, chain, null, emit), emit);
  if (!sameSurface(next, state)) return next;
  const pointer = pointerOf(next);
  pointer.over = over;
  pointer.trail = trail;
  return withPointer(next, pointer);
};

/**
 * A key goes down: rules for it answer first, from the focus outwards, or those of the whole piece
 * while nothing is focused. Else Enter and the space bar press what is focused, as a pointer would.
 */
export const keyDown = (program: Program, before: State, key: string, emit: Emit): State => {
  const { project } = program;
  const state = showFocus(program, before, key, emit);
  const typed = program.scene(state).hasForms ? typeKey(project, state, key, emit) : null;
  if (typed) return typed;
  const { focused } = state.keyboard;
  const whole = [`${frontPath(state)}/${ROOT}`];
  const chain = focused.length ? focused : program.lists.one(whole);
  const told = dispatch(program, state, keyAsk(key), chain, emit);
  // what is being dragged is given up before anything is closed
  if (!told.any && key === "Escape")
    return told.state.pointer.drag
      ? release(program, told.state, emit)
      : closeFront(project, told.state, emit);
  if (told.any || (key !== "Enter" && key !== " ") || focused.length === 0) return told.state;
  return press(program, told.state, focused, key, emit);
};

export const keyUp = (program: Program, state: State, key: string, emit: Emit): State =>
  state.keyboard.pressing === key ? lift(program, state, emit) : state;
