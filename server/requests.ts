import { z } from "zod";
import { changeSchema, cleanText, limits } from "#core/project";
import { kinds, weights } from "#core/system";

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
    generation: id.optional(),
    change: changeSchema,
  })
  .transform((request) => ({ ...request, base: request.base ?? request.since }));

/** Where a project stands that a window watches: "ID:NUMBER", or "ID:NUMBER:GENERATION". */
export const watchRequest = z
  .array(z.string().regex(/^[A-Za-z0-9_-]{1,40}:\d{1,10}(:[A-Za-z0-9_-]{1,40})?$/))
  .min(1)
  .max(60)
  .transform((all) =>
    all.map((text) => {
      const [id = "", seq = "0", generation] = text.split(":");
      return { id, seq: Math.min(Number(seq), 2_147_483_647), generation: generation ?? null };
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

const anyId = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/);
const ofOne = <I extends string>(intent: I) => z.object({ intent: z.literal(intent), id: anyId });

/** What the page of projects asks for. */
export const projectsRequest = z.discriminatedUnion("intent", [
  z.object({ intent: z.literal("create"), name }),
  z.object({ intent: z.literal("rename"), id: anyId, name }),
  ofOne("duplicate"),
  ofOne("bin"),
  ofOne("restore"),
  ofOne("destroy"),
]);
export type ProjectsRequest = z.infer<typeof projectsRequest>;

/** A number of an edition, as Semantic Versioning 2.0.0 has it, without what may stand behind it. */
const editionNumber = z.string().regex(/^(0|[1-9]\d{0,5})(\.(0|[1-9]\d{0,5})){2}$/);
const sentence = z.string().transform(cleanText).pipe(z.string().trim().min(1).max(500));
/** So many of the differences an edition is published with are kept, the heaviest first. */
const MOST_REASONS = 1000;
const differenceKinds = Object.keys(kinds) as [keyof typeof kinds, ...(keyof typeof kinds)[]];
const reason = z.strictObject({
  kind: z.enum(differenceKinds),
  weight: z.enum(weights),
  subject: z.strictObject({
    table: z.enum(["pieces", "tokens", "themes", "assets", "adoptions"]),
    id: z.string().max(200),
  }),
  part: z.string().max(200).optional(),
  text: z.string().max(600),
});

/** What a window sends to publish an edition; `seq` is the change it has seen last. */
const publish = z.strictObject({
  intent: z.literal("publish"),
  seq: number,
  number: editionNumber,
  name: z.string().transform(cleanText).pipe(z.string().trim().max(120)),
  notes: z.string().max(limits.text * 4),
  reasons: z.array(reason).max(MOST_REASONS),
  lowered: sentence.nullable(),
});

/** What a window sends to withdraw an edition, or, with no reason, to offer it again. */
const withdraw = z.strictObject({
  intent: z.literal("withdraw"),
  number: editionNumber,
  withdrawn: sentence.nullable(),
});

/** What a window asks of the editions of its project. */
export const editionRequest = z.discriminatedUnion("intent", [publish, withdraw]);
export type EditionRequest = z.infer<typeof editionRequest>;

/** What a window sends to name a moment of its project; an empty name takes the name away. */
export const momentRequest = z.strictObject({
  seq: number,
  name: z.string().transform(cleanText).pipe(z.string().trim().max(120)),
});

/** Changes that are asked for: those after one number, up to another. */
export const changesRequest = z.object({
  after: z.coerce.number().pipe(number),
  upTo: z.coerce.number().pipe(number),
});
