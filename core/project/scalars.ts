import { z } from "zod";
import { isOrderKey } from "./ids";
import { isReserved } from "./reserved";
import { projectWords } from "./words";

/** A record's id. */
export const id = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,40}$/, projectWords.idMustBeLetters)
  .refine((s) => !isReserved(s), projectWords.idReserved);

/** A place among others: a key of fractional indexing. */
export const order = z.string().min(1).max(200).refine(isOrderKey, projectWords.notPlaceOrder);

/** What people call something. */
export const name = z
  .string()
  .trim()
  .min(1, projectWords.nameCannotBeEmpty)
  .max(120, projectWords.nameCanHaveAt);

/** A length of time, ms. */
export const ms = z.number().min(0).max(600_000);

/** What a trait is given: a value, or one found from the present one. */
export const traitTarget = z.union([
  z.strictObject({ value: id }),
  z.strictObject({ step: z.enum(["next", "previous", "opposite", "first"]) }),
]);

/** Which focus counts: one that is shown alone, by a key or to be filled in, or any. */
export const focusBy = z.enum(["keys", "any"]);
