import type { State } from "../state";

/** A part of a state while it is being made. */
export type Draft<T> = { -readonly [K in keyof T]: T[K] };

// A copy that names each field is many times faster than a spread one: the engine then knows its
// shape beforehand.

/** A copy of a state, to be changed before anybody sees it. */
export const copyOf = (s: State): Draft<State> => ({
  now: s.now,
  screen: s.screen,
  history: s.history,
  overlays: s.overlays,
  traits: s.traits,
  options: s.options,
  writers: s.writers,
  serial: s.serial,
  reverts: s.reverts,
  pointer: s.pointer,
  keyboard: s.keyboard,
  forms: s.forms,
  clips: s.clips,
  scroll: s.scroll,
  timers: s.timers,
});

type Pointer = State["pointer"];
type Keyboard = State["keyboard"];
type Timers = State["timers"];

export const pointerOf = ({ pointer: p }: State): Draft<Pointer> => ({
  over: p.over,
  pressed: p.pressed,
  grip: p.grip,
  trail: p.trail,
  drag: p.drag,
  heldIn: p.heldIn,
  clicked: p.clicked,
});

export const keyboardOf = ({ keyboard: k }: State): Draft<Keyboard> => ({
  focused: k.focused,
  shown: k.shown,
  refocus: k.refocus,
  pressing: k.pressing,
});

/** The state with other waits. */
export const withWaits = (s: State, waits: Timers["waits"]): State => {
  const next = copyOf(s);
  const { scheduled, settling, stopped } = s.timers;
  next.timers = { waits, scheduled, settling, stopped };
  return next;
};

export const withPointer = (s: State, pointer: Pointer): State => {
  const next = copyOf(s);
  next.pointer = pointer;
  return next;
};

export const withKeyboard = (s: State, keyboard: Keyboard): State => {
  const next = copyOf(s);
  next.keyboard = keyboard;
  return next;
};

export const isEmpty = (table: Readonly<Record<string, unknown>>): boolean => {
  for (const _ in table) return false;
  return true;
};
