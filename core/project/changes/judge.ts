import { accept } from "./accept";
import { isRestoring } from "./op";
import type { Change, Op, RestoringOp } from "./op";
import { clashesOf, goneFrom, isThere } from "./history";
import type { Clash, LoggedChange } from "./history";
import type { Project } from "../project";
import { projectWords } from "../words";

/** A change that a window asks to have kept. */
export interface Proposal {
  readonly changeId: string;
  readonly clientId: string;
  /** number of the newest change the window has */
  readonly since: number;
  /** number of the newest change its maker had seen when it was made */
  readonly base: number;
  /**
   * made offline, or left behind by a window that was closed: it must not overwrite what others did
   * since
   */
  readonly late: boolean;
  /** the format its window writes; without it the first one */
  readonly format?: number | undefined;
  /** the generation of the project it was made in; without it of any */
  readonly generation?: string | undefined;
  readonly change: Change;
}

export type Verdict =
  | {
      readonly kind: "kept";
      readonly project: Project;
      readonly change: Change;
      /** the steps are not just those that were sent */
      readonly altered: boolean;
      /** records that somebody removed: what the change does there comes back with them */
      readonly gone: readonly (readonly string[])[];
    }
  | { readonly kind: "conflict"; readonly clashes: readonly Clash[] }
  | { readonly kind: "refused"; readonly reason: string };

/**
 * The steps whose records must be looked up before a proposal can be judged: those that are not
 * back already.
 */
export const restoringOps = (project: Project, change: Change): RestoringOp[] =>
  change.ops.filter(isRestoring).filter((op) => !isThere(project, op.path));

/** The key under which the value of a restoring step is handed over. */
export const restoreKey = (op: RestoringOp): string => JSON.stringify([op.restores, op.path]);

/**
 * The steps with every record that comes back written out; null when one of them is not known any
 * more.
 */
const writtenOut = (
  project: Project,
  change: Change,
  restored: ReadonlyMap<string, unknown>,
): Op[] | null => {
  const ops: Op[] = [];
  for (const op of change.ops) {
    if (!isRestoring(op)) {
      ops.push(op);
      continue;
    }
    // somebody brought it back already, with all that was done to it
    if (isThere(project, op.path)) continue;
    const value = restored.get(restoreKey(op));
    if (value === undefined) return null;
    ops.push({ op: "set", path: op.path, value });
  }
  return ops;
};

/**
 * What becomes of a proposed change. `unseen` are changes by others that the proposal must not
 * overwrite: of a late one all since its `base`; of one made in live editing those the window has
 * not, though they have been there for a while. `restored` has the records that come back, by
 * `restoreKey`.
 */
export const judge = (
  project: Project,
  { change }: Proposal,
  unseen: readonly LoggedChange[],
  restored: ReadonlyMap<string, unknown> = new Map(),
): Verdict => {
  const ops = writtenOut(project, change, restored);
  if (!ops) return { kind: "refused", reason: projectWords.whatWouldRestoreNo };
  const draft: Change = { label: change.label, ops };
  const clashes = clashesOf(project, draft, unseen);
  if (clashes.length > 0) return { kind: "conflict", clashes };
  const accepted = accept(project, draft);
  if (!accepted.ok) return { kind: "refused", reason: accepted.error };
  const altered = change.ops.some(isRestoring) || accepted.change !== draft;
  return {
    kind: "kept",
    project: accepted.project,
    change: accepted.change,
    altered,
    gone: goneFrom(project, accepted.change.ops),
  };
};
