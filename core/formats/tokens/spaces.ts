import {
  converter,
  formatHex,
  formatHex8,
  inGamut,
  modeA98,
  modeHsl,
  modeHwb,
  modeLab,
  modeLch,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeP3,
  modeProphoto,
  modeRec2020,
  modeRgb,
  modeXyz50,
  modeXyz65,
  parse,
  parseHex,
  toGamut,
  useMode,
} from "culori/fn";

useMode(modeRgb);
useMode(modeLrgb);
useMode(modeHsl);
useMode(modeHwb);
useMode(modeLab);
useMode(modeLch);
useMode(modeOklab);
useMode(modeOklch);
useMode(modeP3);
useMode(modeA98);
useMode(modeProphoto);
useMode(modeRec2020);
useMode(modeXyz50);
useMode(modeXyz65);

/** Numbers of a colour as CSS Color 4 writes them, each as it is or in per cent. */
type Notation = (numbers: readonly string[], alpha: number) => string;

const numbersOnly =
  (name: string): Notation =>
  (numbers, alpha) =>
    `${name}(${numbers.join(" ")} / ${alpha})`;
const withShares =
  (name: string): Notation =>
  ([hue = "", a = "", b = ""], alpha) =>
    `${name}(${hue} ${a === "none" ? a : `${a}%`} ${b === "none" ? b : `${b}%`} / ${alpha})`;
const predefined =
  (space: string): Notation =>
  (numbers, alpha) =>
    `color(${space} ${numbers.join(" ")} / ${alpha})`;

/** The colour spaces of design token files (Color Module 2025.10 §4), as CSS writes them. */
const spaces = new Map<string, Notation>([
  ["hsl", withShares("hsl")],
  ["hwb", withShares("hwb")],
  ...["lab", "lch", "oklab", "oklch"].map((name) => [name, numbersOnly(name)] as const),
  ...[
    "srgb",
    "srgb-linear",
    "display-p3",
    "a98-rgb",
    "prophoto-rgb",
    "rec2020",
    "xyz-d65",
    "xyz-d50",
  ].map((name) => [name, predefined(name)] as const),
]);

/** Colours that a screen cannot show become the nearest it can (CSS Color 4 §13.2). */
const nearest = toGamut("rgb", "oklch");
const isShown = inGamut("rgb");
const toRgb = converter("rgb");

/**
 * The stored form of a colour given by the numbers of its space, as CSS has them, and its opacity
 * (0–1); "none" for nothing at all, null where there is no such space or colour.
 */
export const colourIn = (
  space: string,
  components: readonly (number | "none")[],
  alpha: number,
): string | null => {
  const notation = spaces.get(space);
  if (!notation || components.length !== 3 || !(alpha >= 0 && alpha <= 1)) return null;
  if (!components.every((n) => n === "none" || Number.isFinite(n))) return null;
  const colour = parse(notation(components.map(String), alpha));
  if (!colour) return null;
  const rgb = isShown(colour) ? toRgb(colour) : nearest(colour);
  if (alpha === 0 && formatHex(rgb) === "#000000") return "none";
  return alpha < 1 ? formatHex8(rgb) : formatHex(rgb);
};

/** Parts of a colour in sRGB, 0–1. */
interface Srgb {
  readonly red: number;
  readonly green: number;
  readonly blue: number;
  readonly alpha: number;
}

/** Red, green and blue of a stored colour and its opacity. */
export const srgbOf = (colour: string): Srgb => {
  const rgb = colour === "none" ? undefined : parseHex(colour);
  if (!rgb) return { red: 0, green: 0, blue: 0, alpha: 0 };
  return { red: rgb.r, green: rgb.g, blue: rgb.b, alpha: rgb.alpha ?? 1 };
};
