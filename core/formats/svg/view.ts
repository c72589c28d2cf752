import { identity, length } from "./geometry";
import type { Matrix } from "./geometry";
import type { Element } from "./tree";

/** The user coordinate system an element is drawn in, and how far inside the file that is. */
export interface UserSpace {
  readonly matrix: Matrix;
  /** the viewport: what percentages are of */
  readonly room: { readonly width: number; readonly height: number };
  readonly depth: number;
  readonly uses: number;
}

interface View {
  readonly room: { readonly width: number; readonly height: number };
  readonly size: { readonly width: number; readonly height: number };
  readonly matrix: Matrix;
}

/**
 * The room an svg element gives its contents, and how its view box lies in it (meet, in the middle,
 * as is usual).
 */
export const viewOf = (e: Element, outer: { width: number; height: number }): View => {
  const box = (e.attrs.viewBox ?? "")
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const [bx = 0, by = 0, bw = 0, bh = 0] = box;
  const viewed = box.length === 4 && box.every(Number.isFinite) && bw > 0 && bh > 0;
  const size = {
    width: length(e.attrs.width, outer.width, viewed ? bw : outer.width),
    height: length(e.attrs.height, outer.height, viewed ? bh : outer.height),
  };
  if (!viewed) return { room: size, size, matrix: identity };
  const room = { width: bw, height: bh };
  const [across, down] = [size.width / bw, size.height / bh];
  const keeps = e.attrs.preserveAspectRatio ?? "";
  if (/^none/.test(keeps))
    return { room, size, matrix: [across, 0, 0, down, -bx * across, -by * down] };
  const s = keeps.includes("slice") ? Math.max(across, down) : Math.min(across, down);
  const x = (size.width - bw * s) / 2 - bx * s;
  const y = (size.height - bh * s) / 2 - by * s;
  return { room, size, matrix: [s, 0, 0, s, x, y] };
};
