import { present } from "../basics";
import type { ComputedLayer } from "../looks";
import { ENDLESS } from "../properties";
import type { LayerValues } from "../properties";
import { shareBefore } from "./share";

/**
 * Size of a layer at a width and height; px, undefined where the layer decides (then it is as large
 * as its contents). `raw` leaves its own limits out.
 */
export type Measure = (
  node: ComputedLayer,
  width: number | undefined,
  height: number | undefined,
  raw?: boolean,
) => { readonly width: number; readonly height: number };

/** A child in its place, with the size it has there; px. */
interface FlexChild {
  readonly node: ComputedLayer;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}
export interface FlexResult {
  readonly width: number;
  readonly height: number;
  readonly children: readonly FlexChild[];
}

/** Whether a layer lays its children out in a row or column. */
export const isArranged = (node: ComputedLayer): boolean =>
  node.layer.kind === "box" && node.values.arrange !== "free";

type Axis = "Width" | "Height";
const modeOf = (v: LayerValues, axis: Axis): unknown =>
  v[axis === "Width" ? "widthMode" : "heightMode"];
const sizeOf = (v: LayerValues, axis: Axis): number => v[axis === "Width" ? "width" : "height"];

/** What padding takes up at the least. */
export const padded = (node: ComputedLayer, axis: Axis): number => {
  if (!isArranged(node)) return 0;
  const [top, right, bottom, left] = present(node.values.padding);
  return axis === "Width" ? left + right : top + bottom;
};

/**
 * A size within a layer's own limits; the least wins over the most, and what is arranged is never
 * smaller than its padding.
 */
export const limited = (node: ComputedLayer, axis: Axis, size: number): number => {
  const v = node.values;
  return Math.max(v[`min${axis}`], padded(node, axis), Math.min(v[`max${axis}`], size));
};

const limits = (node: ComputedLayer, axis: Axis): boolean =>
  node.values[`min${axis}`] !== 0 || node.values[`max${axis}`] < ENDLESS;

interface Item {
  readonly node: ComputedLayer;
  readonly grow: number;
  /** takes the whole room across */
  readonly fills: boolean;
  /** flex base size, and that within the limits */
  readonly base: number;
  readonly wanted: number;
  main: number;
  cross: number;
}

interface Frame {
  readonly row: boolean;
  readonly mainAxis: Axis;
  readonly crossAxis: Axis;
  readonly gap: number;
  readonly before: number;
  readonly after: number;
  readonly crossBefore: number;
  readonly crossAfter: number;
}

const frameOf = (v: LayerValues): Frame => {
  const row = v.arrange === "row";
  const [top, right, bottom, left] = present(v.padding);
  return {
    row,
    mainAxis: row ? "Width" : "Height",
    crossAxis: row ? "Height" : "Width",
    gap: present(v.gap),
    before: row ? left : top,
    after: row ? right : bottom,
    crossBefore: row ? top : left,
    crossAfter: row ? bottom : right,
  };
};

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);
const gaps = (f: Frame, n: number): number => f.gap * Math.max(0, n - 1);

/** Breaks items into lines that do not overflow (§9.3). */
const linesOf = (
  items: readonly Item[],
  f: Frame,
  room: number | undefined,
  wraps: boolean,
): Item[][] => {
  if (!wraps || room === undefined) return items.length ? [[...items]] : [];
  const lines: Item[][] = [];
  let used = 0;
  for (const item of items) {
    const line = lines.at(-1);
    if (!line || used + f.gap + item.wanted > room + 1e-6) {
      lines.push([item]);
      used = item.wanted;
    } else {
      line.push(item);
      used += f.gap + item.wanted;
    }
  }
  return lines;
};

/**
 * Shares the free room of a line among items that grow, those that meet a limit first (§9.7).
 * Nothing shrinks below what it wants.
 */
const grow = (line: readonly Item[], f: Frame, room: number): void => {
  for (const item of line) item.main = item.wanted;
  if (sum(line.map((i) => i.wanted)) + gaps(f, line.length) >= room) return;
  let open = line.filter((i) => i.grow > 0 && i.base <= i.wanted);
  for (const item of open) item.main = item.base;
  const initial =
    room - gaps(f, line.length) - sum(line.map((i) => (open.includes(i) ? i.base : i.wanted)));
  while (open.length) {
    const factors = sum(open.map((i) => i.grow));
    let free =
      room - gaps(f, line.length) - sum(line.map((i) => (open.includes(i) ? i.base : i.main)));
    if (factors < 1 && Math.abs(initial * factors) < Math.abs(free)) free = initial * factors;
    const tries = open.map((item) => {
      const size = item.base + (free * item.grow) / factors;
      return { item, size, fits: limited(item.node, f.mainAxis, size) };
    });
    for (const t of tries) t.item.main = t.fits;
    const total = sum(tries.map((t) => t.fits - t.size));
    const met = tries.filter((t) => {
      if (Math.abs(total) < 1e-9) {
        return true;
      }
      return total > 0 ? t.fits > t.size : t.fits < t.size;
    });
    open = open.filter((i) => !met.some((t) => t.item === i));
    if (Math.abs(total) < 1e-9) return;
  }
};

/**
 * Where a run of items begins and how far apart they lie beyond their gap (§9.5, CSS Box Alignment
 * 3).
 */
const spread = (
  justify: LayerValues["justify"],
  free: number,
  n: number,
): { start: number; between: number } => {
  switch (justify) {
    case "centre":
      return { start: free / 2, between: 0 };
    case "end":
      return { start: free, between: 0 };
    case "between":
      return { start: 0, between: n > 1 && free > 0 ? free / (n - 1) : 0 };
    case "around":
      return free > 0 ? { start: free / n / 2, between: free / n } : { start: 0, between: 0 };
    case "evenly":
      return free > 0
        ? { start: free / (n + 1), between: free / (n + 1) }
        : { start: 0, between: 0 };
    case "start":
    case undefined:
      return { start: 0, between: 0 };
  }
};

/** A row or column being laid out at an outer size; undefined is left to the contents. */
interface Arrangement {
  readonly values: LayerValues;
  readonly frame: Frame;
  readonly measure: Measure;
  /** the outer size along and across, and the room that is left in it */
  readonly main: number | undefined;
  readonly cross: number | undefined;
  readonly room: number | undefined;
  readonly roomAcross: number | undefined;
}

type Lines = readonly (readonly Item[])[];

/** How large a child is along and across. */
const sizeAt = (
  { frame, measure }: Arrangement,
  child: ComputedLayer,
  main: number | undefined,
  cross: number | undefined,
): { main: number; cross: number } => {
  const raw = main === undefined && limits(child, frame.mainAxis);
  const { row } = frame;
  const size = row ? measure(child, main, cross, raw) : measure(child, cross, main, raw);
  return row ? { main: size.width, cross: size.height } : { main: size.height, cross: size.width };
};

/** The flex base size (§9.2). */
const baseOf = (a: Arrangement, child: ComputedLayer, cross: number | undefined): number => {
  const { row, mainAxis } = a.frame;
  const least = padded(child, mainAxis);
  const along = modeOf(child.values, mainAxis);
  if (along === "fixed") return Math.max(least, sizeOf(child.values, mainAxis));
  // where the row fits its contents a filling child is as large as its own; columns of unknown
  // height count it as nothing, as in CSS
  const fitsContents = modeOf(a.values, mainAxis) === "fit";
  const isFree = along === "stretch" && !fitsContents && (a.room !== undefined || !row);
  return isFree ? least : Math.max(least, sizeAt(a, child, undefined, cross).main);
};

const itemOf = (a: Arrangement, child: ComputedLayer): Item => {
  const { mainAxis, crossAxis } = a.frame;
  const v = child.values;
  const across = modeOf(v, crossAxis);
  const isFixed = across === "fixed";
  const fills = across === "stretch" || (a.values.align === "stretch" && across === "fit");
  const given = isFixed ? sizeOf(v, crossAxis) : a.roomAcross;
  const isGiven = isFixed || (fills && !a.values.wrap);
  const cross = isGiven && given !== undefined ? limited(child, crossAxis, given) : undefined;
  const base = baseOf(a, child, cross);
  const stretches = modeOf(v, mainAxis) === "stretch";
  return {
    node: child,
    grow: stretches ? Math.max(1, v.grow) : v.grow,
    fills,
    base,
    wanted: limited(child, mainAxis, base),
    main: 0,
    cross: cross ?? NaN,
  };
};

const widest = (frame: Frame, lines: Lines): number =>
  Math.max(0, ...lines.map((line) => sum(line.map((i) => i.wanted)) + gaps(frame, line.length)));

/** Gives items their size across; tells how much each line takes (§9.4). */
const growAcross = (a: Arrangement, items: readonly Item[], lines: Lines): number[] => {
  const { crossAxis } = a.frame;
  for (const item of items)
    if (Number.isNaN(item.cross)) {
      const { cross } = sizeAt(a, item.node, item.main, undefined);
      item.cross = limited(item.node, crossAxis, cross);
    }
  const only = lines.length === 1 && !a.values.wrap ? a.roomAcross : undefined;
  const heights = lines.map((line) => only ?? Math.max(0, ...line.map((i) => i.cross)));
  for (const [i, line] of lines.entries())
    for (const item of line)
      if (item.fills) item.cross = limited(item.node, crossAxis, present(heights[i]));
  return heights;
};

const childAt = ({ row }: Frame, item: Item, at: number, across: number): FlexChild => {
  const { node, main, cross } = item;
  return row
    ? { node, x: at, y: across, width: main, height: cross }
    : { node, x: across, y: at, width: cross, height: main };
};

type Places = Map<ComputedLayer, FlexChild>;

/** Puts the items of a line in their places, from `down` on. */
const placeLine = (
  { frame, values }: Arrangement,
  line: readonly Item[],
  down: number,
  tall: number,
  main: number,
  places: Places,
): void => {
  const free = main - sum(line.map((i) => i.main)) - gaps(frame, line.length);
  const { start, between } = spread(values.justify, free, line.length);
  const share = shareBefore(values.align);
  let at = frame.before + start;
  for (const item of line) {
    const off = item.fills ? 0 : (tall - item.cross) * share;
    places.set(item.node, childAt(frame, item, at, down + off));
    at += item.main + frame.gap + between;
  }
};

/** Puts the items of all lines in their places; tells where the last line ends, px. */
const placeLines = (
  a: Arrangement,
  lines: Lines,
  heights: readonly number[],
  main: number,
  places: Places,
): number => {
  let down = a.frame.crossBefore;
  for (const [i, line] of lines.entries()) {
    if (i > 0) down += a.frame.gap;
    const tall = present(heights[i]);
    placeLine(a, line, down, tall, main, places);
    down += tall;
  }
  return down;
};

interface Size {
  readonly width: number;
  readonly height: number;
}

const outerSize = ({ frame, main, cross }: Arrangement, inner: number, down: number): Size => {
  const along = main ?? inner + frame.before + frame.after;
  const across = cross ?? down + frame.crossAfter;
  return frame.row ? { width: along, height: across } : { width: across, height: along };
};

/** A child that floats: at its own place, out of the row. */
const floating = (measure: Measure, child: ComputedLayer, full: Size): FlexChild => {
  const v = child.values;
  const own = (axis: Axis): number | undefined => {
    const mode = modeOf(v, axis);
    if (mode === "fixed") return limited(child, axis, sizeOf(v, axis));
    if (mode === "stretch") return axis === "Width" ? full.width : full.height;
    return undefined;
  };
  const size = measure(child, own("Width"), own("Height"));
  return {
    node: child,
    x: v.x,
    y: v.y,
    width: limited(child, "Width", size.width),
    height: limited(child, "Height", size.height),
  };
};

/** What is left of an outer size within the padding. */
const roomIn = (outer: number | undefined, padding: number): number | undefined =>
  outer === undefined ? undefined : Math.max(0, outer - padding);

/**
 * Lays out the children of a layer in a row or column with the meaning of CSS Flexible Box Layout 1
 * §9, for what Nubble has of it: gap, padding, align-items, justify-content, wrap with lines from
 * the start, grow, limits, and sizes that are fixed, max-content or filling (basis 0 along,
 * align-self: stretch across). Nothing is rounded to whole pixels. `width` and `height` fix the
 * outer size, undefined leaves it to the contents.
 */
export const arrange = (
  node: ComputedLayer,
  width: number | undefined,
  height: number | undefined,
  measure: Measure,
): FlexResult => {
  const { values } = node;
  const frame = frameOf(values);
  const [main, cross] = frame.row ? [width, height] : [height, width];
  const a: Arrangement = {
    values,
    frame,
    measure,
    main,
    cross,
    room: roomIn(main, frame.before + frame.after),
    roomAcross: roomIn(cross, frame.crossBefore + frame.crossAfter),
  };
  const shown = node.children.filter((c) => c.values.visible);
  const items = shown.filter((c) => !c.values.floats).map((c) => itemOf(a, c));
  const lines = linesOf(items, frame, a.room, present(values.wrap));
  const inner = a.room ?? widest(frame, lines);
  for (const line of lines) grow(line, frame, inner);
  const heights = growAcross(a, items, lines);
  const places: Places = new Map();
  const down = placeLines(a, lines, heights, inner, places);
  const full = outerSize(a, inner, down);
  for (const child of shown)
    if (child.values.floats) places.set(child, floating(measure, child, full));
  return { ...full, children: shown.map((c) => present(places.get(c))) };
};
