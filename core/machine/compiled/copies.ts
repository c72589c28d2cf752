import { copyOf } from "../state";
import type { Draft, State } from "../state";

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
