import type { Four } from "./types";

/** Each of four numbers made anew. */
export const mapFour = ([a, b, c, d]: Four, make: (n: number) => number): Four => [
  make(a),
  make(b),
  make(c),
  make(d),
];
