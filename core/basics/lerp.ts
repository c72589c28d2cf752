/**
 * The number between two others at a share t of the way: 0 is the first, 1 the second; t may leave
 * 0–1.
 */
export const lerp = (a: number, b: number, t: number): number => a + (b - a) * t;
