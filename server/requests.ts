import { z } from "zod";
import { changeSchema, cleanText } from "#core/project";

const id = z.string().regex(/^[A-Za-z0-9_-]{6,40}$/);
const number = z.int().min(0).max(2_147_483_647);

/**
 * What a window sends to have a change kept. Windows of an older build do not say what its maker
 * had seen.
 */
export const appendRequest = z
  .strictObject({
    changeId: id,
    clientId: id,
    since: number,
    base: number.optional(),
    late: z.boolean().default(false),
    format: z.int().min(1).max(1000).optional(),
    change: changeSchema,
  })
  .transform((request) => ({ ...request, base: request.base ?? request.since }));

/** Where a project stands that a window watches: "ID:NUMBER". */
export const watchRequest = z
  .array(z.string().regex(/^[A-Za-z0-9_-]{1,40}:\d{1,10}$/))
  .min(1)
  .max(60)
  .transform((all) =>
    all.map((text) => {
      const [projectId = "", seq = "0"] = text.split(":");
      return { projectId, seq: Math.min(Number(seq), 2_147_483_647) };
    }),
  );

/** The number after which changes are asked for. */
export const sinceRequest = z.coerce.number().int().min(0).max(2_147_483_647);

const name = z
  .string({ error: "Give the project a name." })
  .transform(cleanText)
  .pipe(
    z
      .string()
      .trim()
      .min(1, "Give the project a name.")
      .max(120, "A name can have at most 120 characters."),
  );

/** What the form for a new project sends. */
export const newProjectRequest = z.object({ name });
