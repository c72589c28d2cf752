import { convertOklabToRgb, convertRgbToOklab, parseHex } from "culori/fn";
import { lerp, present } from "../basics";

/** The colour between two others at progress t. */
export type ColourMix = (t: number) => string;

/** A colour at a place of a gradient, 0–1. */
export interface ColourStop {
  readonly at: number;
  readonly colour: string;
}

interface Lab {
  l: number;
  a: number;
  b: number;
  alpha: number;
}
const clear: Lab = { l: 0, a: 0, b: 0, alpha: 0 };

const labOf = (colour: string): Lab => {
  if (colour === "none") return clear;
  const rgb = parseHex(colour);
  if (!rgb) return clear;
  const { l, a, b } = convertRgbToOklab({ r: rgb.r, g: rgb.g, b: rgb.b });
  return { l: l ?? 0, a: a ?? 0, b: b ?? 0, alpha: rgb.alpha ?? 1 };
};

/**
 * How far two colours are apart: the length of the way between them in OKLab, with their alpha as a
 * fourth axis. Black and white are 1 apart.
 */
export const colourDistance = (a: string, b: string): number => {
  const [p, q] = [labOf(a), labOf(b)];
  return Math.hypot(p.l - q.l, p.a - q.a, p.b - q.b, p.alpha - q.alpha);
};

const pairs = Array.from({ length: 256 }, (_, i) => i.toString(16).padStart(2, "0"));
const hex = (n: number): string => present(pairs[Math.round(Math.min(1, Math.max(0, n)) * 255)]);

const MOST_KEPT = 500;
const mixes = new Map<string, ColourMix>();

/**
 * Colours mix in OKLab with premultiplied alpha (CSS Color 4 §12.3), so that fading from "none"
 * does not darken. Many layers change alike: those share a mix, and what it gave last.
 */
export const mixColour = (from: string, to: string): ColourMix => {
  const name = `${from} ${to}`;
  const known = mixes.get(name);
  if (known) return known;
  const mix = newMix(from, to);
  let at = NaN;
  let last = from;
  const made: ColourMix = (t) => (t === at ? last : (last = mix((at = t))));
  if (mixes.size >= MOST_KEPT) mixes.clear();
  mixes.set(name, made);
  return made;
};

const newMix = (from: string, to: string): ColourMix => {
  const p = labOf(from);
  const q = labOf(to);
  const same = p.l === q.l && p.a === q.a && p.b === q.b && p.alpha === q.alpha;
  return (t) => {
    if (t === 1 || same) return to;
    if (t === 0) return from;
    const alpha = Math.min(1, Math.max(0, lerp(p.alpha, q.alpha, t)));
    if (alpha === 0) return "none";
    const part = (x: number, y: number) => lerp(x * p.alpha, y * q.alpha, t) / alpha;
    const { r, g, b } = convertOklabToRgb({
      l: part(p.l, q.l),
      a: part(p.a, q.a),
      b: part(p.b, q.b),
    });
    const solid = `#${hex(r)}${hex(g)}${hex(b)}`;
    return alpha < 1 ? solid + hex(alpha) : solid;
  };
};

/**
 * The colour a gradient has at a place, as browsers paint it: sRGB between stops, premultiplied
 * (CSS Images 3 §3.4.2).
 */
export const colourAt = (stops: readonly ColourStop[], at: number): string => {
  const i = stops.findIndex((s) => s.at >= at);
  const next = stops[i];
  const before = stops[i - 1];
  if (!next) return stops.at(-1)?.colour ?? "none";
  if (!before || next.at === before.at) return next.colour;
  const t = (at - before.at) / (next.at - before.at);
  // two go in, two come out
  const [p, q] = [before, next].map((s) =>
    s.colour === "none" ? { r: 0, g: 0, b: 0, alpha: 0 } : { alpha: 1, ...parseHex(s.colour) },
  ) as [Rgba, Rgba];
  const alpha = lerp(p.alpha, q.alpha, t);
  const part = (k: "r" | "g" | "b") =>
    hex(alpha === 0 ? 0 : lerp(p[k] * p.alpha, q[k] * q.alpha, t) / alpha);
  return `#${part("r")}${part("g")}${part("b")}${alpha < 1 ? hex(alpha) : ""}`;
};
interface Rgba {
  readonly r: number;
  readonly g: number;
  readonly b: number;
  readonly alpha: number;
}
