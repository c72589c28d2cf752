import { unite } from "../../layout";
import type { Rect } from "../../layout";

/** The gap between a layer and its first duplicate, where nothing beside it says another; px. */
const GAP = 8;
/** From how many times as wide as high something is a line, whose repeats go down. */
const LINE = 1.5;
/** How far sizes may differ for layers to be of one row or column. */
const ALIKE = 0.25;

interface Way {
  readonly dx: number;
  readonly dy: number;
}

/** A box seen along one axis: x for a row, y for a column. */
interface Seen {
  readonly from: number;
  readonly size: number;
  readonly acrossFrom: number;
  readonly acrossSize: number;
}

const seenAlong = (axis: "x" | "y", r: Rect): Seen =>
  axis === "x"
    ? { from: r.x, size: r.width, acrossFrom: r.y, acrossSize: r.height }
    : { from: r.y, size: r.height, acrossFrom: r.x, acrossSize: r.width };

const isAlike = (a: number, b: number): boolean => Math.abs(a - b) <= ALIKE * Math.max(a, b);

/** The gap to the nearest box before a frame that is of its row or column; null without one. */
const gapBefore = (axis: "x" | "y", frame: Rect, others: readonly Rect[]): number | null => {
  const own = seenAlong(axis, frame);
  const gaps = others.flatMap((other) => {
    const o = seenAlong(axis, other);
    const gap = own.from - (o.from + o.size);
    const middle = o.acrossFrom + o.acrossSize / 2;
    const beside = middle > own.acrossFrom && middle < own.acrossFrom + own.acrossSize;
    const alike = isAlike(o.size, own.size) && isAlike(o.acrossSize, own.acrossSize);
    return gap >= 0 && gap < own.size && beside && alike ? [gap] : [];
  });
  return gaps.length ? Math.min(...gaps) : null;
};

const fitsIn = (room: Rect | null, frame: Rect, way: Way): boolean =>
  room === null ||
  (frame.x + way.dx + frame.width <= room.x + room.width &&
    frame.y + way.dy + frame.height <= room.y + room.height);

/**
 * Where the first duplicate of layers goes: on in the row or column they end, with its gap; else
 * below what is wide, beside what is not, and the other way where there is no room for it. Null
 * `room` is unlimited; px of the piece.
 */
export const wayBeside = (
  boxes: readonly Rect[],
  others: readonly Rect[],
  room: Rect | null,
): Way | null => {
  const frame = unite(boxes);
  if (!frame) return null;
  const row = gapBefore("x", frame, others);
  const column = gapBefore("y", frame, others);
  const beside = { dx: frame.width + (row ?? GAP), dy: 0 };
  const below = { dx: 0, dy: frame.height + (column ?? GAP) };
  const goesDown = row === null && (column !== null || frame.width > frame.height * LINE);
  const [first, second] = goesDown ? [below, beside] : [beside, below];
  return !fitsIn(room, frame, first) && fitsIn(room, frame, second) ? second : first;
};
