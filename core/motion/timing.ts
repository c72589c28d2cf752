import type { Id } from "../basics";
import type { Easing, Lane, Motion } from "../project";
import { isSpring } from "./curves/easing";
import { settlingTime } from "./curves/spring";

/** Names a lane: its layer, and its property if it is of one. */
export interface LaneName {
  readonly layer: Id;
  readonly key: string | null;
}

/** The lane a motion has for a layer or one of its properties. */
export const laneOf = (motion: Motion, name: LaneName): Lane | undefined =>
  motion.lanes?.find((l) => l.layer === name.layer && l.key === name.key);

/**
 * The timing a layer or property has: its lane's, else that of the lane around it, else the
 * motion's own.
 */
export const timingOf = (motion: Motion, name: LaneName): Lane =>
  laneOf(motion, name) ?? {
    ...(laneOf(motion, { ...name, key: null }) ?? {
      delay: 0,
      duration: motion.duration,
      easing: motion.easing,
    }),
    ...name,
  };

/** How long one go takes, ms: a spring's own settling time, else the duration. */
export const lengthOf = ({
  duration,
  easing,
}: {
  readonly duration: number;
  readonly easing: Easing;
}): number => (isSpring(easing) ? settlingTime(easing) : duration);

/**
 * How many goes a lane makes; one that goes there and back in turn ends there. Infinity: for ever.
 */
export const goesOf = ({ times = 1, turns = false }: Lane): number => {
  if (times === 0) {
    return Infinity;
  }
  return turns ? 2 * times - 1 : times;
};

/** How long a lane takes with all its goes, ms; Infinity when it goes for ever. */
export const laneLength = (lane: Lane): number =>
  goesOf(lane) === Infinity ? Infinity : lengthOf(lane) * goesOf(lane);

/**
 * How long a motion moves things, ms from the moment it is set off; lanes that go for ever are not
 * waited for.
 */
export const lastsFor = (m: Motion): number => {
  if (m.kind === "cut") return 0;
  const ends = (m.lanes ?? []).map((l) => l.delay + laneLength(l)).filter((e) => e < Infinity);
  return m.delay + Math.max(lengthOf(m), ...ends);
};
