import { isList, isObject } from "../json";
import type { Json } from "../json";
import type { Kind } from "./kind";

/** Strokes of CSS (§9.2) and the nearest one here. */
const words: Readonly<Record<string, string>> = {
  solid: "solid",
  dashed: "dashed",
  dotted: "dotted",
  double: "solid",
  groove: "solid",
  ridge: "solid",
  outset: "solid",
  inset: "solid",
};

/** A stroke's style; dashes with round ends that are as long as nothing are dots. */
export const readStroke = (plain: Json): string | undefined => {
  if (typeof plain === "string") return words[plain.trim()];
  if (!isObject(plain) || !isList(plain.dashArray)) return undefined;
  const [dash] = plain.dashArray;
  const length = isObject(dash) ? dash.value : dash;
  return plain.lineCap === "round" && length === 0 ? "dotted" : "dashed";
};

export const strokeKind: Kind<string> = {
  name: "strokeStyle",
  type: "stroke",
  read: (json, { plain }) => plain(json, readStroke),
  write: (value) => value,
};
