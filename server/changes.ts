import { Op as SqlOp, QueryTypes } from "sequelize";
import type { Sequelize, Transaction } from "sequelize";
import { FORMAT, upgradeChange } from "#core/project";
import type { LoggedChange } from "#core/project";
import { ChangeRow } from "./database";

/** The most that is read or sent at once: changes, and bytes of their steps. */
const MOST_AT_ONCE = 500;
const MOST_BYTES_AT_ONCE = 1_000_000;

/** Changes one after the other, as many as may be sent at once. */
export interface Missed {
  readonly changes: readonly LoggedChange[];
  /** more are there than were given */
  readonly more: boolean;
}

/** Changes of a project with numbers after `after` and up to `upTo`. */
export interface Range {
  readonly projectId: string;
  readonly after: number;
  readonly upTo: number;
}

const logged = ({ seq, base, changeId, clientId, label, ops, format }: ChangeRow): LoggedChange =>
  upgradeChange({ seq, base, changeId, clientId, label, ops, format: FORMAT }, format);

/** The first changes of a range, as many as may be read at once. */
export const firstOf = async (
  db: Sequelize,
  { projectId, after, upTo }: Range,
  transaction: Transaction | null = null,
): Promise<Missed> => {
  const rows = await db.query<{ seq: number; total: string | number }>(
    `select seq, sum(bytes) over (order by seq) as total from changes
     where project_id = :projectId and seq > :after and seq <= :upTo order by seq limit :most`,
    {
      replacements: { projectId, after, upTo, most: MOST_AT_ONCE + 1 },
      type: QueryTypes.SELECT,
      transaction,
    },
  );
  // one change is always given, however large, or nobody would get past it
  const fitting = rows
    .slice(0, MOST_AT_ONCE)
    .filter((row, i) => i === 0 || Number(row.total) <= MOST_BYTES_AT_ONCE);
  const last = fitting.at(-1);
  if (!last) return { changes: [], more: false };
  const found = await ChangeRow.findAll({
    where: { projectId, seq: { [SqlOp.gt]: after, [SqlOp.lte]: last.seq } },
    order: [["seq", "ASC"]],
    transaction,
  });
  return { changes: found.map(logged), more: fitting.length < rows.length };
};

/**
 * All changes of a range in order; a long range is read part by part, so that others get a turn
 * between.
 */
export async function* allOf(
  db: Sequelize,
  range: Range,
  transaction: Transaction | null = null,
): AsyncGenerator<LoggedChange> {
  let { after } = range;
  while (after < range.upTo) {
    const { changes } = await firstOf(db, { ...range, after }, transaction);
    yield* changes;
    const last = changes.at(-1);
    if (!last) return;
    after = last.seq;
  }
}

/**
 * The number of the newest change of a range that was made before a moment; `after` when none was.
 */
export const newestBefore = async (
  { projectId, after, upTo }: Range,
  moment: Date,
  transaction: Transaction,
): Promise<number> => {
  const where = {
    projectId,
    seq: { [SqlOp.gt]: after, [SqlOp.lte]: upTo },
    createdAt: { [SqlOp.lt]: moment },
  };
  return (await ChangeRow.max<number | null, ChangeRow>("seq", { where, transaction })) ?? after;
};

/** The change with an id; null when the project has none. */
export const changeCalled = async (
  projectId: string,
  changeId: string,
  transaction: Transaction,
): Promise<LoggedChange | null> => {
  const row = await ChangeRow.findOne({ where: { projectId, changeId }, transaction });
  return row && logged(row);
};

/** Adds a change at the end of its project's log. */
export const addChange = async (
  projectId: string,
  change: LoggedChange,
  transaction: Transaction,
): Promise<void> => {
  const ops = [...change.ops];
  await ChangeRow.create(
    { ...change, projectId, ops, format: FORMAT, bytes: Buffer.byteLength(JSON.stringify(ops)) },
    { transaction },
  );
};

/** Of how many changes, newest first, it is looked which pieces they changed. */
const MOST_LOOKED_AT = 5000;

/**
 * When each piece of a project was last changed, ms since 1970. Pieces nothing was changed in since
 * the project was made, or since thousands of other changes, are not there.
 */
export const piecesChangedAt = async (
  db: Sequelize,
  projectId: string,
): Promise<Readonly<Record<string, number>>> => {
  const rows = await db.query<{ piece: string; at: Date }>(
    `select op->'path'->>1 as piece, max(created_at) as at
     from (select ops, created_at from changes where project_id = :projectId
           order by seq desc limit :most) as newest, jsonb_array_elements(ops) as op
     where op->'path'->>0 = 'pieces' and op->'path'->>1 is not null group by 1`,
    { replacements: { projectId, most: MOST_LOOKED_AT }, type: QueryTypes.SELECT },
  );
  return Object.fromEntries(rows.map(({ piece, at }) => [piece, new Date(at).getTime()]));
};
