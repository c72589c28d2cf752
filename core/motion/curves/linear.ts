import { present } from "../../basics";
import type { Easing } from "../../project";
import { curveOf } from "./easing";
import type { Curve } from "./easing";

/** A curve as straight pieces: times and values, 0–1. */
interface Polyline {
  readonly points: readonly (readonly [t: number, value: number])[];
  /** the largest distance from the curve, as a share of the way */ readonly error: number;
}

/** How closely a curve is looked at. */
const FINE = 2000;

/** The farthest of the samples between two from the straight line that joins them. */
const farthest = (values: readonly number[], a: number, b: number): { at: number; off: number } => {
  const from = present(values[a]);
  const slope = (present(values[b]) - from) / (b - a);
  let at = a;
  let off = 0;
  for (let i = a + 1; i < b; i++) {
    const d = Math.abs(present(values[i]) - from - slope * (i - a));
    if (d > off) {
      off = d;
      at = i;
    }
  }
  return { at, off };
};

/**
 * Straight pieces that stay within `most` of a curve: it is split where it is farthest from them
 * (Douglas–Peucker in one dimension).
 */
const polylineOf = (curve: Curve, most: number): Polyline => {
  const values = Array.from({ length: FINE + 1 }, (_, i) => curve(i / FINE));
  const keep = new Set([0, FINE]);
  const stack: [number, number][] = [[0, FINE]];
  let error = 0;
  for (let next = stack.pop(); next; next = stack.pop()) {
    const [a, b] = next;
    const { at, off } = farthest(values, a, b);
    if (off <= most) {
      error = Math.max(error, off);
      continue;
    }
    keep.add(at);
    stack.push([a, at], [at, b]);
  }
  return {
    points: [...keep].sort((a, b) => a - b).map((i) => [i / FINE, present(values[i])]),
    error,
  };
};

const short = (n: number, digits: number): string =>
  String(Math.round(n * 10 ** digits) / 10 ** digits);

/** What is written is rounded to so much of the way. */
const WRITTEN = 1e-4;

/**
 * Any curve as CSS `linear()` (CSS Easing Functions Level 2 §2.2), and how far at most it is from
 * the curve, as a share of the way. `most` is the distance allowed; 1/500 of the way is less than a
 * pixel of what moves by 400.
 */
export const cssLinear = (
  easing: Easing,
  most = 0.002,
): { readonly css: string; readonly error: number } => {
  const { points, error } = polylineOf(curveOf(easing), most);
  const last = points.length - 1;
  return {
    css: `linear(${points.map(([t, v], i) => short(v, 4) + (i === 0 || i === last ? "" : ` ${short(t * 100, 2)}%`)).join(", ")})`,
    error: error + WRITTEN,
  };
};

/**
 * An easing as CSS writes it: its own word where it has one, else `linear()` within a stated error.
 */
export const cssEasing = (
  easing: Easing,
  most?: number,
): { readonly css: string; readonly error: number } => {
  if (typeof easing === "string") return { css: easing, error: 0 };
  if (!("kind" in easing))
    return { css: `cubic-bezier(${easing.map((n) => short(n, 4)).join(", ")})`, error: 0 };
  if (easing.kind === "steps")
    return { css: `steps(${easing.count}, jump-${easing.jump})`, error: 0 };
  return cssLinear(easing, most);
};
