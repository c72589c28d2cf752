import { isObject } from "../json";
import type { Json } from "../json";
import type { Kind } from "./kind";

/** As long as anything may take here, ms. */
const LONGEST = 600_000;
const factors: Readonly<Record<string, number>> = { ms: 1, s: 1000 };

const limited = (ms: number): number | undefined => (ms >= 0 && ms <= LONGEST ? ms : undefined);

/** A duration in ms (§8.5): `{ value, unit }`; in older files a text such as "200ms". */
export const readDuration = (plain: Json): number | undefined => {
  if (typeof plain === "number") return limited(plain);
  if (typeof plain === "string") {
    const [, number = "", unit = ""] = /^([\d.]+)(ms|s)$/.exec(plain.trim()) ?? [];
    return limited(Number.parseFloat(number) * (factors[unit] ?? NaN));
  }
  if (!isObject(plain) || typeof plain.value !== "number") return undefined;
  return limited(plain.value * (factors[typeof plain.unit === "string" ? plain.unit : ""] ?? NaN));
};

export const writeDuration = (value: number): Json => ({ value, unit: "ms" });

export const durationKind: Kind<number> = {
  name: "duration",
  type: "duration",
  read: (json, { plain }) => plain(json, readDuration),
  write: writeDuration,
};
