import type { TriggerType } from "../../project";

const opposites: Readonly<Record<TriggerType, TriggerType | null>> = {
  click: null,
  double: null,
  press: "release",
  release: "press",
  hold: null,
  enter: "leave",
  leave: "enter",
  hover: null,
  focus: "blur",
  blur: "focus",
  key: null,
  signal: null,
  delay: null,
  settled: null,
  drag: null,
  played: null,
  paused: null,
  reached: null,
  ended: null,
  typed: null,
  sent: null,
  succeeded: null,
  failed: null,
  seen: null,
};

/** The trigger that says the contrary, as leaving does of entering; null where there is none. */
export const oppositeOf = (type: TriggerType): TriggerType | null => opposites[type];
