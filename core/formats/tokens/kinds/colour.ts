import { parseColour } from "../../../colour";
import { isList, isObject } from "../json";
import type { Json } from "../json";
import { colourIn, srgbOf } from "../spaces";
import type { Kind } from "./kind";

const isComponent = (value: Json): value is number | "none" =>
  typeof value === "number" || value === "none";

/** Colours of the Color Module 2025.10 §3, and the older ones that were CSS texts. */
export const readColour = (plain: Json): string | undefined => {
  if (typeof plain === "string") return (plain.trim() && parseColour(plain)) || undefined;
  if (!isObject(plain)) return undefined;
  const { colorSpace, components, alpha = 1, hex } = plain;
  if (typeof colorSpace !== "string" || !isList(components))
    return typeof hex === "string" ? (parseColour(hex) ?? undefined) : undefined;
  if (!components.every(isComponent) || typeof alpha !== "number") return undefined;
  return colourIn(colorSpace, components, alpha) ?? undefined;
};

const rounded = (n: number): number => Math.round(n * 1e4) / 1e4;

export const writeColour = (value: string): Json => {
  const { red, green, blue, alpha } = srgbOf(value);
  return {
    colorSpace: "srgb",
    components: [red, green, blue].map(rounded),
    ...(alpha < 1 ? { alpha: rounded(alpha) } : {}),
    ...(value === "none" ? {} : { hex: value.slice(0, 7) }),
  };
};

export const colourKind: Kind<string> = {
  name: "color",
  type: "colour",
  read: (json, { plain }) => plain(json, readColour),
  write: writeColour,
};
