import { z } from "zod";
import { property, OPTION, THEME, TRAIT } from "./registry";
import { fits } from "./types";
import type { SpecifiedValue, ValueType } from "./types";
import { propertiesWords } from "./words";

const finite = z.number().min(-1e6).max(1e6);

/** A colour as stored: "none", #rrggbb or #rrggbbaa in lower case. */
export const colourSchema = z
  .string()
  .regex(/^(none|#[0-9a-f]{6}([0-9a-f]{2})?)$/, propertiesWords.colourMustBeNone);

/** Path data in per cent of the layer's box: absolute M, L, C, Q and Z only. */
const pathSchema = z
  .string()
  .max(60_000, propertiesWords.pathCanHaveAt)
  .regex(/^\s*M[-+MLCQZ0-9eE.,\s]*$/, propertiesWords.shapeMustBePath);

export const shadowShape = {
  x: finite,
  y: finite,
  blur: finite.min(0),
  spread: finite,
  colour: colourSchema,
  inner: z.boolean().optional(),
} as const;
const shadowsSchema = z.array(z.strictObject(shadowShape)).max(12);
const pair = z.tuple([finite, finite]);
const poseSchema = z.strictObject({
  x: finite,
  y: finite,
  scale: z.tuple([z.number().min(-100).max(100), z.number().min(-100).max(100)]),
  rotation: finite,
  opacity: z.number().min(0).max(1),
  blur: z.number().min(0).max(500),
});
export const stopShape = { at: z.number().min(-10).max(10), colour: colourSchema } as const;
const stops = z
  .array(z.strictObject(stopShape))
  .min(2, propertiesWords.gradientNeedsAtLeast)
  .max(24);
const idSchema = z.string().regex(/^[A-Za-z0-9_-]{0,40}$/);
/** What names a record, of the project or of what it has adopted; or none. */
const refSchema = z.string().regex(/^([A-Za-z0-9_-]{1,40}(\.[A-Za-z0-9_-]{1,40}){0,8})?$/);

/** Both kinds of gradients but for their stops. */
export const gradientShapes = {
  linear: { kind: z.literal("linear"), angle: finite },
  radial: { kind: z.literal("radial"), centre: pair, radii: pair },
} as const;
const gradientSchema = z.discriminatedUnion("kind", [
  z.strictObject({ ...gradientShapes.linear, stops }),
  z.strictObject({ ...gradientShapes.radial, stops }),
]);
const fillSchema = z.union([
  colourSchema,
  gradientSchema,
  z.strictObject({
    kind: z.literal("picture"),
    picture: refSchema,
    fit: z.enum(fits),
    focus: pair,
  }),
]);

/** A value that is taken from a token instead. */
export const boundSchema = z.strictObject({ token: refSchema.min(1) });

/** The Zod schema of a value type. */
export const valueSchema = (type: ValueType): z.ZodType => {
  switch (type.is) {
    case "number":
      return z.number().min(type.min).max(type.max);
    case "colour":
      return colourSchema;
    case "flag":
      return z.boolean();
    case "choice":
      // a choice offers something, here and below
      return z.enum(type.of as [string, ...string[]]);
    case "text":
      return z.string().max(5000);
    case "path":
      return pathSchema;
    case "four":
      return z.tuple([finite, finite, finite, finite]);
    case "pair":
      return z.tuple([
        z.number().min(type.min).max(type.max),
        z.number().min(type.min).max(type.max),
      ]);
    case "fill":
      return fillSchema;
    case "shadows":
      return shadowsSchema;
    case "away":
      return z.union([z.enum(type.words as [string, ...string[]]), poseSchema]);
    case "family":
      return z.string().min(1).max(80);
    case "asset":
    case "style":
    case "reference":
      return refSchema;
  }
};

const cache = new Map<string, z.ZodType>();

/** What an option of a copy may be given, whichever property it sets. */
export const optionSchema: z.ZodType<SpecifiedValue> = z.union([
  z.string().max(5000),
  z.boolean(),
  fillSchema,
  boundSchema,
]);

/**
 * The schema of what a look may say about a property: a value or a token's; undefined for a key
 * that no layer has.
 */
export const propertySchema = (key: string): z.ZodType | undefined => {
  if (key.startsWith(TRAIT) || key.startsWith(THEME)) return idSchema;
  if (key.startsWith(OPTION)) return optionSchema;
  const known = cache.get(key);
  if (known) return known;
  const entry = property(key);
  if (!entry) return undefined;
  const value = valueSchema(entry.type);
  // checked one after the other by hand, since a union would hide what is wrong with the value
  const schema = z.unknown().superRefine((said, context) => {
    const result = (
      typeof said === "object" && said !== null && "token" in said ? boundSchema : value
    ).safeParse(said);
    if (!result.success)
      context.addIssue({
        code: "custom",
        message: result.error.issues[0]?.message ?? propertiesWords.wrongValue,
      });
  });
  cache.set(key, schema);
  return schema;
};
