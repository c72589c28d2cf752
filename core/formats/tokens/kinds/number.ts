import type { Json } from "../json";
import type { Kind } from "./kind";

/** A number (§8.7); in older files also a text that is nothing but one, and a share in per cent. */
export const readNumber = (plain: Json): number | undefined => {
  if (typeof plain === "number") return plain;
  if (typeof plain !== "string") return undefined;
  const [, number = "", percent] = /^(-?\d*\.?\d+)(%)?$/.exec(plain.trim()) ?? [];
  const value = Number.parseFloat(number);
  if (!Number.isFinite(value)) return undefined;
  return percent ? value / 100 : value;
};

export const numberKind: Kind<number> = {
  name: "number",
  type: "number",
  read: (json, { plain }) => plain(json, readNumber),
  write: (value) => value,
};
