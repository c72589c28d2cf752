import type { Rect } from "./types";

/** The smallest upright box around some; null around none. */
export const unite = (rects: readonly Rect[]): Rect | null => {
  if (rects.length === 0) return null;
  const x = Math.min(...rects.map((r) => r.x));
  const y = Math.min(...rects.map((r) => r.y));
  return {
    x,
    y,
    width: Math.max(...rects.map((r) => r.x + r.width)) - x,
    height: Math.max(...rects.map((r) => r.y + r.height)) - y,
  };
};

/** The part two boxes share; where they lie apart, its width or height is negative. */
export const intersect = (a: Rect, b: Rect): Rect => {
  const x = Math.max(a.x, b.x);
  const y = Math.max(a.y, b.y);
  return {
    x,
    y,
    width: Math.min(a.x + a.width, b.x + b.width) - x,
    height: Math.min(a.y + a.height, b.y + b.height) - y,
  };
};

/** The area of a box, px²; 0 where a size is negative. */
export const areaOf = (r: Rect): number => Math.max(0, r.width) * Math.max(0, r.height);

/** Whether two boxes share more than an edge. */
export const overlaps = (a: Rect, b: Rect): boolean => areaOf(intersect(a, b)) > 0;
