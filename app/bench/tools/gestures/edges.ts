import type { Reference } from "#core/project";

/** A picture as it can be read: four bytes a pixel, row by row. */
export type Pixels = Pick<ImageData, "data" | "width" | "height">;

/** How much two neighbouring pixels must differ to be an edge; of 0–765, all three colours added. */
const EDGE = 36;
/** Over how many pixels across an edge is looked for, so that a speck is none. */
const BAND = 2;

/** How much two pixels differ; one that is clear is like its ground, whatever its colour. */
const difference = ({ data }: Pixels, a: number, b: number): number => {
  let sum = 0;
  for (let i = 0; i < 3; i++)
    sum += Math.abs(
      ((data[a * 4 + i] ?? 0) * (data[a * 4 + 3] ?? 0)) / 255 -
        ((data[b * 4 + i] ?? 0) * (data[b * 4 + 3] ?? 0)) / 255,
    );
  return sum + Math.abs((data[a * 4 + 3] ?? 0) - (data[b * 4 + 3] ?? 0));
};

/** How strong an edge is between a pixel and the one before it, along an axis. */
const strength = (p: Pixels, x: number, y: number, axis: "x" | "y"): number => {
  const found: number[] = [];
  for (let i = -BAND; i <= BAND; i++) {
    const [cx, cy] = axis === "x" ? [x, y + i] : [x + i, y];
    const isIn = cx >= 1 && cy >= 1 && cx < p.width && cy < p.height;
    if (!isIn) continue;
    const before = axis === "x" ? cy * p.width + cx - 1 : (cy - 1) * p.width + cx;
    found.push(difference(p, cy * p.width + cx, before));
  }
  // most of the band must be an edge
  found.sort((a, b) => a - b);
  return found.length > BAND ? (found[Math.floor(found.length / 2)] ?? 0) : 0;
};

/** The strongest edge near a place along an axis, pixels; null where there is none. */
const nearestEdge = (
  p: Pixels,
  x: number,
  y: number,
  axis: "x" | "y",
  reach: number,
): number | null => {
  const from = axis === "x" ? x : y;
  let best: number | null = null;
  let most = EDGE;
  const first = Math.ceil(from - reach);
  for (let at = first; at <= from + reach; at++) {
    const found =
      axis === "x" ? strength(p, at, Math.floor(y), "x") : strength(p, Math.floor(x), at, "y");
    if (found <= most) continue;
    most = found;
    best = at;
  }
  return best;
};

/**
 * Where a place of the piece lies on the edges of what a reference picture shows, if any are within
 * reach; px of the piece. What has no edge near stays null.
 */
export const edgesNear = (
  pixels: Pixels,
  reference: Reference,
  at: { readonly x: number; readonly y: number },
  reach: number,
): { readonly x: number | null; readonly y: number | null } => {
  const scale = pixels.width / reference.width;
  const px = (at.x - reference.x) * scale;
  const py = (at.y - reference.y) * scale;
  const isOver = px >= 0 && py >= 0 && px < pixels.width && py < pixels.height;
  if (!isOver) return { x: null, y: null };
  const x = nearestEdge(pixels, px, py, "x", reach * scale);
  const y = nearestEdge(pixels, px, py, "y", reach * scale);
  return {
    x: x === null ? null : x / scale + reference.x,
    y: y === null ? null : y / scale + reference.y,
  };
};
