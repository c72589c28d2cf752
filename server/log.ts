import { EventEmitter } from "node:events";
import type { Sequelize, Transaction } from "sequelize";
import {
  FORMAT,
  Places,
  apply,
  isInside,
  isNewer,
  isOlder,
  judge,
  restoreKey,
  restoredValue,
  restoringOps,
  touchesAny,
  upgrade,
} from "#core/project";
import type { Change, Clash, LoggedChange, Op, Project, Proposal } from "#core/project";
import { addChange, allOf, changeCalled, firstOf, newestBefore, piecesChangedAt } from "./changes";
import type { Missed, Range } from "./changes";
import { ProjectRow } from "./database";
import { readSnapshot, writeSnapshot } from "./snapshots";
import { troubleOf } from "./trouble";
import { Turns } from "./turns";

/** A snapshot is written after this many changes. */
const SNAPSHOT_EVERY = 50;
/** The largest number a change can have. */
const LAST = 2_147_483_647;
/**
 * What others did this long ago a window in live editing has seen, unless something is wrong with
 * it, ms.
 */
const STALE_MS = 15_000;
/**
 * Projects whose present state is kept in memory; the others are read again when they are asked
 * for.
 */
const MOST_STATES = 60;

export interface Snapshot {
  readonly seq: number;
  readonly project: Project;
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
  /** the window is of an older build than the server: it must be loaded anew */
  | { readonly kind: "outdated" }
  | { readonly kind: "unknown" };

/** A window is of a newer build than this server, which cannot read what it sends. */
export class ServerOutdated extends Error {
  constructor() {
    super("the server is older than this window");
    this.name = "ServerOutdated";
  }
}

/** A project of which neither snapshots nor log can be read. */
export class ProjectDamaged extends Error {
  constructor(
    readonly projectId: string,
    readonly reason: string,
  ) {
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

/** Ids come from addresses: what is none is not asked for. */
const isId = (id: string): boolean => /^[A-Za-z0-9_-]{1,40}$/.test(id);

/**
 * The append-only log of every project. A project's present state is its newest sound snapshot and
 * the changes after it; it is kept in memory as long as the numbers agree with the database.
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
    const rows = await ProjectRow.findAll({
      order: [
        ["updatedAt", "DESC"],
        ["id", "ASC"],
      ],
    });
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
      return {
        id,
        name,
        changedAt,
        project: null,
        reason: error instanceof ProjectDamaged ? error.reason : "it cannot be read",
      };
    }
  }

  async create(id: string, project: Project): Promise<void> {
    await this.db.transaction(async (transaction) => {
      await ProjectRow.create({ id, name: project.name, seq: 0 }, { transaction });
      await writeSnapshot(id, 0, project, transaction);
    });
  }

  async exists(id: string): Promise<boolean> {
    return isId(id) && (await ProjectRow.count({ where: { id } })) > 0;
  }

  async destroy(id: string): Promise<void> {
    await ProjectRow.destroy({ where: { id } });
    this.states.delete(id);
  }

  /** The project now; null when there is none. Throws ProjectDamaged. */
  async read(id: string): Promise<Snapshot | null> {
    const row = isId(id) ? await ProjectRow.findByPk(id) : null;
    return row && this.stateOf(row);
  }

  /** When each piece of a project was last changed, ms since 1970. */
  async piecesChangedAt(id: string): Promise<Readonly<Record<string, number>>> {
    return isId(id) ? piecesChangedAt(this.db, id) : {};
  }

  /** The changes after a number, as many as may be sent at once. */
  since(projectId: string, after: number): Promise<Missed> {
    return firstOf(this.db, { projectId, after, upTo: LAST });
  }

  /**
   * Appends a change in one transaction that holds the project's row, so that changes have one
   * order everywhere. The same change sent again (its answer was lost) is kept once. Nothing is
   * written when it is refused, or when it comes late and others changed the same meanwhile.
   */
  append(id: string, proposal: Proposal): Promise<AppendResult> {
    if (!isId(id)) return Promise.resolve({ kind: "unknown" });
    if (isOlder(proposal.format)) return Promise.resolve({ kind: "outdated" });
    if (isNewer(proposal.format)) return Promise.reject(new ServerOutdated());
    return this.turns.run(id, () => this.appendNow(id, proposal));
  }

  private async appendNow(id: string, proposal: Proposal): Promise<AppendResult> {
    const { changeId, clientId, since, base } = proposal;
    let state: Snapshot | null = null;
    let fresh: LoggedChange | null = null;
    const result = await this.db.transaction(async (transaction): Promise<AppendResult> => {
      const row = await ProjectRow.findByPk(id, { lock: transaction.LOCK.UPDATE, transaction });
      if (!row) return { kind: "unknown" };
      const missed = (upTo: number) =>
        firstOf(this.db, { projectId: id, after: since, upTo }, transaction);
      const before = await changeCalled(id, changeId, transaction);
      if (before)
        return {
          kind: "kept",
          seq: before.seq,
          missed: await missed(before.seq - 1),
          ops: before.ops,
          gone: [],
        };
      const present = await this.stateOf(row, transaction);
      const unseen = await this.unseen(id, proposal, row.seq, transaction);
      const verdict = judge(
        present.project,
        proposal,
        unseen,
        await this.restored(id, present, proposal.change, transaction),
      );
      if (verdict.kind === "refused") return verdict;
      if (verdict.kind === "conflict") return { ...verdict, missed: await missed(row.seq) };
      const {
        project,
        change: { label, ops },
        gone,
        altered,
      } = verdict;
      const seq = row.seq + 1;
      fresh = {
        seq,
        base: Math.min(base, row.seq),
        changeId,
        clientId,
        label,
        ops,
        format: FORMAT,
      };
      state = { seq, project };
      await addChange(id, fresh, transaction);
      await row.update({ seq, name: project.name }, { transaction });
      if (seq % SNAPSHOT_EVERY === 0) await writeSnapshot(id, seq, project, transaction);
      return {
        kind: "kept",
        seq,
        missed: await missed(seq - 1),
        gone,
        ...(altered ? { ops } : {}),
      };
    });
    if (state) this.remember(id, state);
    if (fresh) this.bus.emit(id, fresh);
    return result;
  }

  /**
   * What a proposal must not overwrite: see `judge`. Of others' changes only those with its places
   * are looked at.
   */
  private async unseen(
    projectId: string,
    proposal: Proposal,
    seq: number,
    transaction: Transaction,
  ): Promise<LoggedChange[]> {
    const { change, clientId, since, base, late } = proposal;
    const range = { projectId, after: late ? base : since, upTo: seq };
    if (range.after >= seq) return [];
    const upTo = late
      ? seq
      : await newestBefore(range, new Date(Date.now() - STALE_MS), transaction);
    const places = new Places();
    change.ops.forEach((op, i) => places.note(op.path, i));
    return this.those(
      { ...range, upTo },
      (other) => other.clientId !== clientId && touchesAny(places, other.ops),
      transaction,
    );
  }

  /** The records that a change brings back, as they would be now. */
  private async restored(
    projectId: string,
    present: Snapshot,
    change: Change,
    transaction: Transaction,
  ): Promise<Map<string, unknown>> {
    const found = new Map<string, unknown>();
    for (const op of restoringOps(present.project, change)) {
      const removal = await changeCalled(projectId, op.restores, transaction);
      if (!removal) continue;
      const before = await this.stateAt(projectId, removal.seq - 1, transaction);
      const range = { projectId, after: removal.seq, upTo: present.seq };
      const since = await this.those(
        range,
        (later) => later.ops.some(({ path }) => isInside(path, op.path)),
        transaction,
      );
      found.set(restoreKey(op), restoredValue(op.path, before, removal, since, present.project));
    }
    return found;
  }

  private async those(
    range: Range,
    wanted: (change: LoggedChange) => boolean,
    transaction: Transaction,
  ): Promise<LoggedChange[]> {
    const found: LoggedChange[] = [];
    for await (const change of allOf(this.db, range, transaction))
      if (wanted(change)) found.push(change);
    return found;
  }

  /** The project as it was after change `seq`. */
  private async stateAt(id: string, seq: number, transaction?: Transaction): Promise<Project> {
    const base = await readSnapshot(id, seq, transaction);
    if (!base) throw new ProjectDamaged(id, "none of its snapshots is what was written");
    return this.replay(id, base, seq, transaction);
  }

  private async replay(
    id: string,
    base: Snapshot,
    seq: number,
    transaction?: Transaction,
  ): Promise<Project> {
    let { project, seq: at } = base;
    for await (const change of allOf(
      this.db,
      { projectId: id, after: at, upTo: seq },
      transaction,
    )) {
      if (change.seq !== at + 1) break;
      if (!Array.isArray(change.ops))
        throw new ProjectDamaged(id, "a change of its log is not what was written");
      project = apply(project, change.ops).doc;
      at = change.seq;
    }
    if (at < seq)
      throw new ProjectDamaged(id, `changes between ${at} and ${seq} are missing from its log`);
    return upgrade(project);
  }

  private async stateOf(row: ProjectRow, transaction?: Transaction): Promise<Snapshot> {
    const known = this.states.get(row.id);
    if (known?.seq === row.seq) return known;
    const project =
      known && known.seq < row.seq
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
