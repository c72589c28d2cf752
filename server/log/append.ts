import type { Sequelize, Transaction } from "sequelize";
import type { Clash, Op, Proposal } from "#core/project";
import { noteAdoptions } from "../adoptions";
import { ProjectRow } from "../database";
import { listingOf } from "../listing";
import { batches, overtaken, saves } from "../metrics";
import { ring } from "./bell";
import { addChanges, changesCalled, firstAmong, firstOf } from "./changes";
import type { KeptChange, Missed } from "./changes";
import { advanced } from "./states";
import type { State, States } from "./states";
import { Trial } from "./trial";
import type { Outcome } from "./trial";

export type AppendResult =
  | {
      readonly kind: "kept";
      readonly seq: number;
      readonly missed: Missed;
      readonly ops?: readonly Op[];
      readonly gone: readonly (readonly string[])[];
    }
  | { readonly kind: "conflict"; readonly clashes: readonly Clash[]; readonly missed: Missed }
  | { readonly kind: "refused"; readonly reason: string }
  /** the window must be loaded anew: it is of an older build, or of a project that was made anew */
  | { readonly kind: "outdated" }
  | { readonly kind: "unknown" };

/** Another process was quicker: what was judged was not the newest state any more. */
class Overtaken extends Error {}

/** No batch ended at this number. */
const NEVER = -1;

/** Proposals that are appended together. */
interface Batch {
  /** those there are when it begins */
  readonly proposals: readonly Proposal[];
  /** the same with what came while it waited */
  grown(): readonly Proposal[];
}

/** What became of a batch. */
interface Done {
  readonly proposals: readonly Proposal[];
  readonly outcomes: readonly (Outcome | { readonly kind: "outdated" })[];
  readonly state: State;
  readonly fresh: readonly KeptChange[];
}

/**
 * Appends batches of proposals to logs, each in one transaction. Proposals are judged over the
 * state that is known; the project's row is held only while what was accepted is written, which
 * succeeds when that is still the newest state. Where other processes write to the same project,
 * one waits for its row first, with all that comes meanwhile: so nothing is judged twice.
 */
export class Appender {
  /** projects that others write to as well, with the number that the last batch here ended at */
  private readonly contested = new Map<string, number>();

  constructor(
    private readonly db: Sequelize,
    private readonly states: States,
    /** hears of what was kept, in order */
    private readonly tell: (id: string, state: State, fresh: readonly KeptChange[]) => void,
  ) {}

  async append(id: string, batch: Batch): Promise<AppendResult[]> {
    const done = await this.settle(id, batch);
    if (!done) {
      this.contested.delete(id);
      return batch.grown().map(() => ({ kind: "unknown" }));
    }
    const { proposals } = done;
    this.noteOthers(id, done);
    this.states.put(id, done.state);
    if (done.fresh.length > 0) this.tell(id, done.state, done.fresh);
    const results: AppendResult[] = [];
    for (const [i, proposal] of proposals.entries())
      results.push(await this.answer(id, done, proposal, i));
    batches.observe(proposals.length);
    for (const { kind } of results) saves.inc({ result: kind });
    return results;
  }

  /** Whether others still write to a contested project: whether it went on since the last batch. */
  private noteOthers(id: string, { state, fresh }: Done): void {
    const last = this.contested.get(id);
    if (last === undefined) return;
    if (state.seq - fresh.length === last) this.contested.delete(id);
    else this.contested.set(id, state.seq);
  }

  private async settle(id: string, batch: Batch): Promise<Done | null> {
    for (;;) {
      try {
        return await this.db.transaction((transaction) => this.attempt(id, batch, transaction));
      } catch (error) {
        if (!(error instanceof Overtaken)) throw error;
        overtaken.inc();
        this.contested.set(id, NEVER);
      }
    }
  }

  private async attempt(id: string, batch: Batch, transaction: Transaction): Promise<Done | null> {
    const isContested = this.contested.has(id);
    const lock = isContested ? { lock: transaction.LOCK.UPDATE } : {};
    const attributes = ["id", "generation", "seq"];
    const row = await ProjectRow.findByPk(id, { attributes, transaction, ...lock });
    if (!row) return null;
    const proposals = isContested ? batch.grown() : batch.proposals;
    const head = { id, generation: row.generation, seq: row.seq };
    const state = await this.states.at(head, transaction);
    const ids = proposals.map(({ changeId }) => changeId);
    const before = await changesCalled(id, ids, transaction);
    const trial = new Trial({ db: this.db, states: this.states, head, transaction }, state, before);
    const outcomes: Done["outcomes"][number][] = [];
    for (const proposal of proposals) {
      const { generation } = proposal;
      const isOther = generation !== undefined && generation !== state.generation;
      outcomes.push(isOther ? { kind: "outdated" } : await trial.judge(proposal));
    }
    const { fresh, project } = trial;
    if (fresh.length > 0) await this.write(id, state, trial, transaction);
    return { proposals, outcomes, fresh, state: advanced(state, fresh, project) };
  }

  /** Writes what was accepted. Throws Overtaken when the state is not the newest one any more. */
  private async write(
    id: string,
    { generation, seq }: State,
    { fresh, project, adopts }: Trial,
    transaction: Transaction,
  ): Promise<void> {
    const to = seq + fresh.length;
    const [count] = await ProjectRow.update(
      { seq: to, ...listingOf(project) },
      { where: { id, generation, seq }, transaction },
    );
    if (count === 0) throw new Overtaken();
    await addChanges(id, fresh, transaction);
    if (adopts) await noteAdoptions(id, project, transaction);
    await ring(this.db, { id, generation, seq: to }, transaction);
  }

  private async answer(
    id: string,
    { outcomes, state }: Done,
    { since }: Proposal,
    i: number,
  ): Promise<AppendResult> {
    const outcome = outcomes[i];
    if (!outcome) return { kind: "unknown" };
    switch (outcome.kind) {
      case "kept":
        return { ...outcome, missed: await this.missed(id, state, since, outcome.seq - 1) };
      case "conflict": {
        const { kind, clashes, seq } = outcome;
        return { kind, clashes, missed: await this.missed(id, state, since, seq) };
      }
      case "refused":
      case "outdated":
        return outcome;
    }
  }

  /** Changes after `after` and up to `upTo`: from memory where it reaches back so far. */
  private async missed(
    id: string,
    { recent }: State,
    after: number,
    upTo: number,
  ): Promise<Missed> {
    if (after >= upTo) return { changes: [], more: false };
    const oldest = recent[0]?.change.seq ?? Infinity;
    if (oldest <= after + 1) return firstAmong(recent, { after, upTo });
    return firstOf(this.db, { projectId: id, after, upTo });
  }
}
