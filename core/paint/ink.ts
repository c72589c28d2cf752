import type { Fill, Gradient, PictureFill, Stop } from "../properties";
import { digest, r } from "./types";
import type { Attrs, Paint } from "./types";

/** The box a fill lies over; px. */
export interface Over {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Splits #rrggbbaa into SVG's colour and opacity, which every reader of SVG understands. */
export const ink = (name: "fill" | "stroke" | "stop", colour: string): Attrs => {
  const key = name === "stop" ? "stop-color" : name;
  if (colour === "none" && name === "stop") return { "stop-color": "#ffffff", "stop-opacity": 0 };
  return colour.length === 9
    ? {
        [key]: colour.slice(0, 7),
        [`${name}-opacity`]: r(Number.parseInt(colour.slice(7), 16) / 255),
      }
    : { [key]: colour };
};

/**
 * A clear stop fades its neighbour's colour instead of passing through grey, as premultiplied
 * mixing does in CSS.
 */
const stopPaint = (stops: readonly Stop[]): Paint[] =>
  [...stops]
    .sort((a, b) => a.at - b.at)
    .map((stop, i, all) => {
      const near = stop.colour === "none" ? (all[i - 1] ?? all[i + 1])?.colour : undefined;
      const colour = near && near !== "none" ? `${near.slice(0, 7)}00` : stop.colour;
      return {
        tag: "stop",
        key: String(i),
        attrs: { offset: r(stop.at), ...ink("stop", colour) },
        children: [],
      };
    });

/**
 * Stops outside 0–1 (an overshooting curve, an imported gradient) are brought inside by moving the
 * gradient's ends.
 */
const spread = (stops: readonly Stop[]): { stops: readonly Stop[]; from: number; to: number } => {
  const places = stops.map((s) => s.at);
  const from = Math.min(0, ...places);
  const to = Math.max(1, ...places);
  return from === 0 && to === 1
    ? { stops, from, to }
    : { stops: stops.map((s) => ({ ...s, at: (s.at - from) / (to - from) })), from, to };
};

const gradientPaint = (g: Gradient, over: Over): Paint => {
  const { stops, from, to } = spread(g.stops);
  const cx = over.x + over.width / 2;
  const cy = over.y + over.height / 2;
  const children = stopPaint(stops);
  if (g.kind === "linear") {
    const angle = (g.angle * Math.PI) / 180;
    const dx = Math.sin(angle);
    const dy = -Math.cos(angle);
    const half = (Math.abs(over.width * dx) + Math.abs(over.height * dy)) / 2;
    const at = (t: number) =>
      [r(cx + dx * half * (2 * t - 1)), r(cy + dy * half * (2 * t - 1))] as const;
    const [x1, y1] = at(from);
    const [x2, y2] = at(to);
    return {
      tag: "linearGradient",
      key: "ink",
      attrs: { gradientUnits: "userSpaceOnUse", x1, y1, x2, y2 },
      children,
    };
  }
  const x = over.x + over.width * g.centre[0];
  const y = over.y + over.height * g.centre[1];
  const sx = Math.max(0.001, over.width * g.radii[0] * to);
  const sy = Math.max(0.001, over.height * g.radii[1] * to);
  // a radial gradient cannot begin before its centre: what lies there is cut off
  return {
    tag: "radialGradient",
    key: "ink",
    attrs: {
      gradientUnits: "userSpaceOnUse",
      cx: 0,
      cy: 0,
      r: 1,
      gradientTransform: `translate(${r(x)} ${r(y)}) scale(${r(sx)} ${r(sy)})`,
    },
    children,
  };
};

const identified = (paint: Paint, word: string): { paint: Paint; id: string } => {
  const id = `${word}-${digest(JSON.stringify(paint))}`;
  return { paint: { ...paint, attrs: { id, ...paint.attrs } }, id };
};

/**
 * An element that others refer to, under an id that says its contents: equal ids always mean equal
 * elements, wherever several scenes share a document.
 */
export const named = (
  tag: "clipPath" | "mask",
  key: string,
  children: readonly Paint[],
  attrs: Attrs = {},
): { paint: Paint; id: string } =>
  identified({ tag, key, attrs, children }, tag === "mask" ? "mask" : "clip");

/** Where a picture lies so that it covers, fits into or is stretched over a box; px. */
const pictureBox = (
  fill: Pick<PictureFill, "fit" | "focus">,
  picture: { width: number; height: number },
  over: Over,
): Over => {
  if (fill.fit === "stretch") return over;
  const ratio =
    fill.fit === "cover"
      ? Math.max(over.width / picture.width, over.height / picture.height)
      : Math.min(over.width / picture.width, over.height / picture.height);
  const width = picture.width * ratio;
  const height = picture.height * ratio;
  return {
    x: over.x + ((over.width - width) * fill.focus[0]) / 100,
    y: over.y + ((over.height - height) * fill.focus[1]) / 100,
    width,
    height,
  };
};

/**
 * How an outline is filled: elements it refers to, attributes for it, and a picture to lie in it
 * instead.
 */
export const fillOf = (
  fill: Fill,
  over: Over,
): { defs: Paint[]; attrs: Attrs | null; picture: Paint | null } => {
  if (typeof fill === "string")
    return { defs: [], attrs: fill === "none" ? null : ink("fill", fill), picture: null };
  if (fill.kind === "picture") {
    if (typeof fill.picture === "string") return { defs: [], attrs: null, picture: null };
    const at = pictureBox(fill, fill.picture, over);
    return {
      defs: [],
      attrs: null,
      picture: {
        tag: "image",
        key: "picture",
        attrs: {
          href: `asset:${fill.picture.hash}`,
          x: r(at.x),
          y: r(at.y),
          width: r(at.width),
          height: r(at.height),
          preserveAspectRatio: "none",
        },
        children: [],
      },
    };
  }
  const { paint, id } = identified(gradientPaint(fill, over), "ink");
  return { defs: [paint], attrs: { fill: `url(#${id})` }, picture: null };
};
