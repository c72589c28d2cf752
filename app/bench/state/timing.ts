import type { StateCreator } from "zustand";
import type { Id } from "#core/basics";
import type { LayoutBox } from "#core/layout";
import type { Motion, Variant } from "#core/project";

/**
 * A moment of a change, shown on a card instead of what is there at rest; `path` is where a layer
 * goes meanwhile, px of the piece.
 */
export interface Preview {
  readonly key: string;
  readonly placed: LayoutBox;
  /** ms */
  readonly at: number;
  readonly path: readonly (readonly [number, number])[];
}

/** The effect of a rule whose own motion is timed. */
interface TimedEffect {
  readonly rule: Id;
  readonly effect: number;
}

/**
 * A way between two variants that is timed without a rule, while the same rule is chosen beside it.
 */
export interface Trial {
  readonly beside: Id | undefined;
  readonly from: Variant;
  readonly to: Variant;
  readonly motion: Motion;
  /** what the motion was before */
  readonly past: readonly Motion[];
  /** by which gesture it was changed last */
  readonly gesture: string | null;
}

/** What Timing is about, and the moment it shows. */
export interface Timing {
  readonly preview: Preview | null;
  readonly timedEffect: TimedEffect | null;
  readonly trial: Trial | null;
  readonly showPreview: (preview: Preview | null) => void;
  /** chooses a rule to be timed, or one of its effects that has a motion of its own */
  readonly time: (rule: Id, effect: number | null) => void;
  readonly setTrial: (trial: Trial | null) => void;
}

/** What else of the bench timing a rule changes. */
interface Touched {
  readonly chosenRules: readonly Id[];
}

export const timing: StateCreator<Timing & Touched, [], [], Timing> = (set) => ({
  preview: null,
  timedEffect: null,
  trial: null,
  showPreview: (preview) => set({ preview }),
  time: (rule, effect) =>
    set({
      chosenRules: [rule],
      trial: null,
      timedEffect: effect === null ? null : { rule, effect },
    }),
  setTrial: (trial) => set({ trial }),
});
