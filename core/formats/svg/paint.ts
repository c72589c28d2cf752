import { parseColour } from "../../colour";
import type { Fill, Stop } from "../../properties";
import { at, length, readTransform, times, upright } from "./geometry";
import type { Bounds, Matrix } from "./geometry";
import type { Element } from "./tree";
import { svgWords } from "./words";

type Lost = (what: string) => void;

const alpha = (colour: string, opacity: number): string => {
  if (colour === "none" || opacity >= 1) return colour;
  const own = colour.length === 9 ? Number.parseInt(colour.slice(7), 16) / 255 : 1;
  return `${colour.slice(0, 7)}${Math.round(Math.max(0, Math.min(1, own * opacity)) * 255)
    .toString(16)
    .padStart(2, "0")}`;
};

/** An opacity as a number or per cent. */
export const opacityOf = (text: string | undefined): number => {
  const v = Number.parseFloat(text ?? "1");
  return Number.isNaN(v) ? 1 : Math.max(0, Math.min(1, text?.includes("%") ? v / 100 : v));
};

/** The id that url(#id) names; a bare #hex is a colour. */
export const idIn = (text: string | undefined): string | null =>
  /^\s*url\(\s*['"]?#([^'")\s]+)/.exec(text ?? "")?.[1] ?? null;
/** The id that a reference such as href="#id" names. */
export const hrefId = (e: Element): string =>
  /^\s*#(\S+)/.exec(e.attrs.href ?? e.attrs["xlink:href"] ?? "")?.[1] ?? "";

/** A gradient with what it takes from others it refers to. */
const chain = (
  byId: ReadonlyMap<string, Element>,
  first: Element,
): { attrs: Record<string, string>; stops: readonly Element[]; transform: string | undefined } => {
  const seen = new Set<Element>();
  let attrs: Record<string, string> = {};
  let stops: readonly Element[] = [];
  for (let e: Element | undefined = first; e && !seen.has(e); e = byId.get(hrefId(e))) {
    seen.add(e);
    attrs = { ...e.attrs, ...attrs };
    if (stops.length === 0) stops = e.children.filter((c) => c.tag === "stop");
  }
  return { attrs, stops, transform: attrs.gradientTransform };
};

const readStops = (stops: readonly Element[], opacity: number): Stop[] => {
  let last = 0;
  return stops.map((s) => {
    last = Math.max(last, Math.min(1, length(s.attrs.offset, 1)));
    const colour =
      parseColour(
        s.style["stop-color"] === "currentColor"
          ? (s.style.color ?? "#000000")
          : (s.style["stop-color"] ?? "#000000"),
      ) ?? "#000000";
    return { at: last, colour: alpha(colour, opacity * opacityOf(s.style["stop-opacity"])) };
  });
};

const round = (n: number): number => Math.round(n * 1e4) / 1e4;

/** A gradient with what it lies on: the layer's box, and the map from its own space to that. */
interface Laid {
  readonly attrs: Element["attrs"];
  readonly stops: readonly Stop[];
  readonly box: Bounds;
  readonly own: Bounds;
  readonly space: Matrix;
  /** lengths are shares of the shape's box */
  readonly inBox: boolean;
  readonly lost: Lost;
}

const lengthIn = ({ attrs, inBox }: Laid, key: string, fallback: string): number =>
  length(attrs[key] ?? fallback, inBox ? 1 : 100);

/** Whether a map leaves no right angle as it was. */
const slants = (m: Matrix): boolean => !upright(m) && Math.abs(m[0] * m[2] + m[1] * m[3]) > 1e-3;

const linear = (laid: Laid): Fill => {
  const { box, own, space, stops, inBox, lost } = laid;
  const value = (key: string, fallback: string) => lengthIn(laid, key, fallback);
  const [x1, y1] = at(space, value("x1", "0"), value("y1", "0"));
  const [x2, y2] = at(space, value("x2", inBox ? "1" : "100"), value("y2", "0"));
  const dx = x2 - x1;
  const dy = y2 - y1;
  const len = Math.hypot(dx, dy);
  if (len < 1e-9) return stops.at(-1)?.colour ?? "none";
  // a gradient that is not square to its ends is skewed: Nubble's run straight, as in CSS
  const isStretched = inBox && Math.abs(own.width - own.height) > 0.01;
  const isSkewed = isStretched && Math.abs(dx) > 1e-6 && Math.abs(dy) > 1e-6;
  if (isSkewed || slants(space)) lost(svgWords.skewSlantingGradient);
  const ux = dx / len;
  const uy = dy / len;
  const half = (Math.abs(widthOf(box) * ux) + Math.abs(heightOf(box) * uy)) / 2;
  const cx = box.x + widthOf(box) / 2;
  const cy = box.y + heightOf(box) / 2;
  const place = (x: number, y: number) => ((x - cx) * ux + (y - cy) * uy) / (2 * half) + 0.5;
  const from = place(x1, y1);
  const to = place(x2, y2);
  return {
    kind: "linear",
    angle: round(((Math.atan2(ux, -uy) * 180) / Math.PI + 360) % 360),
    stops: stops.map((s) => ({ at: round(from + s.at * (to - from)), colour: s.colour })),
  };
};

const radial = (laid: Laid): Fill => {
  const { attrs, box, space, stops, inBox, lost } = laid;
  const value = (key: string, fallback: string) => lengthIn(laid, key, fallback);
  const middle = inBox ? "0.5" : "50%";
  const cx = value("cx", middle);
  const cy = value("cy", middle);
  const r = value("r", middle);
  const isOff = (key: "fx" | "fy", from: number) =>
    attrs[key] !== undefined && Math.abs(value(key, "0") - from) > 1e-6;
  if (isOff("fx", cx) || isOff("fy", cy)) lost(svgWords.focusRadialGradient);
  if (slants(space)) lost(svgWords.slantRadialGradient);
  const [px, py] = at(space, cx, cy);
  return {
    kind: "radial",
    centre: [round((px - box.x) / widthOf(box)), round((py - box.y) / heightOf(box))],
    radii: [
      round((Math.hypot(space[0], space[2]) * r) / widthOf(box)),
      round((Math.hypot(space[1], space[3]) * r) / heightOf(box)),
    ],
    stops,
  };
};

// what has no extent is divided by all the same
const widthOf = (box: Bounds): number => box.width || 1e-6;
const heightOf = (box: Bounds): number => box.height || 1e-6;

const readGradient = (
  byId: ReadonlyMap<string, Element>,
  e: Element,
  box: Bounds,
  own: Bounds,
  m: Matrix,
  opacity: number,
  lost: Lost,
): Fill => {
  const { attrs, stops: list, transform } = chain(byId, e);
  const stops = readStops(list, opacity);
  const first = stops[0];
  if (!first) return "none";
  if (stops.length === 1) return first.colour;
  if (attrs.spreadMethod && attrs.spreadMethod !== "pad")
    lost(svgWords.gradient(attrs.spreadMethod));
  const inBox = attrs.gradientUnits !== "userSpaceOnUse";
  const unit: Matrix = inBox ? [own.width, 0, 0, own.height, own.x, own.y] : [1, 0, 0, 1, 0, 0];
  const space = times(times(m, unit), readTransform(transform));
  const laid: Laid = { attrs, stops, box, own, space, inBox, lost };
  return e.tag === "linearGradient" ? linear(laid) : radial(laid);
};

/**
 * What a fill or stroke of an element comes to: a colour, or a gradient over the layer's box. `own`
 * is the shape's box in its own coordinates, `box` after the map `m`.
 */
export const paintOf = (
  byId: ReadonlyMap<string, Element>,
  e: Element,
  which: "fill" | "stroke",
  box: Bounds,
  own: Bounds,
  m: Matrix,
  lost: Lost,
): Fill => {
  const text = e.style[which] ?? (which === "fill" ? "#000000" : "none");
  const opacity = opacityOf(e.style[`${which}-opacity`]);
  const id = idIn(text);
  if (id !== null) {
    const server = byId.get(id);
    if (server && /Gradient$/.test(server.tag))
      return readGradient(byId, server, box, own, m, opacity, lost);
    if (server?.tag === "pattern") lost(svgWords.pattern);
    const instead = /\)\s*(\S.*)$/.exec(text)?.[1];
    return alpha(parseColour(instead ?? "none") ?? "none", opacity);
  }
  if (text === "currentColor")
    return alpha(parseColour(e.style.color ?? "#000000") ?? "#000000", opacity);
  if (text === "context-fill" || text === "context-stroke") lost(svgWords.paint(text));
  return alpha(parseColour(text) ?? "none", opacity);
};
