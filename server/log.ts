import { EventEmitter } from "node:events";
import { Op as SqlOp } from "sequelize";
import type { Sequelize, Transaction } from "sequelize";
import { accept, apply, upgrade } from "#core/project";
import type { Change, Op, Project } from "#core/project";
import { ChangeRow, ProjectRow } from "./database";

/** A snapshot is written after this many changes. */
const SNAPSHOT_EVERY = 50;
/** Changes a client may have missed before it is given the whole project instead. */
const MOST_MISSED = 500;

/** An accepted change as it is sent to windows. */
export interface Logged { readonly seq: number; readonly changeId: string; readonly clientId: string; readonly label: string; readonly ops: readonly Op[] }
export interface Snapshot { readonly seq: number; readonly project: Project }

export type AppendResult =
  | { readonly kind: "kept"; readonly seq: number; readonly missed: readonly Logged[] }
  | { readonly kind: "refused"; readonly reason: string }
  | { readonly kind: "unknown" };

const logged = (row: ChangeRow): Logged => ({ seq: row.seq, changeId: row.changeId, clientId: row.clientId, label: row.label, ops: row.ops });

/**
 * The append-only log of every project. A project's present state is its snapshot and the changes after it;
 * it is kept in memory as long as the numbers agree with the database.
 */
export class ProjectLog {
  private readonly states = new Map<string, Snapshot>();
  private readonly bus = new EventEmitter().setMaxListeners(0);

  constructor(private readonly db: Sequelize) {}

  /** Calls back for every change accepted from now on; returns how to stop. */
  listen(projectId: string, call: (change: Logged) => void): () => void {
    this.bus.on(projectId, call);
    return () => this.bus.off(projectId, call);
  }

  async list(): Promise<{ id: string; name: string; changedAt: Date; project: Project }[]> {
    const rows = await ProjectRow.findAll({ order: [["updatedAt", "DESC"]] });
    return Promise.all(rows.map(async (row) => {
      const { project } = await this.stateOf(row);
      return { id: row.id, name: project.name, changedAt: row.updatedAt, project };
    }));
  }

  async create(id: string, project: Project): Promise<void> {
    await ProjectRow.create({ id, name: project.name, seq: 0, snapshot: project, snapshotSeq: 0 });
  }

  async exists(id: string): Promise<boolean> { return (await ProjectRow.count({ where: { id } })) > 0; }

  async destroy(id: string): Promise<void> {
    await ProjectRow.destroy({ where: { id } });
    this.states.delete(id);
  }

  /** The project now; null when there is none. */
  async read(id: string): Promise<Snapshot | null> {
    const row = await ProjectRow.findByPk(id);
    return row && this.stateOf(row);
  }

  /** The changes after a number; null when there are too many and the whole project is the shorter way. */
  async since(id: string, seq: number): Promise<Logged[] | null> {
    const rows = await ChangeRow.findAll({ where: { projectId: id, seq: { [SqlOp.gt]: seq } }, order: [["seq", "ASC"]], limit: MOST_MISSED + 1 });
    return rows.length > MOST_MISSED ? null : rows.map(logged);
  }

  /**
   * Appends a change in one transaction that holds the project's row, so that changes have one order everywhere.
   * The same change sent again (its answer was lost) is kept once. Nothing is written when it is refused.
   */
  async append(id: string, changeId: string, clientId: string, since: number, change: Change): Promise<AppendResult> {
    let fresh: Logged | null = null;
    const result = await this.db.transaction(async (transaction): Promise<AppendResult> => {
      const row = await ProjectRow.findByPk(id, { lock: transaction.LOCK.UPDATE, transaction });
      if (!row) return { kind: "unknown" };
      const missed = async (upTo: number) => (await ChangeRow.findAll({
        where: { projectId: id, seq: { [SqlOp.gt]: since, [SqlOp.lt]: upTo } }, order: [["seq", "ASC"]], transaction,
      })).map(logged);
      const before = await ChangeRow.findOne({ where: { projectId: id, changeId }, transaction });
      if (before) return { kind: "kept", seq: before.seq, missed: await missed(before.seq) };
      const state = await this.stateOf(row, transaction);
      const accepted = accept(state.project, change);
      if (!accepted.ok) return { kind: "refused", reason: accepted.error };
      const seq = row.seq + 1;
      await ChangeRow.create({ projectId: id, seq, changeId, clientId, label: change.label, ops: [...change.ops] }, { transaction });
      const snapshot = seq - row.snapshotSeq >= SNAPSHOT_EVERY ? { snapshot: accepted.project, snapshotSeq: seq } : {};
      await row.update({ seq, name: accepted.project.name, ...snapshot }, { transaction });
      fresh = { seq, changeId, clientId, label: change.label, ops: change.ops };
      return { kind: "kept", seq, missed: await missed(seq) };
    });
    if (fresh) this.bus.emit(id, fresh);
    return result;
  }

  private async stateOf(row: ProjectRow, transaction?: Transaction): Promise<Snapshot> {
    const known = this.states.get(row.id);
    if (known?.seq === row.seq) return known;
    const base = known && known.seq < row.seq && known.seq >= row.snapshotSeq ? known : { seq: row.snapshotSeq, project: upgrade(row.snapshot) };
    const rows = await ChangeRow.findAll({ where: { projectId: row.id, seq: { [SqlOp.gt]: base.seq, [SqlOp.lte]: row.seq } }, order: [["seq", "ASC"]], transaction: transaction ?? null });
    const state = { seq: row.seq, project: upgrade(rows.reduce((project, r) => apply(project, r.ops).doc, base.project)) };
    // a state read inside a transaction is committed already: the row was locked, and this change comes after it
    this.states.set(row.id, state);
    return state;
  }
}
