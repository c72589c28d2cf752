import type { AriaState } from "../project";
import type { Role } from "../properties";

/** A key as the practice for a role wants it: any one of several is enough. */
export interface PracticeKey {
  readonly keys: readonly string[];
  /** what it does, by name of the words */
  readonly does: "use" | "check" | "next" | "previous" | "first" | "last" | "more" | "less";
  readonly optional?: boolean;
}

/** What the practice for a role wants. */
export interface Practice {
  readonly keys: readonly PracticeKey[];
  /** states it says; one of them is enough */
  readonly states: readonly AriaState[];
}

const use: PracticeKey = { keys: ["Enter"], does: "use" };
const space: PracticeKey = { keys: [" "], does: "use" };
const check: PracticeKey = { keys: [" "], does: "check" };
const next: PracticeKey = { keys: ["ArrowRight", "ArrowDown"], does: "next" };
const previous: PracticeKey = { keys: ["ArrowLeft", "ArrowUp"], does: "previous" };
const first: PracticeKey = { keys: ["Home"], does: "first", optional: true };
const last: PracticeKey = { keys: ["End"], does: "last", optional: true };
const ends = [first, last];

/** WAI-ARIA Authoring Practices: the keyboard interaction of each pattern, and its states. */
const practices: Partial<Record<Role, Practice>> = {
  button: { keys: [use, space], states: [] },
  link: { keys: [use], states: [] },
  checkbox: { keys: [check], states: ["checked"] },
  switch: { keys: [check, { ...use, optional: true }], states: ["checked"] },
  radio: { keys: [check, next, previous], states: ["checked"] },
  tab: { keys: [next, previous, ...ends], states: ["selected"] },
  menuitem: { keys: [use, next, previous, ...ends], states: [] },
  option: { keys: [next, previous, ...ends], states: ["selected"] },
  slider: {
    keys: [
      { keys: ["ArrowRight", "ArrowUp"], does: "more" },
      { keys: ["ArrowLeft", "ArrowDown"], does: "less" },
      ...ends,
    ],
    states: [],
  },
};

/** What the practice for a role wants; null where it wants nothing of the keyboard. */
export const practiceFor = (role: Role): Practice | null => practices[role] ?? null;
