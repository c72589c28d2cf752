import type { TriggerType } from "../project";

/** By what else than a mouse a trigger should be set off, where a mouse does. */
export interface Means {
  readonly finger: boolean;
  readonly keys: boolean;
}

const both = { finger: true, keys: true };
const finger = { finger: true, keys: false };
// hovering, dragging and double clicks are looked at by checks of their own; the rest needs no hand
const none = { finger: false, keys: false };

export const means: Readonly<Record<TriggerType, Means>> = {
  click: both,
  double: none,
  press: both,
  release: both,
  hold: both,
  enter: none,
  leave: none,
  hover: none,
  focus: none,
  blur: none,
  key: none,
  signal: finger,
  delay: finger,
  settled: finger,
  drag: none,
  played: none,
  paused: none,
  reached: none,
  ended: none,
  typed: none,
  sent: none,
  succeeded: none,
  failed: none,
  seen: none,
};
