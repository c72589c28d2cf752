import { ROOT } from "../../project";
import type { Project } from "../../project";
import { chainOf, propagationPath } from "../chain";
import type { Emit, RuleFilter } from "../events";
import { drop } from "../input/drag";
import { clickedInForm, isEntry, typeKey } from "../input/forms";
import { DOUBLE, closeFront, focusableIn, modifiers, sameLayers } from "../input/pressing";
import { rulesOf } from "../piece";
import { dispatch, enabledOn, onLayer } from "../rules/fire";
import { listensFor } from "../rules/listening";
import { endReverts } from "../rules/reverts";
import { triggerOf } from "../rules/triggers";
import { changed, unpressed } from "../state";
import type { Revert, State, Timer } from "../state";
import { frontPath, sameSurface } from "../surface";
import { scheduleTimers } from "../time/timers";
import type { Path } from "../types";

/**
 * Layers are left and entered, from the innermost outwards and back in; what was held by being
 * there ends.
 */
const shift = (
  project: Project,
  state: State,
  before: readonly Path[],
  chain: readonly Path[],
  cause: Revert["cause"],
  leave: RuleFilter,
  enter: RuleFilter,
  emit: Emit,
): State => {
  const left = before.filter((p) => !chain.includes(p));
  const entered = chain.filter((p) => !before.includes(p)).reverse();
  let next = state;
  for (const path of left) {
    next = scheduleTimers(
      project,
      endReverts(project, next, (r) => r.cause === cause && r.source === path, emit),
    );
    next = onLayer(project, next, path, leave, emit);
    if (!sameSurface(next, state)) return next;
  }
  for (const path of entered) {
    next = onLayer(project, next, path, enter, emit);
    if (!sameSurface(next, state)) return next;
  }
  return next;
};

/** The pointer is over a layer now, or over none. A hold whose layer is left is given up. */
export const moveOver = (project: Project, state: State, layer: Path | null, emit: Emit): State => {
  const chain = chainOf(project, state, layer);
  const { over } = state.pointer;
  if (sameLayers(chain, over)) return state;
  const waits =
    state.keyboard.pressing === null
      ? state.timers.waits.filter((t) => t.source === undefined || chain.includes(t.source))
      : state.timers.waits;
  const moved = changed(changed(state, "pointer", { over: chain }), "timers", { waits });
  return shift(
    project,
    moved,
    over,
    chain,
    "hover",
    listensFor("leave"),
    listensFor("enter", "hover"),
    emit,
  );
};

/** Rules that answer a focus, or its going: those that ask for it only where it is shown. */
const onFocus =
  (type: "focus" | "blur", isShown: boolean): RuleFilter =>
  ({ trigger }) =>
    trigger.type === type && (isShown || trigger.by === "any");

/**
 * The keyboard's focus goes to a layer, or away. Layers around it count as focused while it is
 * inside. `isShown` says whether it comes by the keyboard, so that one is shown where it is.
 */
export const moveFocus = (
  project: Project,
  state: State,
  layer: Path | null,
  emit: Emit,
  isShown = true,
): State => {
  const chain = chainOf(project, state, layer);
  const { focused, shown: wasShown } = state.keyboard;
  if (sameLayers(chain, focused)) return state;
  // a key that is down when the focus goes presses nothing any more
  const given = state.keyboard.pressing === null ? state : release(project, state, emit);
  const shown = chain.length > 0 && (isShown || isEntry(project, state, chain[0]));
  return shift(
    project,
    changed(given, "keyboard", { focused: chain, shown }),
    focused,
    chain,
    "focus",
    onFocus("blur", wasShown),
    onFocus("focus", shown),
    emit,
  );
};

/**
 * A key is pressed where a pointer had brought the focus: now one is shown where it is, and what
 * waits for that answers.
 */
const showFocus = (project: Project, state: State, key: string, emit: Emit): State => {
  const { focused, shown } = state.keyboard;
  if (shown || focused.length === 0 || modifiers.has(key)) return state;
  const waiting: RuleFilter = (r) => r.trigger.type === "focus" && r.trigger.by !== "any";
  return focused
    .toReversed()
    .reduce(
      (s, path) => (sameSurface(s, state) ? onLayer(project, s, path, waiting, emit) : s),
      changed(state, "keyboard", { shown: true }),
    );
};

/** Ends a press without release or click; what was dragged goes back. */
const release = (project: Project, before: State, emit: Emit): State => {
  const state = drop(project, before, true, emit);
  return scheduleTimers(
    project,
    endReverts(project, unpressed(state), (r) => r.cause === "press", emit),
  );
};

export const cancel = release;

/** The waits of a long press: in each piece those of the innermost layer that has any. */
const longPressTimers = (project: Project, state: State, chain: readonly Path[]): Timer[] =>
  propagationPath(project, state, chain).flatMap(({ live, layers }) => {
    for (const layer of layers) {
      const rules = enabledOn(project, state, live, layer, listensFor("hold"));
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

/**
 * A press on layers, by the pointer or by a key. The pointer gives the keyboard's focus to the
 * innermost layer that can have it, without showing that; where there is none it takes it away.
 */
export const press = (
  project: Project,
  state: State,
  chain: readonly Path[],
  byKey: string | null,
  emit: Emit,
): State => {
  if (state.pointer.pressed) return state;
  const ready =
    byKey === null
      ? moveFocus(project, state, focusableIn(project, state, chain), emit, false)
      : state;
  const grip = byKey === null ? (ready.pointer.trail.at(-1)?.point ?? null) : null;
  const down = changed(ready, "pointer", { pressed: chain, grip, heldIn: [] });
  const begun = changed(down, "keyboard", { pressing: byKey });
  const pressed = dispatch(project, begun, listensFor("press"), chain, emit).state;
  if (!pressed.pointer.pressed) return pressed;
  const waits = [...pressed.timers.waits, ...longPressTimers(project, pressed, chain)];
  return changed(pressed, "timers", { waits });
};

/** What was clicked a moment ago is clicked again; or this click is remembered for the next. */
const clickedTwice = (
  project: Project,
  before: State,
  now: State,
  common: readonly Path[],
  emit: Emit,
): { state: State; any: boolean } => {
  const { clicked } = before.pointer;
  const isSoon = clicked !== null && before.now - clicked.at <= DOUBLE;
  const twice = isSoon ? common.filter((p) => clicked.chain.includes(p)) : [];
  const double = dispatch(project, now, listensFor("double"), twice, emit);
  const isOver = twice.length > 0 || common.length === 0;
  return {
    state: changed(double.state, "pointer", {
      clicked: isOver ? null : { chain: common, at: before.now },
    }),
    any: double.any,
  };
};

/** Nothing answered a press: either the pointer had left what waited for it, or nothing did. */
const tellUnanswered = (
  project: Project,
  before: State,
  now: State,
  common: readonly Path[],
  emit: Emit,
): void => {
  const pressed = before.pointer.pressed ?? [];
  const [inner] = pressed;
  if (!inner) return;
  const waited = propagationPath(project, before, pressed).some(({ live, layers }) =>
    rulesOf(project, live.piece).some(
      (r) => triggerOf(r).afterPress && layers.includes(r.source ?? ROOT),
    ),
  );
  const about = { at: before.now, state: now, layer: inner };
  if (!waited) emit({ type: "missed", ...about });
  else if (common.length < pressed.length) emit({ type: "leftPressed", ...about });
};

/**
 * What was pressed is let go: release and click where it still is, then what the press held ends.
 */
export const lift = (project: Project, before: State, emit: Emit): State => {
  if (!before.pointer.pressed) return before;
  const state = drop(project, before, false, emit);
  if (!state.pointer.pressed) return state;
  const { pressed, heldIn } = state.pointer;
  const there = state.keyboard.pressing === null ? state.pointer.over : state.keyboard.focused;
  const common = pressed.filter((p) => there.includes(p));
  const released = dispatch(project, unpressed(state), listensFor("release"), common, emit, heldIn);
  const clicked = sameSurface(released.state, state)
    ? dispatch(project, released.state, listensFor("click"), common, emit, heldIn)
    : { state: released.state, any: false };
  const byClick = heldIn.length === 0;
  let next = clicked.state;
  if (sameSurface(next, state) && common.length > 0 && byClick)
    next = clickedInForm(project, next, common, emit);
  const double =
    sameSurface(next, state) && state.keyboard.pressing === null && byClick
      ? clickedTwice(project, state, next, common, emit)
      : { state: next, any: false };
  next = double.state;
  const answered = released.any || clicked.any || double.any;
  if (!answered && byClick) tellUnanswered(project, state, next, common, emit);
  // a press and a release beside the front overlay
  if (pressed.length === 0 && state.pointer.over.length === 0)
    next = closeFront(project, next, emit);
  return sameSurface(next, state)
    ? scheduleTimers(
        project,
        endReverts(project, next, (r) => r.cause === "press", emit),
      )
    : next;
};

/**
 * A layer is pressed and let go by what has no pointer: what is hovered meanwhile stays so. Nothing
 * happens while something else is pressed.
 */
export const clickOn = (project: Project, state: State, layer: Path, emit: Emit): State => {
  const chain = chainOf(project, state, layer);
  if (state.pointer.pressed || chain.length === 0) return state;
  const { over, trail } = state.pointer;
  const there = changed(state, "pointer", { over: chain, trail: [] });
  const next = lift(project, press(project, there, chain, null, emit), emit);
  return sameSurface(next, state) ? changed(next, "pointer", { over, trail }) : next;
};

const sameKey = (a: string, b: string): boolean =>
  a === b || (a.length === 1 && a.toLowerCase() === b.toLowerCase());

/**
 * A key goes down: rules for it answer first, from the focus outwards, or those of the whole piece
 * while nothing is focused. Else Enter and the space bar press what is focused, as a pointer would.
 */
export const keyDown = (project: Project, before: State, key: string, emit: Emit): State => {
  const state = showFocus(project, before, key, emit);
  const typed = typeKey(project, state, key, emit);
  if (typed) return typed;
  const { focused } = state.keyboard;
  const chain = focused.length ? focused : [`${frontPath(state)}/${ROOT}`];
  const told = dispatch(
    project,
    state,
    (r) => r.trigger.type === "key" && sameKey(r.trigger.key ?? "", key),
    chain,
    emit,
  );
  // what is being dragged is given up before anything is closed
  if (!told.any && key === "Escape")
    return told.state.pointer.drag
      ? release(project, told.state, emit)
      : closeFront(project, told.state, emit);
  if (told.any || (key !== "Enter" && key !== " ") || focused.length === 0) return told.state;
  return press(project, told.state, focused, key, emit);
};

export const keyUp = (project: Project, state: State, key: string, emit: Emit): State =>
  state.keyboard.pressing === key ? lift(project, state, emit) : state;
