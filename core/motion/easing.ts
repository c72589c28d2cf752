import bezier from "bezier-easing";
import type { Easing } from "../project/types";

/** Progress of a change by progress of time, both 0–1 at the ends (values between may overshoot). */
export type Curve = (t: number) => number;

/** The CSS easing keywords as cubic Béziers (CSS Easing Functions Level 1). */
export const keywords: Readonly<Record<string, readonly [number, number, number, number]>> = {
  "linear": [0, 0, 1, 1], "ease": [0.25, 0.1, 0.25, 1], "ease-in": [0.42, 0, 1, 1], "ease-out": [0, 0, 0.58, 1], "ease-in-out": [0.42, 0, 0.58, 1],
};

const curves = new Map<string, Curve>();

/** The curve of an easing; unknown words move evenly. */
export const curveOf = (easing: Easing): Curve => {
  const numbers = typeof easing === "string" ? (keywords[easing] ?? [0, 0, 1, 1]) : easing;
  const key = numbers.join();
  let curve = curves.get(key);
  if (!curve) {
    const [x1, y1, x2, y2] = numbers;
    curve = bezier(Math.min(1, Math.max(0, x1)), y1, Math.min(1, Math.max(0, x2)), y2);
    curves.set(key, curve);
  }
  return curve;
};
