import { entryOf } from "../../basics";
import type { Easing } from "../../project";
import bezier from "bezier-easing";
import { settlingTime, springAt } from "./spring";

/**
 * Progress of a change by progress of time, both 0–1 at the ends (values between may overshoot).
 */
export type Curve = (t: number) => number;

/** The CSS easing keywords as cubic Béziers (CSS Easing Functions Level 1). */
export const keywords: Readonly<Record<string, readonly [number, number, number, number]>> = {
  linear: [0, 0, 1, 1],
  ease: [0.25, 0.1, 0.25, 1],
  "ease-in": [0.42, 0, 1, 1],
  "ease-out": [0, 0, 0.58, 1],
  "ease-in-out": [0.42, 0, 0.58, 1],
};

type Of<K extends string> = Extract<Easing, { kind: K }>;

/** CSS steps(): values change at once, `count` times (CSS Easing Functions Level 1 §2.3). */
const stepped = ({ count, jump }: Of<"steps">): Curve => {
  const more = { none: -1, both: 1, start: 0, end: 0 }[jump];
  const jumps = count + more;
  const first = jump === "start" || jump === "both" ? 1 : 0;
  return (t) => (t >= 1 ? 1 : (Math.floor(t * count + 1e-9) + first) / jumps);
};

/**
 * Something dropped that bounces: it falls with constant acceleration, and each time comes up to a
 * share `keeps` of the height before.
 */
const bouncing = ({ times, keeps }: Of<"bounce">): Curve => {
  const flights = Array.from({ length: times }, (_, i) => 2 * Math.sqrt(keeps) ** (i + 1));
  const whole = 1 + flights.reduce((a, b) => a + b, 0);
  return (t) => {
    let at = Math.min(1, Math.max(0, t)) * whole;
    if (at <= 1) return at * at;
    at -= 1;
    for (const f of flights) {
      if (at <= f) return 1 - at * (f - at);
      at -= f;
    }
    return 1;
  };
};

/** The share of the time in which something winds up before it sets out. */
const WINDING = 0.3;
const smooth = (u: number): number => u * u * (3 - 2 * u);

/** Goes back by a share of the way first, as someone does who is about to jump. */
const wound =
  ({ back }: Of<"windup">): Curve =>
  (t) =>
    t < WINDING
      ? -back * smooth(t / WINDING)
      : -back + (1 + back) * smooth(1 - (1 - (t - WINDING) / (1 - WINDING)) ** 1.6);

const made = (easing: Easing): Curve => {
  if (typeof easing === "string" || !("kind" in easing)) {
    const [x1, y1, x2, y2] =
      typeof easing === "string" ? (keywords[easing] ?? [0, 0, 1, 1]) : easing;
    return bezier(Math.min(1, Math.max(0, x1)), y1, Math.min(1, Math.max(0, x2)), y2);
  }
  switch (easing.kind) {
    case "steps":
      return stepped(easing);
    case "bounce":
      return bouncing(easing);
    case "windup":
      return wound(easing);
    case "spring": {
      const length = settlingTime(easing);
      return (t) => (t >= 1 ? 1 : 1 - springAt(easing, t * length).x);
    }
  }
};

const curves = new Map<string, Curve>();

/** The curve of an easing; unknown words move evenly. A spring's takes its settling time. */
export const curveOf = (easing: Easing): Curve => {
  const key = typeof easing === "string" ? easing : JSON.stringify(easing);
  return entryOf(curves, key, () => made(easing));
};

export const isSpring = (easing: Easing): easing is Of<"spring"> =>
  typeof easing === "object" && "kind" in easing && easing.kind === "spring";
export const isBezier = (easing: Easing): easing is readonly [number, number, number, number] =>
  typeof easing === "object" && !("kind" in easing);

/** How fast a curve is at a moment, in its own terms: progress per whole time. */
export const slopeAt = (curve: Curve, t: number): number => {
  const h = 1e-4;
  const a = Math.max(0, t - h);
  const b = Math.min(1, t + h);
  return (curve(b) - curve(a)) / (b - a);
};
