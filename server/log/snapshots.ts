import { createHash } from "node:crypto";
import { Op as SqlOp } from "sequelize";
import type { Transaction } from "sequelize";
import { isNewer, upgrade } from "#core/project";
import type { Project } from "#core/project";
import { SnapshotRow } from "../database";
import { logger } from "../logger";

/** The newest snapshots are kept, from which a project is read. */
const KEPT = 3;
/**
 * Of every so many changes one snapshot is kept for ever, so that any moment is near one; so is the
 * very first, since the log begins with it.
 */
export const SPAN = 500;

/** Which of the snapshots after some changes, the newest first, are not kept. */
const superfluous = (seqs: readonly number[]): readonly number[] =>
  seqs.filter((seq, i) => {
    const older = seqs[i + 1];
    const isFirstOfSpan = older === undefined || Math.floor(older / SPAN) < Math.floor(seq / SPAN);
    return i >= KEPT && !isFirstOfSpan;
  });

const digestOf = (body: string): string => createHash("sha256").update(body, "utf8").digest("hex");

const isTable = (value: unknown): boolean =>
  typeof value === "object" && value !== null && !Array.isArray(value);

const looksLikeProject = (value: unknown): value is Project => {
  if (!isTable(value)) return false;
  const { format, name, pieces } = value as Record<string, unknown>;
  return (
    typeof format === "number" && !isNewer(format) && typeof name === "string" && isTable(pieces)
  );
};

/** The project in a kept snapshot; null when it is not what was written. */
const readBody = (row: SnapshotRow): Project | null => {
  if (digestOf(row.body) !== row.digest) return null;
  try {
    const value: unknown = JSON.parse(row.body);
    return looksLikeProject(value) ? upgrade(value) : null;
  } catch {
    return null;
  }
};

/**
 * Keeps a project as it was after change `seq`, with a digest by which it is known to be what was
 * written.
 */
export const writeSnapshot = async (
  projectId: string,
  seq: number,
  project: Project,
  transaction?: Transaction,
): Promise<void> => {
  const body = JSON.stringify(project);
  const within = { transaction: transaction ?? null };
  await SnapshotRow.upsert({ projectId, seq, body, digest: digestOf(body) }, within);
  const rows = await SnapshotRow.findAll({
    where: { projectId },
    attributes: ["seq"],
    order: [["seq", "DESC"]],
    ...within,
  });
  const gone = superfluous(rows.map((row) => row.seq));
  if (gone.length > 0) await SnapshotRow.destroy({ where: { projectId, seq: gone }, ...within });
};

/** The project in the snapshot after change `seq`; null when it is not what was written. */
export const readKept = async (
  projectId: string,
  seq: number,
  transaction?: Transaction,
): Promise<Project | null> => {
  const row = await SnapshotRow.findOne({
    where: { projectId, seq },
    transaction: transaction ?? null,
  });
  return row && readBody(row);
};

/**
 * The newest snapshot that is what was written, at most of change `seq`; null when none is. Damaged
 * ones are passed over and named in the server's log: the changes after an older one make the same
 * project.
 */
export const readSnapshot = async (
  projectId: string,
  seq: number,
  transaction?: Transaction,
): Promise<{ seq: number; project: Project } | null> => {
  const rows = await SnapshotRow.findAll({
    where: { projectId, seq: { [SqlOp.lte]: seq } },
    attributes: ["seq"],
    order: [["seq", "DESC"]],
    transaction: transaction ?? null,
  });
  for (const { seq: at } of rows) {
    const project = await readKept(projectId, at, transaction);
    if (project) return { seq: at, project };
    logger.warn(
      { project: projectId, seq: at },
      "a snapshot is damaged; an older one and the log are used",
    );
  }
  return null;
};
