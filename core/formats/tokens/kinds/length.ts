import { isObject } from "../json";
import type { Json } from "../json";
import type { Kind } from "./kind";

/** How many px a rem is where nobody says otherwise. */
const REM = 16;
const factors: Readonly<Record<string, number>> = { px: 1, rem: REM };

/**
 * A dimension in px (§8.2): `{ value, unit }`; in older files a text such as "8px" or "0.5rem", and
 * nought alone.
 */
export const readLength = (plain: Json): number | undefined => {
  if (typeof plain === "number") return plain;
  if (typeof plain === "string") {
    const [, number = "", unit = ""] = /^(-?[\d.]+)(px|rem)?$/.exec(plain.trim()) ?? [];
    const value = Number.parseFloat(number);
    return Number.isFinite(value) ? value * (factors[unit] ?? 1) : undefined;
  }
  if (!isObject(plain) || typeof plain.value !== "number") return undefined;
  const factor = factors[typeof plain.unit === "string" ? plain.unit : ""];
  return factor === undefined ? undefined : plain.value * factor;
};

export const writeLength = (value: number): Json => ({ value, unit: "px" });

export const lengthKind: Kind<number> = {
  name: "dimension",
  type: "length",
  read: (json, { plain }) => plain(json, readLength),
  write: writeLength,
};
