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
class Arrangement {
  private readonly values: LayerValues;
  private readonly frame: Frame;
  private readonly wraps: boolean;
  private readonly outerMain: number | undefined;
  private readonly outerCross: number | undefined;
  private readonly roomMain: number | undefined;
  private readonly roomCross: number | undefined;

  constructor(
    private readonly node: ComputedLayer,
    width: number | undefined,
    height: number | undefined,
    private readonly measure: Measure,
  ) {
    this.values = node.values;
    const frame = frameOf(node.values);
    this.frame = frame;
    this.wraps = present(node.values.wrap);
    this.outerMain = frame.row ? width : height;
    this.outerCross = frame.row ? height : width;
    this.roomMain = roomIn(this.outerMain, frame.before + frame.after);
    this.roomCross = roomIn(this.outerCross, frame.crossBefore + frame.crossAfter);
  }

  layOut(): FlexResult {
    const shown = this.node.children.filter((c) => c.values.visible);
    const items = shown.filter((c) => !c.values.floats).map((c) => this.itemOf(c));
    const lines = linesOf(items, this.frame, this.roomMain, this.wraps);
    const main = this.roomMain ?? this.widest(lines);
    for (const line of lines) grow(line, this.frame, main);
    const heights = this.growAcross(items, lines);
    const places = new Map<ComputedLayer, FlexChild>();
    const cross = this.placeLines(lines, heights, main, places);
    const full = this.outer(main, cross);
    for (const child of shown)
      if (child.values.floats) places.set(child, this.floating(child, full));
    return { ...full, children: shown.map((c) => present(places.get(c))) };
  }

  /** How large a child is along and across. */
  private sizeAt(
    child: ComputedLayer,
    main: number | undefined,
    cross: number | undefined,
  ): { main: number; cross: number } {
    const raw = main === undefined && limits(child, this.frame.mainAxis);
    const { row } = this.frame;
    const size = row
      ? this.measure(child, main, cross, raw)
      : this.measure(child, cross, main, raw);
    return row
      ? { main: size.width, cross: size.height }
      : { main: size.height, cross: size.width };
  }

  private itemOf(child: ComputedLayer): Item {
    const { mainAxis, crossAxis } = this.frame;
    const v = child.values;
    const across = modeOf(v, crossAxis);
    const isFixed = across === "fixed";
    const fills = across === "stretch" || (this.values.align === "stretch" && across === "fit");
    const given = isFixed ? sizeOf(v, crossAxis) : this.roomCross;
    const isGiven = isFixed || (fills && !this.wraps);
    const cross = isGiven && given !== undefined ? limited(child, crossAxis, given) : undefined;
    const base = this.baseOf(child, cross);
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
  }

  /** The flex base size (§9.2). */
  private baseOf(child: ComputedLayer, cross: number | undefined): number {
    const { row, mainAxis } = this.frame;
    const least = padded(child, mainAxis);
    const along = modeOf(child.values, mainAxis);
    if (along === "fixed") return Math.max(least, sizeOf(child.values, mainAxis));
    // where the row fits its contents a filling child is as large as its own; columns of unknown
    // height count it as nothing, as in CSS
    const fitsContents = modeOf(this.values, mainAxis) === "fit";
    const isFree = along === "stretch" && !fitsContents && (this.roomMain !== undefined || !row);
    return isFree ? least : Math.max(least, this.sizeAt(child, undefined, cross).main);
  }

  private widest(lines: readonly (readonly Item[])[]): number {
    const widths = lines.map(
      (line) => sum(line.map((i) => i.wanted)) + gaps(this.frame, line.length),
    );
    return Math.max(0, ...widths);
  }

  /** Gives items their size across; tells how much each line takes (§9.4). */
  private growAcross(items: readonly Item[], lines: readonly (readonly Item[])[]): number[] {
    const { crossAxis } = this.frame;
    for (const item of items)
      if (Number.isNaN(item.cross)) {
        const { cross } = this.sizeAt(item.node, item.main, undefined);
        item.cross = limited(item.node, crossAxis, cross);
      }
    const only = lines.length === 1 && !this.wraps ? this.roomCross : undefined;
    const heights = lines.map((line) => only ?? Math.max(0, ...line.map((i) => i.cross)));
    for (const [i, line] of lines.entries())
      for (const item of line)
        if (item.fills) item.cross = limited(item.node, crossAxis, present(heights[i]));
    return heights;
  }

  /** Puts the items of all lines in their places; tells where the last line ends, px. */
  private placeLines(
    lines: readonly (readonly Item[])[],
    heights: readonly number[],
    main: number,
    places: Map<ComputedLayer, FlexChild>,
  ): number {
    let down = this.frame.crossBefore;
    for (const [i, line] of lines.entries()) {
      if (i > 0) down += this.frame.gap;
      const tall = present(heights[i]);
      this.placeLine(line, down, tall, main, places);
      down += tall;
    }
    return down;
  }

  private placeLine(
    line: readonly Item[],
    down: number,
    tall: number,
    main: number,
    places: Map<ComputedLayer, FlexChild>,
  ): void {
    const { gap, before } = this.frame;
    const free = main - sum(line.map((i) => i.main)) - gaps(this.frame, line.length);
    const { start, between } = spread(this.values.justify, free, line.length);
    const share = shareBefore(this.values.align);
    let at = before + start;
    for (const item of line) {
      const off = item.fills ? 0 : (tall - item.cross) * share;
      places.set(item.node, this.childAt(item, at, down + off));
      at += item.main + gap + between;
    }
  }

  private childAt({ node, main, cross }: Item, at: number, across: number): FlexChild {
    return this.frame.row
      ? { node, x: at, y: across, width: main, height: cross }
      : { node, x: across, y: at, width: cross, height: main };
  }

  private outer(main: number, cross: number): { width: number; height: number } {
    const { row, before, after, crossAfter } = this.frame;
    const fullMain = this.outerMain ?? main + before + after;
    const fullCross = this.outerCross ?? cross + crossAfter;
    return { width: row ? fullMain : fullCross, height: row ? fullCross : fullMain };
  }

  /** A child that floats: at its own place, out of the row. */
  private floating(
    child: ComputedLayer,
    full: { readonly width: number; readonly height: number },
  ): FlexChild {
    const v = child.values;
    const own = (axis: Axis): number | undefined => {
      const mode = modeOf(v, axis);
      if (mode === "fixed") return limited(child, axis, sizeOf(v, axis));
      if (mode === "stretch") return axis === "Width" ? full.width : full.height;
      return undefined;
    };
    const size = this.measure(child, own("Width"), own("Height"));
    return {
      node: child,
      x: v.x,
      y: v.y,
      width: limited(child, "Width", size.width),
      height: limited(child, "Height", size.height),
    };
  }
}

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
): FlexResult => new Arrangement(node, width, height, measure).layOut();
