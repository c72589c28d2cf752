import { converter, formatHex, formatHex8, parse } from "culori/fn";
import {
  modeHsl,
  modeLab,
  modeLch,
  modeOklab,
  modeOklch,
  modeRgb,
  modeHwb,
  useMode,
} from "culori/fn";

for (const mode of [modeRgb, modeHsl, modeHwb, modeLab, modeLch, modeOklab, modeOklch])
  // all three are modes of the library, whose type is that of each one
  useMode(mode as typeof modeRgb);

const toRgb = converter("rgb");
const toHsl = converter("hsl");
const toOklch = converter("oklch");

/** The library throws at some texts that are no colour, as at a slash before a number. */
const read = (text: string): ReturnType<typeof parse> => {
  try {
    return parse(text);
  } catch {
    return undefined;
  }
};

/**
 * Reads any CSS colour (hex, names, rgb, hsl, hwb, lab, lch, oklab, oklch) to the stored form; null
 * when it is none.
 */
export const parseColour = (text: string): string | null => {
  const input = text.trim().toLowerCase();
  if (input === "none" || input === "transparent" || input === "") return "none";
  const colour = read(input) ?? (/^[0-9a-f]{3,8}$/.test(input) ? read(`#${input}`) : undefined);
  if (!colour) return null;
  return (colour.alpha ?? 1) < 1 ? formatHex8(colour) : formatHex(colour);
};

export const notations = ["hex", "rgb", "hsl", "oklch"] as const;
export type Notation = (typeof notations)[number];

const num = (n: number | undefined, digits = 0): string =>
  String(Math.round((n ?? 0) * 10 ** digits) / 10 ** digits);

/** A stored colour in a CSS notation (CSS Color 4). */
export const colourText = (colour: string, notation: Notation): string => {
  const c = parse(colour);
  if (!c || notation === "hex" || colour === "none") return colour;
  const alpha = (c.alpha ?? 1) < 1 ? ` / ${num(c.alpha, 3)}` : "";
  if (notation === "rgb") {
    const { r, g, b } = toRgb(c);
    return `rgb(${num(r * 255)} ${num(g * 255)} ${num(b * 255)}${alpha})`;
  }
  if (notation === "hsl") {
    const { h, s, l } = toHsl(c);
    return `hsl(${num(h, 1)} ${num(s * 100, 1)}% ${num(l * 100, 1)}%${alpha})`;
  }
  const { l, c: chroma, h } = toOklch(c);
  return `oklch(${num(l, 4)} ${num(chroma, 4)} ${num(h, 2)}${alpha})`;
};
