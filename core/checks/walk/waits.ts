import { liveAt, resolveNumbers } from "../../machine";
import type { State, Timer } from "../../machine";
import type { Project } from "../../project";

/**
 * Time that passes with each thing done, so that waits that began one after the other can be told
 * apart; ms.
 */
export const INSTANT = 1e-6;

/** A wait with the moment it began, ms. */
interface Begun {
  readonly timer: Timer;
  readonly began: number;
}

const none: readonly Begun[] = [];

const lengthOf = (project: Project, state: State, timer: Timer): number => {
  const trigger = liveAt(project, state, timer.at)?.piece.rules[timer.rule]?.trigger;
  return (trigger && resolveNumbers(project, trigger).ms) ?? 0;
};

/** Waits in the order they began; those that began together keep the order in which they end. */
export const waitsIn = (project: Project, state: State): readonly Begun[] =>
  state.timers.waits.length === 0
    ? none
    : state.timers.waits
        .map((timer) => ({ timer, began: timer.due - lengthOf(project, state, timer) }))
        .sort((a, b) => a.began - b.began || a.timer.due - b.timer.due);

export const beganTogether = (a: number, b: number): boolean => Math.abs(a - b) < INSTANT / 2;

/** The waits that may end next: of those that began together the shorter one ends first. */
export const firstToEnd = (project: Project, state: State): readonly Timer[] => {
  const waits = waitsIn(project, state);
  return waits
    .filter(
      ({ timer, began }, i) =>
        !waits.some((w, k) => k < i && beganTogether(w.began, began) && w.timer.due < timer.due),
    )
    .map(({ timer }) => timer);
};
