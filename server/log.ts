import { EventEmitter } from "node:events";
import { Op as SqlOp, QueryTypes } from "sequelize";
import type { Sequelize, Transaction } from "sequelize";
import { apply, judge, restoredValue, restoreKey, restoringOps, upgrade } from "#core/project";
import type { Change, Clash, LoggedChange, Op, Project, Proposal } from "#core/project";
import { ChangeRow, ProjectRow } from "./database";
import { readSnapshot, writeSnapshot } from "./snapshots";
import { troubleOf } from "./trouble";
import { Turns } from "./turns";

/** A snapshot is written after this many changes. */
const SNAPSHOT_EVERY = 50;
/** The most that is sent of what a window missed at once: changes, and bytes of their steps. */
const MOST_MISSED = 500;
const MOST_MISSED_BYTES = 1_000_000;
/** What others did this long ago a window in live editing has seen, unless something is wrong with it, ms. */
const STALE_MS = 15_000;
/** Projects whose present state is kept in memory; the others are read again when they are asked for. */
const MOST_STATES = 60;

export interface Snapshot {
  readonly seq: number;
  readonly project: Project;
}

/** Changes one after the other, as many as may be sent at once. */
export interface Missed {
  readonly changes: readonly LoggedChange[];
  /** more are there than were given */
  readonly more: boolean;
}

export type AppendResult =
  | {
      readonly kind: "kept";
      readonly seq: number;
      readonly missed: Missed;
      /** the steps as they were kept, where they are not just those that were sent */
      readonly ops?: readonly Op[];
      /** records that somebody removed: what the change does there comes back with them */
      readonly gone: readonly (readonly string[])[];
    }
  | { readonly kind: "conflict"; readonly clashes: readonly Clash[]; readonly missed: Missed }
  | { readonly kind: "refused"; readonly reason: string }
  | { readonly kind: "unknown" };

/** A project of which neither snapshots nor log can be read. */
export class ProjectDamaged extends Error {
  constructor(readonly projectId: string, readonly reason: string) {
    super(`project ${projectId} cannot be read: ${reason}`);
    this.name = "ProjectDamaged";
  }
}

/** A row of the list of projects; `project` is null, with the reason, when it cannot be read. */
export interface Listed {
  readonly id: string;
  readonly name: string;
  readonly changedAt: Date;
  readonly project: Project | null;
  readonly reason: string | null;
}

const logged = (row: ChangeRow): LoggedChange => ({
  seq: row.seq, base: row.base, changeId: row.changeId, clientId: row.clientId, label: row.label, ops: row.ops,
});

/** Ids come from addresses: what is none is not asked for. */
const isId = (id: string): boolean => /^[A-Za-z0-9_-]{1,40}$/.test(id);

/**
 * The append-only log of every project. A project's present state is its newest sound snapshot and the changes after it;
 * it is kept in memory as long as the numbers agree with the database.
 */
export class ProjectLog {
  private readonly states = new Map<string, Snapshot>();
  private readonly bus = new EventEmitter().setMaxListeners(0);
  private readonly turns = new Turns();

  constructor(private readonly db: Sequelize) {}

  /** Calls back for every change accepted from now on, in order; returns how to stop. */
  listen(projectId: string, call: (change: LoggedChange) => void): () => void {
    this.bus.on(projectId, call);
    return () => this.bus.off(projectId, call);
  }

  /** All projects, the newest first. One that cannot be read is listed as such. */
  async list(): Promise<Listed[]> {
    const rows = await ProjectRow.findAll({ order: [["updatedAt", "DESC"], ["id", "ASC"]] });
    const listed: Listed[] = [];
    for (const row of rows) listed.push(await this.listRow(row));
    return listed;
  }

  private async listRow(row: ProjectRow): Promise<Listed> {
    const { id, name, updatedAt: changedAt } = row;
    try {
      const { project } = await this.stateOf(row);
      return { id, name: project.name, changedAt, project, reason: null };
    } catch (error) {
      if (troubleOf(error)) throw error;
      console.error(error);
      return { id, name, changedAt, project: null, reason: error instanceof ProjectDamaged ? error.reason : "it cannot be read" };
    }
  }

  async create(id: string, project: Project): Promise<void> {
    await this.db.transaction(async (transaction) => {
      await ProjectRow.create({ id, name: project.name, seq: 0 }, { transaction });
      await writeSnapshot(id, 0, project, transaction);
    });
  }

  async exists(id: string): Promise<boolean> { return isId(id) && (await ProjectRow.count({ where: { id } })) > 0; }

  async destroy(id: string): Promise<void> {
    await ProjectRow.destroy({ where: { id } });
    this.states.delete(id);
  }

  /** The project now; null when there is none. Throws ProjectDamaged. */
  async read(id: string): Promise<Snapshot | null> {
    const row = isId(id) ? await ProjectRow.findByPk(id) : null;
    return row && this.stateOf(row);
  }

  /** The changes after a number, as many as may be sent at once. */
  async since(id: string, seq: number, before?: number, transaction?: Transaction): Promise<Missed> {
    const rows = await this.db.query<{ seq: number; total: string | number }>(
      `select seq, sum(bytes) over (order by seq) as total from changes
       where project_id = :id and seq > :seq and seq < :before order by seq limit :most`,
      { replacements: { id, seq, before: before ?? 2_147_483_647, most: MOST_MISSED + 1 }, type: QueryTypes.SELECT, transaction: transaction ?? null },
    );
    // one change is always given, however large, or nobody would get past it
    const fitting = rows.slice(0, MOST_MISSED).filter((row, i) => i === 0 || Number(row.total) <= MOST_MISSED_BYTES);
    const last = fitting.at(-1);
    if (!last) return { changes: [], more: false };
    return { changes: await this.between(id, seq, last.seq, transaction), more: fitting.length < rows.length };
  }

  private async between(id: string, after: number, upTo: number, transaction?: Transaction): Promise<LoggedChange[]> {
    const rows = await ChangeRow.findAll({
      where: { projectId: id, seq: { [SqlOp.gt]: after, [SqlOp.lte]: upTo } }, order: [["seq", "ASC"]], transaction: transaction ?? null,
    });
    return rows.map(logged);
  }

  /**
   * Appends a change in one transaction that holds the project's row, so that changes have one order everywhere.
   * The same change sent again (its answer was lost) is kept once. Nothing is written when it is refused, or when it comes
   * late and others changed the same meanwhile.
   */
  append(id: string, proposal: Proposal): Promise<AppendResult> {
    if (!isId(id)) return Promise.resolve({ kind: "unknown" });
    return this.turns.run(id, () => this.appendNow(id, proposal));
  }

  private async appendNow(id: string, proposal: Proposal): Promise<AppendResult> {
    const { changeId, clientId, since, base } = proposal;
    let state: Snapshot | null = null;
    let fresh: LoggedChange | null = null;
    const result = await this.db.transaction(async (transaction): Promise<AppendResult> => {
      const row = await ProjectRow.findByPk(id, { lock: transaction.LOCK.UPDATE, transaction });
      if (!row) return { kind: "unknown" };
      const missed = (upTo?: number) => this.since(id, since, upTo, transaction);
      const before = await ChangeRow.findOne({ where: { projectId: id, changeId }, transaction });
      if (before) return { kind: "kept", seq: before.seq, missed: await missed(before.seq), ops: before.ops, gone: [] };
      const present = await this.stateOf(row, transaction);
      const unseen = await this.unseen(id, proposal, row.seq, transaction);
      const verdict = judge(present.project, proposal, unseen, await this.restored(id, present, proposal.change, transaction));
      if (verdict.kind === "refused") return verdict;
      if (verdict.kind === "conflict") return { ...verdict, missed: await missed() };
      const { project, change: { label, ops }, gone, altered } = verdict;
      const seq = row.seq + 1;
      fresh = { seq, base: Math.min(base, row.seq), changeId, clientId, label, ops };
      state = { seq, project };
      await ChangeRow.create({ ...fresh, projectId: id, ops: [...ops], bytes: Buffer.byteLength(JSON.stringify(ops)) }, { transaction });
      await row.update({ seq, name: project.name }, { transaction });
      if (seq % SNAPSHOT_EVERY === 0) await writeSnapshot(id, seq, project, transaction);
      return { kind: "kept", seq, missed: await missed(seq), gone, ...(altered ? { ops } : {}) };
    });
    if (state) this.remember(id, state);
    if (fresh) this.bus.emit(id, fresh);
    return result;
  }

  /** What a proposal must not overwrite: see `judge`. */
  private async unseen(id: string, { clientId, since, base, late }: Proposal, seq: number, transaction: Transaction): Promise<LoggedChange[]> {
    const after = late ? base : since;
    if (after >= seq) return [];
    const rows = await ChangeRow.findAll({
      where: {
        projectId: id, seq: { [SqlOp.gt]: after, [SqlOp.lte]: seq }, clientId: { [SqlOp.ne]: clientId },
        ...(late ? {} : { createdAt: { [SqlOp.lt]: new Date(Date.now() - STALE_MS) } }),
      },
      order: [["seq", "ASC"]], transaction,
    });
    return rows.map(logged);
  }

  /** The records that a change brings back, as they would be now. */
  private async restored(id: string, present: Snapshot, change: Change, transaction: Transaction): Promise<Map<string, unknown>> {
    const found = new Map<string, unknown>();
    for (const op of restoringOps(present.project, change)) {
      const removal = await ChangeRow.findOne({ where: { projectId: id, changeId: op.restores }, transaction });
      if (!removal) continue;
      const before = await this.stateAt(id, removal.seq - 1, transaction);
      const since = await this.between(id, removal.seq, present.seq, transaction);
      found.set(restoreKey(op), restoredValue(op.path, before, removal, since, present.project));
    }
    return found;
  }

  /** The project as it was after change `seq`. */
  private async stateAt(id: string, seq: number, transaction?: Transaction): Promise<Project> {
    const base = await readSnapshot(id, seq, transaction);
    if (!base) throw new ProjectDamaged(id, "none of its snapshots is what was written");
    return this.replay(id, base, seq, transaction);
  }

  private async replay(id: string, base: Snapshot, seq: number, transaction?: Transaction): Promise<Project> {
    const changes = await this.between(id, base.seq, seq, transaction);
    if (changes.length !== seq - base.seq) throw new ProjectDamaged(id, `changes between ${base.seq} and ${seq} are missing from its log`);
    if (!changes.every((c) => Array.isArray(c.ops))) throw new ProjectDamaged(id, "a change of its log is not what was written");
    return upgrade(changes.reduce((project, c) => apply(project, c.ops).doc, base.project));
  }

  private async stateOf(row: ProjectRow, transaction?: Transaction): Promise<Snapshot> {
    const known = this.states.get(row.id);
    if (known?.seq === row.seq) return known;
    const project = known && known.seq < row.seq
      ? await this.replay(row.id, known, row.seq, transaction)
      : await this.stateAt(row.id, row.seq, transaction);
    const state = { seq: row.seq, project };
    // what was read under a lock is committed already: this transaction's own change comes after it
    this.remember(row.id, state);
    return state;
  }

  private remember(id: string, state: Snapshot): void {
    this.states.delete(id);
    this.states.set(id, state);
    const oldest = this.states.keys().next().value;
    if (this.states.size > MOST_STATES && oldest !== undefined) this.states.delete(oldest);
  }
}
