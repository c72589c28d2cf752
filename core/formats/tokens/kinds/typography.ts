import type { SpecifiedStyle } from "../../../project";
import { plainText } from "../../../basics";
import { isBound } from "../../../properties";
import type { SpecifiedValue, Value } from "../../../properties";
import { isObject } from "../json";
import type { Json, JsonObject } from "../json";
import { readFamily } from "./family";
import type { Kind, Reader } from "./kind";
import { readLength, writeLength } from "./length";
import { readNumber } from "./number";
import { readWeight } from "./weight";

/** The height of a line as a multiple of the letters' (§9.7); older files say it in px, too. */
const lineHeight = (
  json: Json | undefined,
  size: number | undefined,
  { part, plain }: Reader,
): SpecifiedValue | undefined => {
  const times = part(json, "number", readNumber);
  if (times !== undefined) return times;
  const px = plain(json, readLength);
  return px === undefined || size === undefined || size <= 0 ? undefined : px / size;
};

const parts = (json: JsonObject, reader: Reader): Record<string, SpecifiedValue | undefined> => ({
  font: reader.part(json.fontFamily, "family", readFamily),
  weight: reader.part(json.fontWeight, "weight", readWeight),
  size: reader.part(json.fontSize, "length", readLength),
  lineHeight: lineHeight(json.lineHeight, reader.plain(json.fontSize, readLength), reader),
  spacing: reader.part(json.letterSpacing, "length", readLength),
});

const names: Readonly<Record<string, string>> = {
  font: "fontFamily",
  weight: "fontWeight",
  size: "fontSize",
  lineHeight: "lineHeight",
  spacing: "letterSpacing",
};

const written = (key: string, value: Value): Json => {
  if (typeof value === "number")
    return key === "size" || key === "spacing" ? writeLength(value) : value;
  const text = plainText(value);
  return key === "weight" ? Number(text) : text;
};

/** How letters look (§9.7). */
export const typographyKind: Kind<SpecifiedStyle> = {
  name: "typography",
  type: "style",
  read: (json, reader) => {
    if (!isObject(json)) return undefined;
    const style: Record<string, SpecifiedValue> = {};
    for (const [key, value] of Object.entries(parts(json, reader)))
      if (value !== undefined) style[key] = value;
    return Object.keys(style).length === 0 ? undefined : style;
  },
  write: (value, part) =>
    Object.fromEntries(
      Object.entries(value).flatMap(([key, said]) => {
        const name = names[key];
        return name === undefined
          ? []
          : [[name, part(said, (plain) => written(key, plain))] as const];
      }),
    ),
  more: (value) => {
    const rest = Object.entries(value).filter(([key, said]) => !(key in names) && !isBound(said));
    return rest.length === 0 ? undefined : { style: Object.fromEntries(rest) };
  },
  withMore: (value, more) => (isObject(more.style) ? { ...value, ...more.style } : value),
};
