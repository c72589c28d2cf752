import type { Id } from "../basics";
import { cutText, tableEntry } from "../project";
import type { Change, Op, Project } from "../project";
import { partsOf } from "../world";
import { opsBetween } from "./difference";
import { historyWords } from "./words";

const LONGEST_LABEL = 200;

const change = (label: string, ops: readonly Op[]): Change | null =>
  ops.length === 0 ? null : { label: cutText(label, LONGEST_LABEL), ops };

/**
 * Makes a project what it was at an earlier moment; null when it is that already. `when` is the
 * moment in words.
 */
export const restoreAll = (now: Project, then: Project, when: string): Change | null =>
  change(historyWords.restoreAll(when), opsBetween(now, then));

type Records = Readonly<Record<Id, unknown>>;

/** Records of a table, and those of another one that it lacks. */
const completed = <T extends Records>(table: T, others: T): T => ({ ...others, ...table });

/**
 * Makes one piece what it was at an earlier moment, or brings it back. What it was made of and is
 * gone meanwhile comes back with it; what is still there stays as it is, since other pieces use it,
 * too. A piece that was not there then is removed. Null when nothing would change.
 */
export const restorePiece = (now: Project, then: Project, id: Id, when: string): Change | null => {
  const piece = tableEntry(then.pieces, id);
  const name = (piece ?? tableEntry(now.pieces, id))?.name ?? "";
  const label = historyWords.restorePiece(name, when);
  if (!piece) {
    const { [id]: _, ...pieces } = now.pieces;
    return change(label, opsBetween(now, { ...now, pieces }));
  }
  const parts = partsOf(then, [id]);
  return change(
    label,
    opsBetween(now, {
      ...now,
      pieces: { ...completed(now.pieces, parts.pieces), [id]: piece },
      tokens: completed(now.tokens, parts.tokens),
      themes: completed(now.themes, parts.themes),
      assets: completed(now.assets, parts.assets),
      adoptions: completed(now.adoptions, parts.adoptions),
    }),
  );
};

/** What became of a piece between two moments. */
export type PieceFate = "made" | "changed" | "removed";

/** The pieces that are otherwise at two moments: what was done to each between them. */
export const fatesBetween = (then: Project, now: Project): ReadonlyMap<Id, PieceFate> => {
  const fates = new Map<Id, PieceFate>();
  for (const id of Object.keys(then.pieces))
    if (!tableEntry(now.pieces, id)) fates.set(id, "removed");
  for (const { path } of opsBetween(then, now)) {
    const [top, id] = path;
    if (top !== "pieces" || id === undefined || fates.has(id)) continue;
    fates.set(id, tableEntry(then.pieces, id) ? "changed" : "made");
  }
  return fates;
};
