import { setTimeout as sleep } from "node:timers/promises";
import type { Sequelize } from "sequelize";
import type { Entry } from "#core/history";
import { isNewer, isOlder, newId } from "#core/project";
import type { Project, Proposal } from "#core/project";
import { noteAdoptions } from "../adoptions";
import { MomentRow, ProjectRow } from "../database";
import { listingOf } from "../listing";
import { logger } from "../logger";
import { Appender } from "./append";
import type { AppendResult } from "./append";
import { Batches } from "../batches";
import { Bell, ring } from "./bell";
import { addChanges, entriesBefore, firstOf, piecesChangedAt } from "./changes";
import type { Missed } from "./changes";
import { Feeds } from "./feeds";
import type { News } from "./feeds";
import { Snapshots } from "./keeping";
import { logOf } from "./made";
import { writeSnapshot } from "./snapshots";
import { States } from "./states";
import type { Head } from "./states";

/** The largest number a change can have. */
const LAST = 2_147_483_647;
/** How soon the database answers that can be worked with, ms. */
const REACHED_WITHIN = 2000;
/** So many changes are judged and written together. */
const MOST_TOGETHER = 100;

/** A project after one of its changes. */
export interface Snapshot {
  /** changes of another generation are those of another project that had the same id */
  readonly generation: string;
  readonly seq: number;
  readonly project: Project;
}

/** A window is of a newer build than this server, which cannot read what it sends. */
export class ServerOutdated extends Error {
  constructor() {
    super("the server is older than this window");
    this.name = "ServerOutdated";
  }
}

/** Ids come from addresses: what is none is not asked for. */
const isId = (id: string): boolean => /^[A-Za-z0-9_-]{1,40}$/.test(id);

const headOf = async (id: string): Promise<Head | null> => {
  const row = await ProjectRow.findByPk(id, { attributes: ["id", "generation", "seq"] });
  return row && { id, generation: row.generation, seq: row.seq };
};

/**
 * The append-only log of every project. Any number of processes work on the logs of one database:
 * what each keeps in memory agrees with it, and each tells the others what it accepted.
 */
export class ProjectLog {
  private readonly states: States;
  private readonly feeds: Feeds;
  private readonly batches: Batches<Proposal, AppendResult>;
  private readonly snapshots: Snapshots;
  private bell: Bell | null = null;

  constructor(private readonly db: Sequelize) {
    this.states = new States(db);
    this.feeds = new Feeds(
      (id, after) => this.since(id, after),
      (error) => logger.error({ error }, "changes could not be read for streams"),
    );
    this.snapshots = new Snapshots();
    const appender = new Appender(db, this.states, (id, state, fresh) => {
      const { generation, seq, project } = state;
      const changes = fresh.map(({ change }) => change);
      this.feeds.accepted({ id, generation, seq }, changes);
      this.snapshots.passed(id, seq - changes.length, { seq, project });
    });
    this.batches = new Batches(
      (id, proposals, grown) => appender.append(id, { proposals, grown }),
      MOST_TOGETHER,
    );
  }

  /** Hears what other processes accept, from now on; resolves once it does. */
  async hearOthers(url: string): Promise<void> {
    this.bell ??= new Bell(url, {
      changed: (head) => this.feeds.heard(head),
      reconnected: () => this.feeds.missedSome(),
    });
    await this.bell.open();
  }

  /** Ends once what is under way is written; nothing may be asked any more. */
  async close(): Promise<void> {
    await this.bell?.close();
    await this.settled();
  }

  /** Resolves once what goes on behind what was answered is done. */
  settled(): Promise<void> {
    return this.snapshots.settled();
  }

  /** Calls back for all that becomes of a project from a state on; returns how to stop. */
  listen(from: Head, call: (news: News) => void): () => void {
    return this.feeds.listen(from, call);
  }

  /** Whether the database answers, soon enough to work with. */
  async isReachable(): Promise<boolean> {
    const answers = this.db.query("select 1").then(
      () => true,
      () => false,
    );
    return Promise.race([answers, sleep(REACHED_WITHIN, false, { ref: false })]);
  }

  /** Which state a project has; null when there is none. */
  async head(id: string): Promise<Head | null> {
    return isId(id) ? headOf(id) : null;
  }

  async create(id: string, project: Project): Promise<void> {
    const generation = newId();
    await this.db.transaction(async (transaction) => {
      await ProjectRow.create({ id, generation, seq: 0, ...listingOf(project) }, { transaction });
      await writeSnapshot(id, 0, project, transaction);
      await noteAdoptions(id, project, transaction);
      // windows of an earlier project of this id hear that theirs is gone
      await ring(this.db, { id, generation, seq: 0 }, transaction);
    });
    this.feeds.heard({ id, generation, seq: 0 });
  }

  /**
   * Makes a project with a history: each of its named moments, the oldest first, and from each the
   * change to the next.
   */
  async createWith(
    id: string,
    project: Project,
    moments: readonly { readonly name: string; readonly project: Project }[],
  ): Promise<void> {
    const generation = newId();
    const { first, changes, named } = logOf(project, moments);
    const seq = changes.length;
    const head: Head = { id, generation, seq };
    await this.db.transaction(async (transaction) => {
      await ProjectRow.create({ ...head, ...listingOf(project) }, { transaction });
      await writeSnapshot(id, 0, first, transaction);
      if (seq > 0) await addChanges(id, changes, transaction);
      if (seq > 0) await writeSnapshot(id, seq, project, transaction);
      await noteAdoptions(id, project, transaction);
      const rows = [...named].map(([at, name]) => ({ projectId: id, seq: at, name }));
      await MomentRow.bulkCreate(rows, { transaction });
      await ring(this.db, head, transaction);
    });
    this.feeds.heard(head);
  }

  async exists(id: string): Promise<boolean> {
    return isId(id) && (await ProjectRow.count({ where: { id } })) > 0;
  }

  async destroy(id: string): Promise<void> {
    const gone: Head = { id, generation: newId(), seq: 0 };
    await this.db.transaction(async (transaction) => {
      await ProjectRow.destroy({ where: { id }, transaction });
      await ring(this.db, gone, transaction);
    });
    this.states.forget(id);
    this.feeds.heard(gone);
  }

  /** The project now; null when there is none. Throws ProjectDamaged. */
  async read(id: string): Promise<Snapshot | null> {
    const head = await this.head(id);
    if (!head) return null;
    const { generation, seq, project } = await this.states.at(head);
    return { generation, seq, project };
  }

  /** The project as it was after change `seq`; null when there is no such. Throws ProjectDamaged. */
  async at(id: string, seq: number): Promise<Snapshot | null> {
    const head = await this.head(id);
    if (!head || seq > head.seq || seq < 0) return null;
    if (seq === head.seq) return this.read(id);
    const { generation } = head;
    return { generation, seq, project: await this.states.earlier(head, seq) };
  }

  /** What the log says of changes between two numbers, of the newest that can be told at once. */
  async entries(id: string, before = LAST, after = 0): Promise<readonly Entry[]> {
    return isId(id) ? entriesBefore(this.db, id, before, after) : [];
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
   * Appends a change, so that changes have one order everywhere. The same change sent again (its
   * answer was lost) is kept once. Nothing is written when it is refused, or when it comes late and
   * others changed the same meanwhile. Changes of a project that come together are written
   * together.
   */
  append(id: string, proposal: Proposal): Promise<AppendResult> {
    if (!isId(id)) return Promise.resolve({ kind: "unknown" });
    if (isOlder(proposal.format)) return Promise.resolve({ kind: "outdated" });
    if (isNewer(proposal.format)) return Promise.reject(new ServerOutdated());
    return this.batches.run(id, proposal);
  }
}
