import { parseColour } from "../../colour";
import type { Fill, Stop } from "../../properties";
import { at, length, readTransform, times, upright } from "./geometry";
import type { Bounds, Matrix } from "./geometry";
import type { Element } from "./tree";

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
    lost(`the ${attrs.spreadMethod} of a gradient`);
  const inBox = attrs.gradientUnits !== "userSpaceOnUse";
  const space: Matrix = times(
    times(m, inBox ? [own.width, 0, 0, own.height, own.x, own.y] : [1, 0, 0, 1, 0, 0]),
    readTransform(transform),
  );
  const value = (key: string, fallback: string) => length(attrs[key] ?? fallback, inBox ? 1 : 100);
  const width = box.width || 1e-6;
  const height = box.height || 1e-6;
  if (e.tag === "linearGradient") {
    const [x1, y1] = at(space, value("x1", "0"), value("y1", "0"));
    const [x2, y2] = at(space, value("x2", inBox ? "1" : "100"), value("y2", "0"));
    const dx = x2 - x1;
    const dy = y2 - y1;
    const len = Math.hypot(dx, dy);
    if (len < 1e-9) return stops.at(-1)?.colour ?? "none";
    // a gradient that is not square to its ends is skewed: Nubble's run straight, as in CSS
    const square =
      inBox &&
      Math.abs(own.width - own.height) > 0.01 &&
      Math.abs(dx) > 1e-6 &&
      Math.abs(dy) > 1e-6;
    if (square || (!upright(space) && Math.abs(space[0] * space[2] + space[1] * space[3]) > 1e-3))
      lost("the skew of a slanting gradient");
    const ux = dx / len;
    const uy = dy / len;
    const half = (Math.abs(width * ux) + Math.abs(height * uy)) / 2;
    const cx = box.x + width / 2;
    const cy = box.y + height / 2;
    const place = (x: number, y: number) => ((x - cx) * ux + (y - cy) * uy) / (2 * half) + 0.5;
    const from = place(x1, y1);
    const to = place(x2, y2);
    return {
      kind: "linear",
      angle: round(((Math.atan2(ux, -uy) * 180) / Math.PI + 360) % 360),
      stops: stops.map((s) => ({ at: round(from + s.at * (to - from)), colour: s.colour })),
    };
  }
  const cx = value("cx", inBox ? "0.5" : "50%");
  const cy = value("cy", inBox ? "0.5" : "50%");
  const r = value("r", inBox ? "0.5" : "50%");
  if (
    (attrs.fx !== undefined && Math.abs(value("fx", "0") - cx) > 1e-6) ||
    (attrs.fy !== undefined && Math.abs(value("fy", "0") - cy) > 1e-6)
  )
    lost("the focus of a radial gradient");
  if (!upright(space) && Math.abs(space[0] * space[2] + space[1] * space[3]) > 1e-3)
    lost("the slant of a radial gradient");
  const [px, py] = at(space, cx, cy);
  return {
    kind: "radial",
    centre: [round((px - box.x) / width), round((py - box.y) / height)],
    radii: [
      round((Math.hypot(space[0], space[2]) * r) / width),
      round((Math.hypot(space[1], space[3]) * r) / height),
    ],
    stops,
  };
};

/**
 * What a fill or stroke of an element comes to: a colour, or a gradient over the layer's box.
 * `own` is the shape's box in its own coordinates, `box` after the map `m`.
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
    if (server?.tag === "pattern") lost("a pattern");
    const instead = /\)\s*(\S.*)$/.exec(text)?.[1];
    return alpha(parseColour(instead ?? "none") ?? "none", opacity);
  }
  if (text === "currentColor")
    return alpha(parseColour(e.style.color ?? "#000000") ?? "#000000", opacity);
  if (text === "context-fill" || text === "context-stroke") lost(`the paint “${text}”`);
  return alpha(parseColour(text) ?? "none", opacity);
};
