import type { Sequelize, Transaction } from "sequelize";
import { apply, upgrade } from "#core/project";
import type { LoggedChange, Project } from "#core/project";
import type { ProjectRow } from "../database";
import { allOf } from "./changes";
import type { KeptChange } from "./changes";
import { ProjectDamaged } from "./damage";
import { readSnapshot, SPAN, writeSnapshot } from "./snapshots";

/**
 * Projects whose present state is kept in memory; the others are read again when they are asked
 * for.
 */
const MOST_STATES = 60;
/** Of so many of the newest changes, and bytes of their steps, it is known what they were. */
const MOST_RECENT = 500;
const MOST_RECENT_BYTES = 2_000_000;

/** A project after one of its changes. */
export interface State {
  /** changes of another generation are those of another project that had the same id */
  readonly generation: string;
  readonly seq: number;
  readonly project: Project;
  /** the newest changes without gaps, up to `seq` */
  readonly recent: readonly KeptChange[];
}

/** Which state a project has, as its row says. */
export type Head = Pick<ProjectRow, "id" | "generation" | "seq">;

const newestOf = (kept: readonly KeptChange[]): readonly KeptChange[] => {
  let bytes = 0;
  const newest = kept.slice(-MOST_RECENT);
  const tooMuch = newest.findLastIndex((one) => {
    bytes += one.bytes;
    return bytes > MOST_RECENT_BYTES;
  });
  return newest.slice(tooMuch + 1);
};

/** A state after some more changes, which lead to `project`. */
export const advanced = (state: State, kept: readonly KeptChange[], project: Project): State => ({
  generation: state.generation,
  seq: state.seq + kept.length,
  project,
  recent: newestOf([...state.recent, ...kept]),
});

/**
 * The present states of projects: the newest sound snapshot and the changes after it, kept as long
 * as what the database says agrees with it.
 */
export class States {
  private readonly known = new Map<string, State>();

  constructor(private readonly db: Sequelize) {}

  /** The state that a project's row speaks of, or a newer one. Throws ProjectDamaged. */
  async at(head: Head, transaction?: Transaction): Promise<State> {
    const known = this.known.get(head.id);
    const isSame = known?.generation === head.generation;
    if (isSame && known.seq >= head.seq) return known;
    const start = isSame ? known : await this.snapshot(head, transaction);
    const state = await this.replayed(head.id, start, head.seq, transaction);
    this.put(head.id, state);
    return state;
  }

  /**
   * The project as it was after change `seq`. Snapshots that a log of an older Nubble lacks are
   * written on the way, so that nobody waits for them again. Throws ProjectDamaged.
   */
  async earlier(head: Head, seq: number, transaction?: Transaction): Promise<Project> {
    const { id } = head;
    let state = await this.snapshot({ ...head, seq }, transaction);
    for (;;) {
      const next = (Math.floor(state.seq / SPAN) + 1) * SPAN;
      if (next + SPAN > seq) break;
      state = await this.replayed(id, state, next, transaction);
      if (!transaction) await writeSnapshot(id, next, state.project);
    }
    return (await this.replayed(id, state, seq, transaction)).project;
  }

  /** Keeps a state unless a newer one is known. */
  put(id: string, state: State): void {
    const known = this.known.get(id);
    if (known?.generation === state.generation && known.seq > state.seq) return;
    this.known.delete(id);
    this.known.set(id, state);
    const oldest = this.known.keys().next().value;
    if (this.known.size > MOST_STATES && oldest !== undefined) this.known.delete(oldest);
  }

  forget(id: string): void {
    this.known.delete(id);
  }

  private async snapshot({ id, generation, seq }: Head, transaction?: Transaction): Promise<State> {
    const base = await readSnapshot(id, seq, transaction);
    if (!base) throw new ProjectDamaged(id, "none of its snapshots is what was written");
    return { ...base, generation, recent: [] };
  }

  private async replayed(
    id: string,
    start: State,
    seq: number,
    transaction?: Transaction,
  ): Promise<State> {
    const kept: KeptChange[] = [];
    let { project } = start;
    const range = { projectId: id, after: start.seq, upTo: seq };
    for await (const one of allOf(this.db, range, transaction)) {
      const { change } = one;
      if (change.seq !== start.seq + kept.length + 1) break;
      project = soundly(id, project, change);
      kept.push(one);
    }
    const at = start.seq + kept.length;
    if (at < seq)
      throw new ProjectDamaged(id, `changes between ${at} and ${seq} are missing from its log`);
    return advanced(start, kept, upgrade(project));
  }
}

const soundly = (id: string, project: Project, change: LoggedChange): Project => {
  if (!Array.isArray(change.ops))
    throw new ProjectDamaged(id, "a change of its log is not what was written");
  return apply(project, change.ops).doc;
};
