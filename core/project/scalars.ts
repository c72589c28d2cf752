import { z } from "zod";
import { numberBounds } from "./tokens/following";
import type { FollowingNumber } from "./tokens/following";
import { isOrderKey } from "./ids";
import { isReserved } from "./reserved";
import { projectWords } from "./words";

/** A record's id. */
export const id = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,40}$/, projectWords.idMustBeLetters)
  .refine((s) => !isReserved(s), projectWords.idReserved);

/** What refers to a record: one of the project, or one that an adoption brings. */
export const ref = z
  .string()
  .regex(/^[A-Za-z0-9_-]{1,40}(\.[A-Za-z0-9_-]{1,40}){0,8}$/, projectWords.idMustBeLetters);

/** A place among others: a key of fractional indexing. */
export const order = z.string().min(1).max(200).refine(isOrderKey, projectWords.notPlaceOrder);

/** What people call something. */
export const name = z
  .string()
  .trim()
  .min(1, projectWords.nameCannotBeEmpty)
  .max(120, projectWords.nameCanHaveAt);

/** A number within the bounds of those of its name. */
export const bounded = (name: FollowingNumber) => {
  const [least, most] = numberBounds[name];
  return z.number().min(least).max(most);
};

/** A length of time, ms. */
export const ms = bounded("ms");

/** What a trait is given: a value, or one found from the present one. */
export const traitTarget = z.union([
  z.strictObject({ value: id }),
  z.strictObject({ step: z.enum(["next", "previous", "opposite", "first"]) }),
]);

/** Which focus counts: one that is shown alone, by a key or to be filled in, or any. */
export const focusBy = z.enum(["keys", "any"]);

/** How something goes on in time; see `Easing`. */
export const easingSchema = z.union([
  z.enum(["linear", "ease", "ease-in", "ease-out", "ease-in-out"]),
  z.tuple([
    z.number().min(0).max(1),
    z.number().min(-10).max(10),
    z.number().min(0).max(1),
    z.number().min(-10).max(10),
  ]),
  z
    .strictObject({
      kind: z.literal("steps"),
      count: z.number().int().min(1).max(100),
      jump: z.enum(["start", "end", "both", "none"]),
    })
    .refine((s) => s.jump !== "none" || s.count > 1, projectWords.stepsWithJumpNone),
  z.strictObject({
    kind: z.literal("bounce"),
    times: z.number().int().min(1).max(8),
    keeps: z.number().min(0.01).max(0.9),
  }),
  z.strictObject({ kind: z.literal("windup"), back: z.number().min(0).max(1) }),
  z.strictObject({
    kind: z.literal("spring"),
    mass: z.number().min(0.05).max(100),
    stiffness: z.number().min(0.1).max(1e5),
    damping: z.number().min(0.05).max(1e4),
  }),
]);
