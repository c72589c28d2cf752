import type { Easing } from "../../project";
import { present } from "../../basics";
import { curveOf, isBezier, keywords } from "./easing";

type Bezier = readonly [number, number, number, number];

/** Places at which the curves are compared. */
const PLACES = 40;
/** The widest step of the search, halved until it is below what is written. */
const FIRST_STEP = 0.4;
const LAST_STEP = 0.005;

const starts: readonly Bezier[] = [
  [0.25, 0.1, 0.25, 1],
  [0.3, 0.2, 0.25, 1.45],
  [0.4, -0.3, 0.6, 1],
];

const eachOf = ([a, b, c, d]: Bezier, next: (n: number, i: number) => number): Bezier => [
  next(a, 0),
  next(b, 1),
  next(c, 2),
  next(d, 3),
];

const clamped = (n: number, i: number): number =>
  i % 2 === 0 ? Math.min(1, Math.max(0, n)) : Math.min(10, Math.max(-10, n));

/** The sum of squared distances from what is wanted. */
const off = (bezier: Bezier, wanted: readonly number[]): number => {
  const curve = curveOf(bezier);
  return wanted.reduce((sum, value, i) => sum + (curve(i / PLACES) - value) ** 2, 0);
};

/** Walks from a curve to ever better ones, one number at a time (a pattern search). */
const improved = (from: Bezier, wanted: readonly number[]): { bezier: Bezier; off: number } => {
  let best = { bezier: from, off: off(from, wanted) };
  for (let step = FIRST_STEP; step >= LAST_STEP;) {
    const before = best.off;
    for (let i = 0; i < 4; i++)
      for (const way of [-step, step]) {
        const bezier = eachOf(best.bezier, (n, k) => (k === i ? clamped(n + way, i) : n));
        const distance = off(bezier, wanted);
        if (distance < best.off) best = { bezier, off: distance };
      }
    if (best.off === before) step /= 2;
  }
  return best;
};

const rounded = (n: number): number => Math.round(n * 1000) / 1000;

/**
 * The cubic Bézier most like a curve (least squares over time): the same where it is one or a word
 * of CSS; a spring's first swing and what it overshoots by, but not its swinging on.
 */
export const nearestBezier = (easing: Easing): Bezier => {
  if (typeof easing === "string") return present(keywords[easing]);
  if (isBezier(easing)) return easing;
  const curve = curveOf(easing);
  const wanted = Array.from({ length: PLACES + 1 }, (_, i) => curve(i / PLACES));
  const found = starts.map((start) => improved(start, wanted)).sort((a, b) => a.off - b.off);
  return eachOf(present(found[0]).bezier, rounded);
};
