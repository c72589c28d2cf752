import { Op as SqlOp, QueryTypes } from "sequelize";
import type { Sequelize, Transaction } from "sequelize";
import { FORMAT, upgradeChange } from "#core/project";
import type { Entry } from "#core/history";
import type { LoggedChange } from "#core/project";
import { ChangeRow } from "../database";

/** The most that is read or sent at once: changes, and bytes of their steps. */
const MOST_AT_ONCE = 500;
const MOST_BYTES_AT_ONCE = 1_000_000;

/** A change as it is kept: with its size, and when it was accepted, ms since 1970. */
export interface KeptChange {
  readonly change: LoggedChange;
  /** size of the steps as JSON, bytes */
  readonly bytes: number;
  readonly at: number;
}

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

const keptAs = (row: ChangeRow): KeptChange => ({
  change: logged(row),
  bytes: row.bytes,
  at: row.createdAt.getTime(),
});

/** How many of the first changes may be read or sent at once, by their sizes. */
const fittingOf = (sizes: readonly number[]): number => {
  let bytes = 0;
  // one change is always given, however large, or nobody would get past it
  const over = sizes.findIndex((size, i) => {
    bytes += size;
    return i > 0 && (bytes > MOST_BYTES_AT_ONCE || i >= MOST_AT_ONCE);
  });
  return over < 0 ? sizes.length : over;
};

/** The first of a range of changes that are at hand, as many as may be sent at once. */
export const firstAmong = (
  kept: readonly KeptChange[],
  { after, upTo }: Omit<Range, "projectId">,
): Missed => {
  const wanted = kept.filter(({ change }) => change.seq > after && change.seq <= upTo);
  const fitting = fittingOf(wanted.map(({ bytes }) => bytes));
  return {
    changes: wanted.slice(0, fitting).map(({ change }) => change),
    more: fitting < wanted.length,
  };
};

/** The first changes of a range, as many as may be read at once. */
export const firstOf = async (
  db: Sequelize,
  range: Range,
  transaction: Transaction | null = null,
): Promise<Missed> => {
  const { kept, more } = await firstKept(db, range, transaction);
  return { changes: kept.map(({ change }) => change), more };
};

const firstKept = async (
  db: Sequelize,
  { projectId, after, upTo }: Range,
  transaction: Transaction | null = null,
): Promise<{ readonly kept: readonly KeptChange[]; readonly more: boolean }> => {
  const rows = await db.query<{ seq: number; bytes: number }>(
    `select seq, bytes from changes
     where project_id = :projectId and seq > :after and seq <= :upTo order by seq limit :most`,
    {
      replacements: { projectId, after, upTo, most: MOST_AT_ONCE + 1 },
      type: QueryTypes.SELECT,
      transaction,
    },
  );
  const fitting = fittingOf(rows.map(({ bytes }) => bytes));
  const last = rows[fitting - 1];
  if (!last) return { kept: [], more: false };
  const found = await ChangeRow.findAll({
    where: { projectId, seq: { [SqlOp.gt]: after, [SqlOp.lte]: last.seq } },
    order: [["seq", "ASC"]],
    transaction,
  });
  return { kept: found.map(keptAs), more: fitting < rows.length };
};

/**
 * All changes of a range in order; a long range is read part by part, so that others get a turn
 * between.
 */
export async function* allOf(
  db: Sequelize,
  range: Range,
  transaction: Transaction | null = null,
): AsyncGenerator<KeptChange> {
  let { after } = range;
  while (after < range.upTo) {
    const { kept } = await firstKept(db, { ...range, after }, transaction);
    yield* kept;
    const last = kept.at(-1);
    if (!last) return;
    after = last.change.seq;
  }
}

/** The changes with some ids, by these. */
export const changesCalled = async (
  projectId: string,
  changeIds: readonly string[],
  transaction: Transaction,
): Promise<ReadonlyMap<string, LoggedChange>> => {
  const rows = await ChangeRow.findAll({
    where: { projectId, changeId: [...changeIds] },
    transaction,
  });
  return new Map(rows.map((row) => [row.changeId, logged(row)]));
};

/** A change as it is kept from now on. */
export const keptNow = (change: LoggedChange): KeptChange => ({
  change,
  bytes: Buffer.byteLength(JSON.stringify(change.ops)),
  at: Date.now(),
});

/** Adds changes at the end of their project's log. */
export const addChanges = async (
  projectId: string,
  kept: readonly KeptChange[],
  transaction: Transaction,
): Promise<void> => {
  const rows = kept.map(({ change, bytes, at }) => ({
    ...change,
    projectId,
    ops: [...change.ops],
    format: FORMAT,
    bytes,
    createdAt: new Date(at),
  }));
  await ChangeRow.bulkCreate(rows, { transaction });
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

/** So many changes are told of at once. */
const MOST_ENTRIES = 5000;

/**
 * What the log says of the newest changes before number `before`, in their order: enough of them to
 * fill a screen many times over.
 */
export const entriesBefore = async (
  db: Sequelize,
  projectId: string,
  before: number,
  after = 0,
): Promise<readonly Entry[]> => {
  const rows = await db.query<Omit<Entry, "at"> & { readonly at: Date }>(
    `select seq, client_id as "clientId", created_at as at, label,
       array(select distinct op->'path'->>1 from jsonb_array_elements(ops) as op
             where op->'path'->>0 = 'pieces' and op->'path'->>1 is not null) as pieces
     from changes where project_id = :projectId and seq < :before and seq > :after
     order by seq desc limit :most`,
    {
      replacements: { projectId, before, after, most: MOST_ENTRIES },
      type: QueryTypes.SELECT,
    },
  );
  return rows.map((row) => ({ ...row, at: new Date(row.at).getTime() })).reverse();
};
