import { isBound } from "../../../properties";
import type { MotionValue, Parts } from "../../../project";
import { isObject } from "../json";
import { moreOfCurve, readCurve, writeCurve } from "./curve";
import { readDuration, writeDuration } from "./duration";
import type { Kind } from "./kind";

/** A duration with a curve and, where it says one, a delay (§9.4). */
export const transitionKind: Kind<Parts<MotionValue>> = {
  name: "transition",
  type: "motion",
  read: (json, { part }) => {
    if (!isObject(json)) return undefined;
    const duration = part(json.duration, "duration", readDuration);
    const easing = part(json.timingFunction, "curve", readCurve);
    const delay = part(json.delay, "duration", readDuration);
    if (duration === undefined || easing === undefined) return undefined;
    return { duration, easing, ...(delay === undefined || delay === 0 ? {} : { delay }) };
  },
  write: ({ duration, easing, delay = 0 }, part) => ({
    duration: part(duration, writeDuration),
    delay: part(delay, writeDuration),
    timingFunction: part(easing, writeCurve),
  }),
  more: ({ easing }) => (isBound(easing) ? undefined : moreOfCurve(easing)),
  withMore: (value, more) => ("easing" in more ? { ...value, easing: more.easing } : value),
};
