import { formatHex, formatHex8, parse } from "culori/fn";
import { modeHsl, modeLab, modeLch, modeOklab, modeOklch, modeRgb, modeHwb, useMode } from "culori/fn";

for (const mode of [modeRgb, modeHsl, modeHwb, modeLab, modeLch, modeOklab, modeOklch]) useMode(mode as typeof modeRgb);

/** Reads any CSS colour (hex, names, rgb, hsl, hwb, lab, lch, oklab, oklch) to the stored form; null when it is none. */
export const parseColour = (text: string): string | null => {
  const input = text.trim().toLowerCase();
  if (input === "none" || input === "transparent" || input === "") return "none";
  const colour = parse(input) ?? (/^[0-9a-f]{3,8}$/.test(input) ? parse(`#${input}`) : undefined);
  if (!colour) return null;
  return (colour.alpha ?? 1) < 1 ? formatHex8(colour) : formatHex(colour);
};
