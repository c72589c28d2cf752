import { z } from "zod";
import { property, optionSchema, pictureTypes, valueSchema, layerKinds } from "../properties";
import type { Value } from "../properties";
import { declarationsSchema } from "./declarations";
import { effectShapes } from "./effects";
import { FORMAT, isOlder, upgradeValue } from "./format";
import { tableEntry } from "./ids";
import { easingSchema, id, ms, name, order, ref } from "./scalars";
import { limits } from "./limits";
import { token, tokenGroup } from "./tokens/schema";
import {
  advices,
  ariaStates,
  directions,
  motionKinds,
  optionKeys,
  overlayPlaces,
  ROOT,
} from "./types";
import type { Project } from "./project";
import type { Effect, Layer, Piece } from "./types";
import { triggerShapes, triggerTypes } from "./triggers";
import type { Trigger } from "./triggers";
import { projectWords } from "./words";

/** A table with at most so many records. */
const atMost = <T extends z.ZodType<Record<string, unknown>>>(
  schema: T,
  most: number,
  what: string,
) => schema.refine((t) => Object.keys(t).length <= most, projectWords.areLimited(most, what));
const condition = z.record(id, z.array(id).max(limits.values));

const layer = z.strictObject({
  id,
  kind: z.enum(layerKinds),
  name,
  parent: id.nullable(),
  order,
  locked: z.boolean().optional(),
});
const value = z.strictObject({ id, name, order });
const trait = z.strictObject({
  id,
  name,
  order,
  pattern: z.int().min(0).max(99),
  rest: id.nullable(),
  values: atMost(z.record(id, value), limits.values, "values"),
  aria: z
    .strictObject({
      state: z.enum(ariaStates),
      on: z.array(id).max(limits.values),
      mixed: z.array(id).max(limits.values).optional(),
    })
    .optional(),
  get motion() {
    return traitMotion.optional();
  },
});

const look = z.strictObject({ id, when: condition, order, changes: declarationsSchema });

const idText = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/);
const nestedKey = z.union([
  z.templateLiteral(["trait:", idText]),
  z.templateLiteral(["option:", idText]),
]);
const option = z.strictObject({
  id,
  name,
  order,
  layer: id,
  key: z.union([z.enum(optionKeys), nestedKey]),
});
const note = z.strictObject({
  id,
  order,
  when: condition,
  name: name.nullable(),
  unused: z.boolean(),
});
const place = z.number().min(-1e5).max(1e5);
const reference = z.strictObject({
  picture: ref,
  x: place,
  y: place,
  width: z.number().min(1).max(1e5),
  opacity: z.number().min(0).max(1),
});
const motionParts = z.strictObject({
  duration: ref.optional(),
  delay: ref.optional(),
  easing: ref.optional(),
});
const pose = z.strictObject({
  at: z.number().min(0).max(1),
  value: z.custom<Value>(),
  easing: easingSchema,
  token: ref.optional(),
  valueToken: ref.optional(),
});
/** A lane of a motion. */
export const laneSchema = z
  .strictObject({
    layer: id,
    key: z.string().max(60).nullable(),
    delay: ms,
    duration: ms,
    easing: easingSchema,
    parts: motionParts.optional(),
    poses: z.array(pose).max(60).optional(),
    times: z.number().int().min(0).max(1000).optional(),
    turns: z.boolean().optional(),
  })
  .superRefine(({ key, poses = [] }, context) => {
    const entry = key === null ? undefined : property(key);
    if (key !== null && key !== "presence" && !entry)
      context.addIssue({
        code: "custom",
        path: ["key"],
        message: projectWords.thereNoProperty(key),
      });
    for (const [i, p] of poses.entries())
      if (!entry || !valueSchema(entry.type).safeParse(p.value).success)
        context.addIssue({
          code: "custom",
          path: ["poses", i],
          message: projectWords.keyframeNeedsValueProperty,
        });
  });
const motion = z.strictObject({
  kind: z.enum(motionKinds),
  duration: ms,
  delay: ms,
  easing: easingSchema,
  token: ref.optional(),
  parts: motionParts.optional(),
  to: z.enum(directions).optional(),
  restacks: z.enum(["start", "middle", "end"]).optional(),
  lanes: z.array(laneSchema).max(400).optional(),
});
/** A trait's motion moves all alike, and says its time itself. */
const traitMotion = z.strictObject({
  kind: z.enum(motionKinds),
  duration: ms,
  delay: ms,
  easing: easingSchema,
  token: ref.optional(),
  parts: motionParts.optional(),
});
const signal = z.strictObject({ id, name, order });
const overlay = z.strictObject({
  place: z.enum(overlayPlaces),
  dim: z.number().min(0).max(1),
  closes: z.boolean(),
});
const effectSchemas = Object.entries(effectShapes).map(([type, shape]) =>
  z.strictObject({ type: z.literal(type), ...shape, motion: motion.optional() }),
);
type EffectSchema = (typeof effectSchemas)[number];
// there is at least one kind, and the type of effects is made of the same shapes
const effect = z.discriminatedUnion(
  "type",
  effectSchemas as [EffectSchema, ...EffectSchema[]],
) as unknown as z.ZodType<Effect>;
/** Any kind may say what any other says: what is not its own means nothing. */
const triggerFields = z.object(
  Object.fromEntries(Object.values(triggerShapes).flatMap((shape) => Object.entries(shape))),
);
const numberTokens = z.strictObject({
  ms: ref.optional(),
  travel: ref.optional(),
  part: ref.optional(),
  speed: ref.optional(),
  lean: ref.optional(),
});
// the type of triggers is made of the same shapes
const trigger = z.strictObject({
  type: z.enum(triggerTypes),
  ...triggerFields.partial().shape,
  tokens: numberTokens.optional(),
}) as unknown as z.ZodType<Trigger>;
const rule = z.strictObject({
  id,
  order,
  on: z.boolean(),
  source: id.nullable(),
  when: condition,
  undo: z.boolean(),
  motion,
  back: motion.optional(),
  trigger,
  effects: z.array(effect).max(20),
});

/** Ids of instances and then of a layer, joined by "/"; an overlay's begins with "~". */
const path = z
  .string()
  .regex(/^(~?[A-Za-z0-9_-]{1,40})(\/~?[A-Za-z0-9_-]{1,40})*$/)
  .max(800);
const at = z.union([z.literal(""), path]);
const way = z.number().min(-1e4).max(1e4);
const step = z.discriminatedUnion("do", [
  z.strictObject({ do: z.literal(["point", "focus"]), layer: path.nullable() }),
  z.strictObject({ do: z.literal(["press", "release", "settle"]) }),
  z.strictObject({ do: z.literal(["click", "tap"]), layer: path }),
  z.strictObject({ do: z.literal("drag"), layer: path, by: z.tuple([way, way]), ms }),
  z.strictObject({ do: z.literal("key"), key: z.string().min(1).max(40) }),
  z.strictObject({ do: z.literal("fill"), layer: path, text: z.string().max(500) }),
  z.strictObject({ do: z.literal("tab"), back: z.boolean() }),
  z.strictObject({ do: z.literal("wait"), ms }),
  z.strictObject({ do: z.literal("scroll"), layer: path, by: way }),
  z.strictObject({ do: z.literal("answer"), well: z.boolean() }),
  z.strictObject({ do: z.literal(["show", "trait"]), at, trait: id, value: id }),
  z.strictObject({ do: z.literal("text"), text: z.string().max(500), shown: z.boolean() }),
  z.strictObject({
    do: z.literal("layer"),
    layer: path,
    key: z.string().min(1).max(80),
    value: z.union([z.number(), z.string().max(5000), z.boolean()]),
    within: z.number().min(0).max(1e4),
  }),
  z.strictObject({ do: z.literal("screen"), screen: id }),
]);
const rehearsal = z.strictObject({ id, name, order, steps: z.array(step).max(1000) });
const acceptance = z.strictObject({
  id,
  reason: z.string().trim().min(1, projectWords.giveReason).max(500),
});

const sample = z.strictObject({
  id,
  order,
  caption: z.string().max(300),
  advice: z.enum(advices),
  values: z.record(nestedKey, z.union([idText, optionSchema])),
});
const text = z.string().max(limits.text);
const about = z.strictObject({
  description: text.optional(),
  use: text.optional(),
  avoid: text.optional(),
});
const status = z.union([
  z.enum(["draft", "ready"]),
  z.strictObject({ supersededBy: ref.nullable() }),
]);

/**
 * The record tables of a piece; a change addresses one record of one of them, or something inside
 * it.
 */
export const tables = {
  traits: trait,
  layers: layer,
  looks: look,
  rules: rule,
  options: option,
  signals: signal,
  notes: note,
  rehearsals: rehearsal,
  accepted: acceptance,
  samples: sample,
} as const;

const keyed = <T extends z.ZodType<{ id: string }>>(record: T, what: keyof typeof limits) =>
  atMost(z.record(id, record), limits[what], what).refine(
    (table) => Object.entries(table).every(([k, r]) => r.id === k),
    projectWords.recordMustBeKept,
  );

/** A number as Semantic Versioning 2.0.0 has it, without what may stand behind it. */
const editionNumber = z.string().regex(/^(0|[1-9]\d{0,5})(\.(0|[1-9]\d{0,5})){2}$/);
const origin = z.strictObject({ system: id, name, number: editionNumber, piece: ref });

/** The parts of a piece that are not records. */
export const pieceFields = {
  id,
  kind: z.enum(["component", "screen"]),
  name,
  order,
  reference: reference.nullable(),
  overlay: overlay.optional(),
  group: z.string().max(limits.tokenGroup).optional(),
  status: status.optional(),
  about: about.optional(),
  origin: origin.optional(),
} as const;
export const pieceSchema = z.strictObject({
  ...pieceFields,
  traits: keyed(trait, "traits"),
  layers: keyed(layer, "layers"),
  looks: keyed(look, "looks"),
  rules: keyed(rule, "rules"),
  options: keyed(option, "options"),
  signals: keyed(signal, "signals"),
  notes: keyed(note, "notes"),
  rehearsals: keyed(rehearsal, "rehearsals"),
  accepted: keyed(acceptance, "accepted"),
  samples: keyed(sample, "samples"),
});

/** Themes are looked at as traits are, but for what only pieces have. */
const theme = trait.omit({ aria: true, motion: true });

const size = z.number().positive().max(1e5);
const hash = z.string().regex(/^[0-9a-f]{64}$/);
const bytes = z.int().min(1);
/** Icons keep path data of every command; only what cannot end an attribute is allowed. */
const drawing = z.strictObject({
  d: z
    .string()
    .max(20_000)
    .regex(/^[-+MmLlHhVvCcSsQqTtAaZz0-9eE.,\s]*$/, projectWords.notPathData),
  holes: z.boolean(),
});
const asset = z.discriminatedUnion("kind", [
  z.strictObject({
    id,
    kind: z.literal("icon"),
    name,
    width: size,
    height: size,
    shapes: z.array(drawing).max(200),
  }),
  z.strictObject({
    id,
    kind: z.literal("picture"),
    name,
    hash,
    type: z.enum(pictureTypes),
    width: size,
    height: size,
    bytes,
  }),
  z.strictObject({
    id,
    kind: z.literal("font"),
    name,
    hash,
    family: z.string().min(1).max(80),
    weight: z.string().regex(/^[1-9]00$/),
    bytes,
  }),
]);

const adoption = z.strictObject({
  id,
  order,
  system: id,
  name,
  edition: hash,
  number: editionNumber,
  declined: z.record(editionNumber, z.string().trim().min(1).max(500)).optional(),
});

/** The record tables of a project beside its pieces. */
export const projectTables = {
  tokens: token,
  groups: tokenGroup,
  themes: theme,
  assets: asset,
  adoptions: adoption,
} as const;
export const projectFields = { format: z.literal(FORMAT), name, start: id.nullable() } as const;
/** A whole project; what no schema can say is looked at by `readProject`. */
export const projectSchema = z.strictObject({
  ...projectFields,
  pieces: keyed(pieceSchema, "pieces"),
  tokens: keyed(token, "tokens"),
  groups: keyed(tokenGroup, "groups"),
  themes: keyed(theme, "themes"),
  assets: keyed(asset, "assets"),
  adoptions: keyed(adoption, "adoptions"),
});

/** Pieces of an older format as they would be written today. */
const upgradePieces = (project: Project): Project =>
  project.format >= 1 && isOlder(project.format)
    ? {
        ...project,
        format: FORMAT,
        pieces: Object.fromEntries(
          Object.entries(project.pieces).map(([id, piece]) => [
            id,
            // a step makes a piece of a piece: the schema looks at it where it comes from outside
            upgradeValue(["pieces", id], piece, project.format) as Piece,
          ]),
        ),
      }
    : project;

/** A project as it is written today, from one that was kept in an older format. */
export const upgrade = (project: Project): Project => upgradePieces(withTables(project));

/** A project with all its tables, from one that was kept before some of them existed. */
const withTables = (project: Project): Project => {
  const pieces = Object.entries(project.pieces ?? {});
  const old = pieces.some(
    ([, p]) =>
      !("notes" in p) ||
      !("reference" in p) ||
      !("signals" in p) ||
      !("rehearsals" in p) ||
      !("accepted" in p) ||
      !("samples" in p),
  );
  if ("tokens" in project && "themes" in project && "adoptions" in project && !old) return project;
  return {
    ...project,
    tokens: project.tokens ?? {},
    groups: project.groups ?? {},
    themes: project.themes ?? {},
    assets: project.assets ?? {},
    adoptions: project.adoptions ?? {},
    pieces: Object.fromEntries(
      pieces.map(([id, p]) => [
        id,
        {
          ...p,
          notes: p.notes ?? {},
          signals: p.signals ?? {},
          rehearsals: p.rehearsals ?? {},
          accepted: p.accepted ?? {},
          samples: p.samples ?? {},
          reference: p.reference ?? null,
        },
      ]),
    ),
  };
};

/**
 * How deep a layer lies: 0 for the root; null when its parents lead back to itself. Notes what it
 * found on the way.
 */
const depthOf = (piece: Piece, layer: Layer, known: Map<string, number>): number | null => {
  const way: Layer[] = [];
  const seen = new Set<string>();
  let depth = -1;
  for (
    let at: Layer | undefined = layer;
    at;
    at = at.parent === null ? undefined : tableEntry(piece.layers, at.parent)
  ) {
    const found = known.get(at.id);
    if (found !== undefined) {
      depth = found;
      break;
    }
    if (seen.has(at.id)) return null;
    seen.add(at.id);
    way.push(at);
  }
  for (const passed of way.reverse()) known.set(passed.id, ++depth);
  return depth;
};

/**
 * What the schema alone cannot say about a piece: one root, no layer inside itself or too deep.
 * Returns a sentence, or null. A layer whose parent is gone is no fault: somebody removed it
 * meanwhile, and the layer comes back with it.
 */
export const brokenTree = (piece: Piece): string | null => {
  const root = tableEntry(piece.layers, ROOT);
  if (!root || root.parent !== null) return projectWords.hasNoRootLayer(piece.name);
  const known = new Map<string, number>();
  for (const layer of Object.values(piece.layers)) {
    if (layer.id !== ROOT && layer.parent === null) return projectWords.hasNoPlaceTree(layer.name);
    const depth = depthOf(piece, layer, known);
    if (depth === null) return projectWords.cannotBePlacedInside(layer.name);
    if (depth > limits.depth) return projectWords.wouldBeNestedMore(layer.name, limits.depth);
  }
  return null;
};

/** What a table of records holds more of than a project may; a sentence, or null. */
export const overfull = (project: Project, piece: Piece | undefined): string | null => {
  const tooMany = (table: object, what: keyof typeof limits): string | null =>
    Object.keys(table).length > limits[what] ? projectWords.areLimited2(limits[what], what) : null;
  const ofProject =
    tooMany(project.pieces, "pieces") ??
    tooMany(project.tokens, "tokens") ??
    tooMany(project.groups, "groups") ??
    tooMany(project.themes, "themes") ??
    tooMany(project.assets, "assets") ??
    tooMany(project.adoptions, "adoptions");
  if (ofProject || !piece) return ofProject;
  // the keys of a constant table
  for (const table of Object.keys(tables) as (keyof typeof tables)[]) {
    const full = tooMany(piece[table], table);
    if (full) return full;
  }
  return null;
};

/** Reads a project from unknown data; the error is a sentence naming the place and the reason. */
export const readProject = (
  data: unknown,
): { ok: true; project: Project } | { ok: false; error: string } => {
  const result = projectSchema.safeParse(
    // whatever it is: the schema looks at it right after
    typeof data === "object" && data !== null ? upgrade(data as Project) : data,
  );
  if (!result.success) return { ok: false, error: issueText(result.error) };
  const project: Project = result.data;
  for (const piece of Object.values(project.pieces)) {
    const broken = brokenTree(piece);
    if (broken) return { ok: false, error: broken };
  }
  return { ok: true, project };
};

/** The first issue of a Zod error as one sentence. */
export const issueText = (error: z.ZodError): string => {
  const issue = error.issues[0];
  if (!issue) return projectWords.dataNotValid;
  const place = issue.path.map(String).join(" / ");
  return place ? projectWords.at(issue.message, place) : issue.message;
};
