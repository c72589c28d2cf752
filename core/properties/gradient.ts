import { present } from "../basics";
import { hundredths } from "./rounding";
import { parseColour } from "../colour";
import type { Gradient, Pair, Stop } from "./types";

const trim = (n: number): string => String(hundredths(n));
const stopsText = (stops: readonly Stop[]): string =>
  stops
    .map((s) => `${s.colour === "none" ? "transparent" : s.colour} ${trim(s.at * 100)}%`)
    .join(", ");

/** A gradient as CSS writes it (CSS Images 3). */
export const gradientText = (g: Gradient): string =>
  g.kind === "linear"
    ? `linear-gradient(${trim(g.angle)}deg, ${stopsText(g.stops)})`
    : `radial-gradient(${trim(g.radii[0] * 100)}% ${trim(g.radii[1] * 100)}% at ${trim(g.centre[0] * 100)}% ${trim(g.centre[1] * 100)}%, ${stopsText(g.stops)})`;

/** Splits at commas that are not inside brackets. */
const parts = (text: string): string[] => text.split(/,(?![^(]*\))/).map((t) => t.trim());

const sides: Readonly<Record<string, number>> = {
  "to top": 0,
  "to right": 90,
  "to bottom": 180,
  "to left": 270,
  "to top right": 45,
  "to bottom right": 135,
  "to bottom left": 225,
  "to top left": 315,
};

/** Stops without a place are spread evenly between those that have one, as in CSS. */
const readStops = (list: readonly string[]): Stop[] | null => {
  const read = list.map((part) => {
    const place = /\s(-?[\d.]+)%\s*$/.exec(part);
    const colour = parseColour(place ? part.slice(0, place.index) : part);
    return colour === null ? null : { at: place ? Number(place[1]) / 100 : NaN, colour };
  });
  const stops = read.filter((stop) => stop !== null);
  if (stops.length < 2 || stops.length < read.length) return null;
  const at = stops.map((s) => s.at);
  if (Number.isNaN(at[0])) at[0] = 0;
  if (Number.isNaN(at.at(-1))) at[at.length - 1] = 1;
  for (let i = 1; i < at.length; i++) {
    if (!Number.isNaN(at[i])) continue;
    const next = at.findIndex((a, k) => k > i && !Number.isNaN(a));
    const from = present(at[i - 1]);
    at[i] = from + (present(at[next]) - from) / (next - i + 1);
  }
  return stops.map((s, i) => ({ at: present(at[i]), colour: s.colour }));
};

/**
 * Reads a CSS linear-gradient (with an angle or a side) or radial-gradient (radii and centre in per
 * cent); null for anything else.
 */
export const parseGradient = (text: string): Gradient | null => {
  const call = /^\s*(linear|radial)-gradient\((.*)\)\s*;?\s*$/is.exec(text);
  if (!call) return null;
  const list = parts(present(call[2]));
  const head = (list[0] ?? "").toLowerCase();
  if (call[1]?.toLowerCase() === "linear") {
    const angle = /^(-?[\d.]+)(deg)?$/.test(head)
      ? Number.parseFloat(head)
      : sides[head.replace(/\s+/g, " ")];
    const stops = readStops(angle === undefined ? list : list.slice(1));
    return stops && { kind: "linear", angle: angle ?? 180, stops };
  }
  const shape =
    /^(?:circle\s*|ellipse\s*)?(?:(-?[\d.]+)%(?:\s+(-?[\d.]+)%)?)?\s*(?:at\s+(-?[\d.]+)%(?:\s+(-?[\d.]+)%)?)?$/.exec(
      head,
    );
  const named = head !== "" && shape !== null;
  const stops = readStops(named ? list.slice(1) : list);
  const of = (a: string | undefined, b: string | undefined, fallback: number): Pair => {
    const x = a === undefined ? fallback : Number(a) / 100;
    return [x, b === undefined ? x : Number(b) / 100];
  };
  return (
    stops && {
      kind: "radial",
      radii: of(shape?.[1], shape?.[2], 0.5),
      centre: of(shape?.[3], shape?.[4], 0.5),
      stops,
    }
  );
};
