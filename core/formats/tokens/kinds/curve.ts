import { nearestBezier } from "../../../motion";
import { easingSchema } from "../../../project";
import type { Easing } from "../../../project";
import { isList } from "../json";
import type { Json } from "../json";
import type { Kind, Said } from "./kind";

const words = ["linear", "ease", "ease-in", "ease-out", "ease-in-out"] as const;

const ofNumbers = (list: readonly Json[]): Easing | undefined => {
  const result = easingSchema.safeParse(list);
  return result.success ? result.data : undefined;
};

/** A cubic Bézier (§8.6): four numbers; in older files also as CSS writes it. */
export const readCurve = (plain: Json): Easing | undefined => {
  if (isList(plain)) return ofNumbers(plain);
  if (typeof plain !== "string") return undefined;
  const text = plain.trim();
  const word = words.find((w) => w === text);
  if (word) return word;
  const inside = /^cubic-bezier\(([^)]*)\)$/.exec(text)?.[1];
  return inside === undefined ? undefined : ofNumbers(inside.split(",").map(Number));
};

export const writeCurve = (value: Easing): Json => nearestBezier(value);

const isBezier = (value: Easing): boolean => typeof value === "object" && !("kind" in value);

/** What four numbers do not say: a spring, a bounce, steps, or that it is a word of CSS. */
export const moreOfCurve = (easing: Easing): Said | undefined =>
  isBezier(easing) ? undefined : { easing };

export const curveKind: Kind<Easing> = {
  name: "cubicBezier",
  type: "curve",
  read: (json, { plain }) => plain(json, readCurve),
  write: writeCurve,
  more: moreOfCurve,
  withMore: (value, more) => more.easing ?? value,
};
