import type { Json } from "../json";
import type { Kind } from "./kind";

/** The words of §8.4. */
const words: Readonly<Record<string, number>> = {
  thin: 100,
  hairline: 100,
  "extra-light": 200,
  "ultra-light": 200,
  light: 300,
  normal: 400,
  regular: 400,
  book: 400,
  medium: 500,
  "semi-bold": 600,
  "demi-bold": 600,
  bold: 700,
  "extra-bold": 800,
  "ultra-bold": 800,
  black: 900,
  heavy: 900,
  "extra-black": 950,
  "ultra-black": 950,
};

/** The nearest hundred, as fonts come in those. */
export const readWeight = (plain: Json): string | undefined => {
  const word = typeof plain === "string" ? plain.trim().toLowerCase() : "";
  const number = typeof plain === "number" ? plain : (words[word] ?? Number(word || NaN));
  if (!(number >= 1 && number <= 1000)) return undefined;
  return String(Math.min(900, Math.max(100, Math.round(number / 100) * 100)));
};

export const weightKind: Kind<string> = {
  name: "fontWeight",
  type: "weight",
  read: (json, { plain }) => plain(json, readWeight),
  write: Number,
};
