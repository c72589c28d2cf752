import { z } from "zod";
import { FORMAT, changeSchema, merge, upgradeChange } from "#core/project";
import type { Change, Clash, Project } from "#core/project";
import { sessionWords } from "./words";

/** A change of this browser that is not known to be on the server, as it is kept over a reload. */
export interface Unsaved {
  readonly changeId: string;
  /** the window that made it */
  readonly clientId: string;
  readonly change: Change;
  /** number of the newest change its maker had seen */
  readonly base: number;
  /** when its last edit was made, ms since 1970 */
  readonly madeAt: number;
  /**
   * made offline, or taken up after its window was closed: it does not overwrite what others did
   * since
   */
  readonly late: boolean;
  /** place in the order of its window's changes */
  readonly place: number;
  /** the format its steps are written in; without it the first one */
  readonly format?: number | undefined;
}

/**
 * A change in the queue. `after` is the project with it, while nothing else came in between. Once
 * it was `tried` the server may have it although no answer came, so it must stay what it is: what
 * it knows it does not take again.
 */
export interface Pending extends Unsaved {
  readonly after: Project | null;
  readonly tried: boolean;
}

/** Why a change was set aside instead of being saved. */
export type AsideReason =
  | { readonly kind: "conflict"; readonly clashes: readonly Clash[] }
  | { readonly kind: "refused"; readonly reason: string };

/** A change that could not just be saved; its maker chooses what becomes of it. */
export interface Aside extends Unsaved {
  readonly why: AsideReason;
}

/**
 * Two changes that were set aside as one, where the second goes on with what the first began:
 * single key presses of one window, sent one by one, in somebody's way each. Null where they are
 * two things to choose about.
 */
export const joinedAside = (first: Aside | undefined, next: Aside): Aside | null => {
  if (first?.clientId !== next.clientId || first.change.label !== next.change.label) return null;
  if (first.why.kind !== "conflict" || next.why.kind !== "conflict") return null;
  const seen = new Set(first.why.clashes.map((c) => c.seq));
  return {
    ...first,
    madeAt: next.madeAt,
    change: { label: next.change.label, ops: merge(first.change.ops, next.change.ops) },
    why: {
      kind: "conflict",
      clashes: [...first.why.clashes, ...next.why.clashes.filter((c) => !seen.has(c.seq))],
    },
  };
};

const id = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/);
const count = z.number().int().min(0);

/**
 * The form in which changes are kept over a reload: what lies in a browser's storage may be
 * anything.
 */
const keptSchema = z.object({
  changeId: id,
  clientId: id,
  change: changeSchema,
  base: count,
  madeAt: z.number(),
  late: z.boolean(),
  place: count,
  format: z.int().max(FORMAT, sessionWords.wasKeptNewerVersion).optional(),
});

/** What was kept as it would be kept today. */
const today = <K extends z.infer<typeof keptSchema>>(kept: K): K => ({
  ...kept,
  change: upgradeChange(kept.change, kept.format),
  format: FORMAT,
});

export const unsavedSchema = keptSchema.transform(today);

const clash = z.object({ seq: count, label: z.string(), paths: z.array(z.array(z.string())) });

export const asideSchema = keptSchema
  .extend({
    why: z.discriminatedUnion("kind", [
      z.object({ kind: z.literal("conflict"), clashes: z.array(clash) }),
      z.object({ kind: z.literal("refused"), reason: z.string() }),
    ]),
  })
  .transform(today);

/** What of a change in the queue is kept over a reload. */
export const unsavedOf = ({
  changeId,
  clientId,
  change,
  base,
  madeAt,
  late,
  place,
}: Unsaved): Unsaved => ({
  changeId,
  clientId,
  change,
  base,
  madeAt,
  late,
  place,
  format: FORMAT,
});
