import { z } from "zod";
import {
  boundSchema,
  colourSchema,
  gradientShapes,
  property,
  shadowShape,
  stopShape,
  valueSchema,
} from "../../properties";
import { layerChanges } from "../declarations";
import { limits } from "../limits";
import { easingSchema, id, ms, name, order, ref } from "../scalars";
import { tokenTypes } from "./tokens";
import type { SpecifiedTokenValue, Token, TokenType } from "./tokens";
import { projectWords } from "../words";

/** A part of a token's value. */
const part = <T extends z.ZodType>(schema: T) => z.union([schema, boundSchema]);

const choice = (key: string): z.ZodType => {
  const entry = property(key);
  return entry ? valueSchema(entry.type) : z.never();
};

const stops = z.array(z.strictObject({ at: part(stopShape.at), colour: part(colourSchema) }));
const gradientParts = z.discriminatedUnion("kind", [
  z.strictObject({ ...gradientShapes.linear, stops: stops.min(2).max(24) }),
  z.strictObject({ ...gradientShapes.radial, stops: stops.min(2).max(24) }),
]);
const shadow = z.strictObject({
  x: part(shadowShape.x),
  y: part(shadowShape.y),
  blur: part(shadowShape.blur),
  spread: part(shadowShape.spread),
  colour: part(colourSchema),
  inner: z.boolean().optional(),
});
const json = z.string().max(limits.json, projectWords.textTooLong(limits.json));

/** What the values of each type of token look like. */
const values: Readonly<Record<TokenType, z.ZodType>> = {
  colour: colourSchema,
  gradient: gradientParts,
  length: z.number().min(-1e5).max(1e5),
  number: z.number().min(-1e5).max(1e5),
  style: layerChanges,
  family: choice("font"),
  weight: choice("weight"),
  shadow: z.array(shadow).max(12),
  border: z.strictObject({
    colour: part(colourSchema),
    width: part(z.number().min(0).max(1000)),
    style: part(choice("borderStyle")),
  }),
  stroke: choice("borderStyle"),
  duration: ms,
  curve: easingSchema,
  motion: z.strictObject({
    duration: part(ms),
    easing: part(easingSchema),
    delay: part(ms).optional(),
  }),
  other: z.strictObject({ kind: z.string().max(200).nullable(), json }),
};

const alias = z.strictObject({ alias: ref });

/** Why something cannot be the value of a token of a type; null where it can. */
const wrong = (type: TokenType, value: unknown): string | null => {
  if (alias.safeParse(value).success) return null;
  const result = values[type].safeParse(value);
  return result.success ? null : (result.error.issues[0]?.message ?? projectWords.wrongValue);
};

/** Whether a token of a type can say a value. */
export const isTokenValue = (type: TokenType, value: unknown): value is SpecifiedTokenValue =>
  values[type].safeParse(value).success;

const described = {
  about: z.string().max(limits.text).optional(),
  deprecated: z.union([z.boolean(), z.string().max(limits.text)]).optional(),
  extensions: json.optional(),
};

const look = z.strictObject({
  id,
  when: z.record(ref, z.array(id).max(limits.values)),
  order,
  value: z.custom<Token["value"]>(),
  written: json.optional(),
});

export const tokenGroup = z.strictObject({
  id,
  order,
  name: z.string().min(1).max(limits.tokenGroup),
  ...described,
});

export const token = z
  .strictObject({
    id,
    type: z.enum(tokenTypes),
    name,
    group: z.string().max(limits.tokenGroup),
    order,
    value: z.custom<Token["value"]>(),
    looks: z
      .record(id, look)
      .refine(
        (table) => Object.keys(table).length <= limits.tokenLooks,
        projectWords.areLimited(limits.tokenLooks, "looks"),
      )
      .optional(),
    written: json.optional(),
    ...described,
  })
  .superRefine((t, context) => {
    const said = [
      { path: ["value"], value: t.value },
      ...Object.entries(t.looks ?? {}).map(([key, l]) => ({
        path: ["looks", key, "value"],
        value: l.value,
      })),
    ];
    for (const { path, value } of said) {
      const message = wrong(t.type, value);
      if (message !== null) context.addIssue({ code: "custom", path, message });
    }
  });
