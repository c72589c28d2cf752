import { z } from "zod";
import { property, OPTION, TRAIT } from "./registry";
import type { ValueType } from "./types";

const finite = z.number().min(-1e6).max(1e6);

/** A colour as stored: "none", #rrggbb or #rrggbbaa in lower case. */
export const colourSchema = z.string().regex(/^(none|#[0-9a-f]{6}([0-9a-f]{2})?)$/, "a colour must be none, #rrggbb or #rrggbbaa");

/** Path data in per cent of the layer's box: absolute M, L, C, Q and Z only. */
export const pathSchema = z.string().max(20_000).regex(/^\s*M[-+MLCQZ0-9eE.,\s]*$/, "a shape must be path data of M, L, C, Q and Z");

const shadowSchema = z.strictObject({ x: finite, y: finite, blur: finite.min(0), spread: finite, colour: colourSchema });
const idSchema = z.string().regex(/^[A-Za-z0-9_-]{0,40}$/);

/** The Zod schema of a value type. */
export const valueSchema = (type: ValueType): z.ZodType => {
  switch (type.is) {
    case "number": return z.number().min(type.min).max(type.max);
    case "colour": return colourSchema;
    case "flag": return z.boolean();
    case "choice": return z.enum(type.of as [string, ...string[]]);
    case "text": return z.string().max(5000);
    case "path": return pathSchema;
    case "four": return z.tuple([finite, finite, finite, finite]);
    case "shadows": return z.array(shadowSchema).max(12);
    case "reference": return idSchema;
  }
};

const cache = new Map<string, z.ZodType>();

/** The schema of one property's value; undefined for a key that no layer has. */
export const propertySchema = (key: string): z.ZodType | undefined => {
  if (key.startsWith(TRAIT)) return idSchema;
  if (key.startsWith(OPTION)) return z.union([z.string().max(5000), z.boolean()]);
  const known = cache.get(key);
  if (known) return known;
  const entry = property(key);
  if (!entry) return undefined;
  const schema = valueSchema(entry.type);
  cache.set(key, schema);
  return schema;
};
