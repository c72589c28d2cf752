import { present } from "../basics";
import type { ComputedLayer } from "../looks";
import { ENDLESS } from "../properties";
import type { LayerValues } from "../properties";
import { shareBefore } from "./share";

/**
 * Size of a layer at a width and height; px, undefined where the layer decides (then it is as large
 * as its contents).
 * `raw` leaves its own limits out.
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

/**
 * Lays out the children of a layer in a row or column with the meaning of CSS Flexible Box Layout 1
 * §9, for what Nubble has
 * of it: gap, padding, align-items, justify-content, wrap with lines from the start, grow, limits,
 * and sizes that are
 * fixed, max-content or filling (basis 0 along, align-self: stretch across). Nothing is rounded to
 * whole pixels.
 * `width` and `height` fix the outer size, undefined leaves it to the contents.
 */
export const arrange = (
  node: ComputedLayer,
  width: number | undefined,
  height: number | undefined,
  measure: Measure,
): FlexResult => {
  const v = node.values;
  const f = frameOf(v);
  const outerMain = f.row ? width : height;
  const outerCross = f.row ? height : width;
  const room = outerMain === undefined ? undefined : Math.max(0, outerMain - f.before - f.after);
  const roomAcross =
    outerCross === undefined ? undefined : Math.max(0, outerCross - f.crossBefore - f.crossAfter);
  const wraps = present(v.wrap);
  const shown = node.children.filter((c) => c.values.visible);
  const size = (child: ComputedLayer, main: number | undefined, cross: number | undefined) => {
    const raw = main === undefined && limits(child, f.mainAxis);
    const s = f.row ? measure(child, main, cross, raw) : measure(child, cross, main, raw);
    return f.row ? { main: s.width, cross: s.height } : { main: s.height, cross: s.width };
  };

  const items = shown
    .filter((c) => !c.values.floats)
    .map((child): Item => {
      const c = child.values;
      const along = modeOf(c, f.mainAxis);
      const across = modeOf(c, f.crossAxis);
      const fills = across === "stretch" || (v.align === "stretch" && across === "fit");
      const given = across === "fixed" ? sizeOf(c, f.crossAxis) : roomAcross;
      const isGiven = across === "fixed" || (fills && !wraps);
      const cross = isGiven && given !== undefined ? limited(child, f.crossAxis, given) : undefined;
      // where the row fits its contents a filling child is as large as its own; columns of unknown
      // height count it as nothing, as in CSS
      const free =
        along === "stretch" && modeOf(v, f.mainAxis) !== "fit" && (room !== undefined || !f.row);
      const fitting = () => (free ? 0 : size(child, undefined, cross).main);
      const base = Math.max(
        padded(child, f.mainAxis),
        along === "fixed" ? sizeOf(c, f.mainAxis) : fitting(),
      );
      return {
        node: child,
        grow: along === "stretch" ? Math.max(1, c.grow) : c.grow,
        fills,
        base,
        wanted: limited(child, f.mainAxis, base),
        main: 0,
        cross: cross ?? NaN,
      };
    });

  const lines = linesOf(items, f, room, wraps);
  const main =
    room ?? Math.max(0, ...lines.map((l) => sum(l.map((i) => i.wanted)) + gaps(f, l.length)));
  for (const line of lines) grow(line, f, main);
  for (const item of items)
    if (Number.isNaN(item.cross))
      item.cross = limited(item.node, f.crossAxis, size(item.node, item.main, undefined).cross);
  const heights = lines.map((line) =>
    lines.length === 1 && !wraps && roomAcross !== undefined
      ? roomAcross
      : Math.max(0, ...line.map((i) => i.cross)),
  );
  for (const [l, line] of lines.entries())
    for (const item of line)
      if (item.fills) item.cross = limited(item.node, f.crossAxis, present(heights[l]));

  const places = new Map<ComputedLayer, FlexChild>();
  let down = f.crossBefore;
  for (const [l, line] of lines.entries()) {
    const tall = present(heights[l]);
    const { start, between } = spread(
      v.justify,
      main - sum(line.map((i) => i.main)) - gaps(f, line.length),
      line.length,
    );
    let at = f.before + start;
    for (const item of line) {
      const slack = tall - item.cross;
      const off = item.fills ? 0 : slack * shareBefore(v.align);
      const cross = down + off;
      places.set(
        item.node,
        f.row
          ? { node: item.node, x: at, y: cross, width: item.main, height: item.cross }
          : { node: item.node, x: cross, y: at, width: item.cross, height: item.main },
      );
      at += item.main + f.gap + between;
    }
    down += tall + (l < lines.length - 1 ? f.gap : 0);
  }
  const fullMain = outerMain ?? main + f.before + f.after;
  const fullCross = outerCross ?? down + f.crossAfter;
  const full = { width: f.row ? fullMain : fullCross, height: f.row ? fullCross : fullMain };
  for (const child of shown)
    if (child.values.floats) {
      const c = child.values;
      const own = (axis: Axis): number | undefined => {
        const mode = modeOf(c, axis);
        if (mode === "fixed") {
          return limited(child, axis, sizeOf(c, axis));
        }
        if (mode === "stretch") {
          return axis === "Width" ? full.width : full.height;
        }
        return undefined;
      };
      const s = measure(child, own("Width"), own("Height"));
      places.set(child, {
        node: child,
        x: c.x,
        y: c.y,
        width: limited(child, "Width", s.width),
        height: limited(child, "Height", s.height),
      });
    }
  return { ...full, children: shown.map((c) => present(places.get(c))) };
};
