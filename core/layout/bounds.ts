import type { Id } from "../project/types";
import { toParent } from "./hit";
import type { Placed } from "./types";

/** An upright box; px. */
export interface Rect { readonly x: number; readonly y: number; readonly width: number; readonly height: number }

/** The smallest upright box around some; null around none. */
export const unite = (rects: readonly Rect[]): Rect | null => {
  if (rects.length === 0) return null;
  const x = Math.min(...rects.map((r) => r.x)), y = Math.min(...rects.map((r) => r.y));
  return { x, y, width: Math.max(...rects.map((r) => r.x + r.width)) - x, height: Math.max(...rects.map((r) => r.y + r.height)) - y };
};

/** The upright box each layer of one piece takes up in the piece's own coordinates, turned and scaled as it is shown. */
export const boundsIn = (root: Placed): ReadonlyMap<Id, Rect> => {
  const out = new Map<Id, Rect>();
  const visit = (p: Placed, outward: (x: number, y: number) => readonly [number, number]) => {
    const place = toParent(p);
    const here = (x: number, y: number) => outward(...place(x, y));
    const corners = [here(0, 0), here(p.width, 0), here(p.width, p.height), here(0, p.height)];
    const xs = corners.map((c) => c[0]), ys = corners.map((c) => c[1]);
    const x = Math.min(...xs), y = Math.min(...ys);
    out.set(p.layer.id, { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y });
    for (const child of p.children) visit(child, here);
  };
  visit(root, (x, y) => [x, y]);
  return out;
};
