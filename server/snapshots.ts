import { createHash } from "node:crypto";
import { Op as SqlOp } from "sequelize";
import type { Transaction } from "sequelize";
import { isNewer, upgrade } from "#core/project";
import type { Project } from "#core/project";
import { SnapshotRow } from "./database";

/**
 * The first snapshot is kept for ever, since the log begins with it; of the others the newest ones.
 */
const KEPT = 3;

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
    where: { projectId, seq: { [SqlOp.gt]: 0 } },
    attributes: ["seq"],
    order: [["seq", "DESC"]],
    ...within,
  });
  const old = rows.slice(KEPT).map((r) => r.seq);
  const first = await SnapshotRow.min<number, SnapshotRow>("seq", {
    where: { projectId },
    ...within,
  });
  const gone = old.filter((s) => s !== first);
  if (gone.length > 0) await SnapshotRow.destroy({ where: { projectId, seq: gone }, ...within });
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
    const row = await SnapshotRow.findOne({
      where: { projectId, seq: at },
      transaction: transaction ?? null,
    });
    const project = row && readBody(row);
    if (project) return { seq: at, project };
    console.error(
      `snapshot ${at} of project ${projectId} is damaged; an older one and the log are used`,
    );
  }
  return null;
};
