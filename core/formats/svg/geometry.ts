import { SVGPathData } from "svg-pathdata";
import type { Element } from "./tree";

/** An affine map as SVG's matrix(a b c d e f). */
export type Matrix = readonly [number, number, number, number, number, number];
export const identity: Matrix = [1, 0, 0, 1, 0, 0];

/** First `b`, then `a`. */
export const times = (a: Matrix, b: Matrix): Matrix => [
  a[0] * b[0] + a[2] * b[1],
  a[1] * b[0] + a[3] * b[1],
  a[0] * b[2] + a[2] * b[3],
  a[1] * b[2] + a[3] * b[3],
  a[0] * b[4] + a[2] * b[5] + a[4],
  a[1] * b[4] + a[3] * b[5] + a[5],
];
export const at = (m: Matrix, x: number, y: number): readonly [number, number] => [
  m[0] * x + m[2] * y + m[4],
  m[1] * x + m[3] * y + m[5],
];
/** How much lengths grow on average. */
export const growth = (m: Matrix): number => Math.sqrt(Math.abs(m[0] * m[3] - m[1] * m[2]));
/** No rotation and no skew: a box stays an upright box. */
/** How many times as much a transform stretches in one direction as in another, at most. */
export const unevenness = ([a, b, c, d]: Matrix): number => {
  const sum = (a * a + b * b + c * c + d * d) / 2;
  const apart = Math.hypot((a * a + b * b - c * c - d * d) / 2, a * c + b * d);
  return Math.sqrt((sum + apart) / Math.max(sum - apart, 1e-12));
};
export const upright = (m: Matrix): boolean => Math.abs(m[1]) < 1e-6 && Math.abs(m[2]) < 1e-6;

const radians = (d: number): number => (d * Math.PI) / 180;

const shift = (x: number, y: number): Matrix => [1, 0, 0, 1, x, y];

const turn = (degrees: number): Matrix => {
  const sine = Math.sin(radians(degrees));
  const cosine = Math.cos(radians(degrees));
  return [cosine, sine, -sine, cosine, 0, 0];
};

/** One transform function with its numbers; what is none of them changes nothing. */
const readFunction = (name: string, numbers: readonly number[]): Matrix => {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = numbers;
  switch (name) {
    case "matrix":
      return numbers.length >= 6 ? [a, b, c, d, e, f] : identity;
    case "translate":
      return shift(a, b);
    case "scale":
      return [a, 0, 0, numbers.length > 1 ? b : a, 0, 0];
    case "rotate":
      return numbers.length > 2 ? times(times(shift(b, c), turn(a)), shift(-b, -c)) : turn(a);
    case "skewX":
      return [1, 0, Math.tan(radians(a)), 1, 0, 0];
    case "skewY":
      return [1, Math.tan(radians(a)), 0, 1, 0, 0];
    default:
      return identity;
  }
};

/** Reads a transform attribute (SVG 2 §8.5, CSS Transforms 1 functions of two dimensions). */
export const readTransform = (text: string | undefined): Matrix => {
  let m = identity;
  for (const [, name = "", list = ""] of (text ?? "").matchAll(/([a-zA-Z]+)\s*\(([^)]*)\)/g)) {
    const numbers = (list.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? []).map(Number);
    m = times(m, readFunction(name, numbers));
  }
  return m;
};

/** A length in px; per cent of `whole`. Unknown units count as px. */
export const length = (text: string | undefined, whole: number, fallback = 0): number => {
  const found =
    /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*(px|%|pt|pc|mm|cm|in|em|rem|ex)?\s*$/i.exec(
      text ?? "",
    );
  if (!found) return fallback;
  const factors: Readonly<Record<string, number>> = {
    "%": whole / 100,
    pt: 4 / 3,
    pc: 16,
    mm: 96 / 25.4,
    cm: 96 / 2.54,
    in: 96,
    em: 16,
    rem: 16,
    ex: 8,
  };
  return Number(found[1]) * (factors[(found[2] ?? "px").toLowerCase()] ?? 1);
};

const n = (v: number): number => Math.round(v * 1e6) / 1e6;

/** The size that per cent of an element's lengths are of. */
interface Room {
  readonly width: number;
  readonly height: number;
}

/** The lengths of an element, by the names of its attributes. */
const lengthsOf = (e: Element, room: Room) => ({
  across: (key: string, fallback = 0) => length(e.attrs[key], room.width, fallback),
  down: (key: string, fallback = 0) => length(e.attrs[key], room.height, fallback),
});

/** Shapes as paths, by the rules of SVG 2 §10. */
type Outline = (e: Element, room: Room) => string;

const rectOutline: Outline = (e, room) => {
  const { across, down } = lengthsOf(e, room);
  const [x, y, w, h] = [across("x"), down("y"), across("width"), down("height")];
  if (w <= 0 || h <= 0) return "";
  const [rx, ry] = cornersOf(e, room);
  const [left, top, right, bottom] = [n(x), n(y), n(x + w), n(y + h)];
  if (rx <= 0 || ry <= 0) return `M${left} ${top}H${right}V${bottom}H${left}Z`;
  const arc = `A${rx} ${ry} 0 0 1 `;
  return [
    `M${n(x + rx)} ${top}H${n(x + w - rx)}${arc}${right} ${n(y + ry)}`,
    `V${n(y + h - ry)}${arc}${n(x + w - rx)} ${bottom}`,
    `H${n(x + rx)}${arc}${left} ${n(y + h - ry)}`,
    `V${n(y + ry)}${arc}${n(x + rx)} ${top}Z`,
  ].join("");
};

const round = (cx: number, cy: number, rx: number, ry: number): string => {
  if (!(rx > 0 && ry > 0)) return "";
  const arc = `A${rx} ${ry} 0 1 1 `;
  return `M${n(cx - rx)} ${n(cy)}${arc}${n(cx + rx)} ${n(cy)}${arc}${n(cx - rx)} ${n(cy)}Z`;
};

const circleOutline: Outline = (e, room) => {
  const { across, down } = lengthsOf(e, room);
  const r = across("r");
  return round(across("cx"), down("cy"), r, r);
};

const ellipseOutline: Outline = (e, room) => {
  const { across, down } = lengthsOf(e, room);
  // a radius that is not said is as large as the other one
  const rx = across("rx", down("ry"));
  return round(across("cx"), down("cy"), rx, down("ry", rx));
};

const lineOutline: Outline = (e, room) => {
  const { across, down } = lengthsOf(e, room);
  return `M${across("x1")} ${down("y1")}L${across("x2")} ${down("y2")}`;
};

const pointsOutline =
  (end: "Z" | ""): Outline =>
  (e) => {
    const points = (e.attrs.points ?? "").match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? [];
    if (points.length < 4) return "";
    return `M${points.slice(0, points.length - (points.length % 2)).join(" ")}${end}`;
  };

const outlines: ReadonlyMap<string, Outline> = new Map([
  ["path", (e) => e.attrs.d ?? ""],
  ["rect", rectOutline],
  ["circle", circleOutline],
  ["ellipse", ellipseOutline],
  ["line", lineOutline],
  ["polyline", pointsOutline("")],
  ["polygon", pointsOutline("Z")],
]);

/**
 * The outline of a shape element as path data in its own coordinates; null for elements without
 * one.
 */
export const outlineOf = (e: Element, room: Room): string | null =>
  outlines.get(e.tag)?.(e, room) ?? null;

/** The corner radii of a rect, within half its sides. */
export const cornersOf = (
  e: Element,
  room: { width: number; height: number },
): readonly [number, number] => {
  const w = length(e.attrs.width, room.width);
  const h = length(e.attrs.height, room.height);
  const rx = e.attrs.rx ?? e.attrs.ry;
  const ry = e.attrs.ry ?? e.attrs.rx;
  return [Math.min(length(rx, room.width), w / 2), Math.min(length(ry, room.height), h / 2)];
};

/** Path data after a map, in absolute M L C Q Z; an error for data that cannot be read. */
export const mapPath = (d: string, m: Matrix): SVGPathData => {
  // arcs have to become curves before a map that turns their axes, and H and V lines before one
  // that turns them
  const path = new SVGPathData(d).toAbs().normalizeHVZ(false, true, true).normalizeST().aToC();
  return upright(m) && m[0] === 1 && m[3] === 1 && m[4] === 0 && m[5] === 0
    ? path
    : path.matrix(...m);
};

export interface Bounds {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export const boundsOf = (path: SVGPathData): Bounds | null => {
  if (path.commands.length === 0) return null;
  const { minX, minY, maxX, maxY } = path.getBounds();
  return Number.isFinite(minX + minY + maxX + maxY)
    ? { x: minX, y: minY, width: maxX - minX, height: maxY - minY }
    : null;
};

/** Absolute path data as a layer keeps it: in per cent of a box. */
export const percentPath = (path: SVGPathData, box: Bounds): string => {
  const across = (v: number) => (box.width ? Math.round(((v - box.x) / box.width) * 1e6) / 1e4 : 0);
  const down = (v: number) => (box.height ? Math.round(((v - box.y) / box.height) * 1e6) / 1e4 : 0);
  return path.commands
    .map((c) => {
      if (c.type === SVGPathData.MOVE_TO) return `M${across(c.x)} ${down(c.y)}`;
      if (c.type === SVGPathData.LINE_TO) return `L${across(c.x)} ${down(c.y)}`;
      if (c.type === SVGPathData.CURVE_TO)
        return `C${across(c.x1)} ${down(c.y1)} ${across(c.x2)} ${down(c.y2)} ${across(c.x)} ${down(c.y)}`;
      if (c.type === SVGPathData.QUAD_TO)
        return `Q${across(c.x1)} ${down(c.y1)} ${across(c.x)} ${down(c.y)}`;
      // everything else was made one of these by `mapPath`, but for the end of an outline
      return "Z";
    })
    .join("");
};

/** Path data in px as a layer of a size keeps it: absolute M L C Q Z in per cent of its box. */
export const pathInBox = (d: string, width: number, height: number): string =>
  percentPath(mapPath(d, identity), { x: 0, y: 0, width, height });
