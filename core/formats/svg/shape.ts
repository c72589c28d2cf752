import type { Fill, Four, Value } from "../../properties";
import type { Draft } from "./draft";
import {
  boundsOf,
  cornersOf,
  growth,
  identity,
  length,
  mapPath,
  outlineOf,
  percentPath,
  unevenness,
  upright,
} from "./geometry";
import type { Bounds } from "./geometry";
import { paintOf } from "./paint";
import { nameOf, rounded, wholeOf } from "./source";
import type { Source } from "./source";
import type { Element } from "./tree";
import type { UserSpace } from "./view";
import { svgWords } from "./words";

/** How lines end and meet, by their words in SVG (SVG 2 §13.5). */
const lineEnds: Readonly<Record<string, string>> = { round: "round", square: "square" };
const lineJoins: Readonly<Record<string, string>> = { round: "round", bevel: "cut" };

/** The one colour that stands for what something is filled with. */
const oneColour = (fill: Fill): string => {
  if (typeof fill === "string") return fill;
  return fill.kind === "picture" ? "none" : (fill.stops[0]?.colour ?? "none");
};

/** Lines stretched less than this in one direction are as wide everywhere. */
const EVEN = 1.02;

type Path = ReturnType<typeof mapPath>;

/** An outline where it lies in the picture, with its bounds there and in its own space. */
interface Outline {
  readonly path: Path;
  readonly box: Bounds;
  readonly own: Bounds;
}

const outlineIn = (source: Source, e: Element, space: UserSpace): Outline | null => {
  const d = outlineOf(e, space.room) ?? "";
  if (d.trim() === "" || d.trim() === "none") return null;
  let path: Path;
  try {
    path = mapPath(d, space.matrix);
  } catch {
    source.lose(svgWords.unreadablePath(d.slice(0, 24)));
    return null;
  }
  const box = boundsOf(path);
  const own = boundsOf(mapPath(d, identity));
  return box && own ? { path, box, own } : null;
};

/** How the line around a shape is drawn (SVG 2 §13.5). */
const strokeOf = (
  source: Source,
  e: Element,
  { box, own }: Outline,
  space: UserSpace,
): Record<string, Value> => {
  const paint = paintOf(source.byId, e, "stroke", box, own, space.matrix, source.lose);
  if (paint === "none") return {};
  const whole = Math.hypot(space.room.width, space.room.height) / Math.SQRT2;
  const width = length(e.style["stroke-width"], whole, 1) * growth(space.matrix);
  if (width <= 0) return {};
  if (typeof paint !== "string") source.lose(svgWords.gradientLine);
  if (unevenness(space.matrix) > EVEN) source.lose(svgWords.unevenWidthStretchedLine);
  const stroke: Record<string, Value> = {
    borderColour: oneColour(paint),
    borderWidth: rounded(width),
    borderAt: "centre",
  };
  const dash = e.style["stroke-dasharray"];
  if (dash === undefined || dash === "none" || !/[1-9]/.test(dash)) return stroke;
  source.lose(svgWords.exactLengthsDashes);
  const isDotted = e.style["stroke-linecap"] === "round" && /^0\b/.test(dash.trim());
  return { ...stroke, borderStyle: isDotted ? "dotted" : "dashed" };
};

/** A box with round corners; null where only a path can say them. */
const boxOf = (e: Element, space: UserSpace, values: Record<string, Value>): Draft | null => {
  const [rx, ry] = cornersOf(e, space.room);
  const sx = Math.abs(space.matrix[0]) * rx;
  const sy = Math.abs(space.matrix[3]) * ry;
  if (Math.abs(sx - sy) >= 0.01) return null;
  const corner = rounded(sx);
  const radius: Four = [corner, corner, corner, corner];
  const round = sx ? { ...values, radius } : values;
  return { kind: "box", name: nameOf(e), values: round, inside: [] };
};

const pathOf = (
  source: Source,
  e: Element,
  { path, box }: Outline,
  values: Record<string, Value>,
): Draft => {
  const ends = e.style["stroke-linecap"] ?? "";
  const joins = e.style["stroke-linejoin"] ?? "";
  if (joins === "miter-clip" || joins === "arcs") source.lose(svgWords.lineJoin(joins));
  const drawn: Record<string, Value> = { ...values, shape: percentPath(path, box) };
  if (e.style["fill-rule"] === "evenodd") drawn.overlaps = "holes";
  if (values.borderWidth !== undefined) {
    drawn.ends = lineEnds[ends] ?? "flat";
    drawn.joins = lineJoins[joins] ?? "pointed";
  }
  return { kind: "path", name: nameOf(e), values: drawn, inside: [] };
};

/** A basic shape or a path as a layer: a box or an ellipse where it is one, else a path. */
export const shapeOf = (source: Source, e: Element, space: UserSpace): Draft[] => {
  const outline = outlineIn(source, e, space);
  if (!outline) return [];
  const { box, own } = outline;
  const fill = paintOf(source.byId, e, "fill", box, own, space.matrix, source.lose);
  const values: Record<string, Value> = {
    x: rounded(box.x),
    y: rounded(box.y),
    width: rounded(box.width),
    height: rounded(box.height),
    ...(fill === "none" ? {} : { fill }),
    ...strokeOf(source, e, outline, space),
    ...wholeOf(source, e),
  };
  if (!upright(space.matrix)) return [pathOf(source, e, outline, values)];
  if (e.tag === "circle" || e.tag === "ellipse")
    return [{ kind: "ellipse", name: nameOf(e), values, inside: [] }];
  const asBox = e.tag === "rect" ? boxOf(e, space, values) : null;
  return [asBox ?? pathOf(source, e, outline, values)];
};
