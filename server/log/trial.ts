import type { Sequelize, Transaction } from "sequelize";
import {
  FORMAT,
  Places,
  apply,
  isInside,
  judge,
  restoreKey,
  restoredValue,
  restoringOps,
  touchesAny,
} from "#core/project";
import type { Change, Clash, LoggedChange, Op, Project, Proposal } from "#core/project";
import { touchesAdoptions, wrongAdoption } from "../adoptions";
import { allOf, changesCalled, keptNow } from "./changes";
import type { KeptChange } from "./changes";
import type { Head, State, States } from "./states";

/**
 * What others did this long ago a window in live editing has seen, unless something is wrong with
 * it, ms.
 */
const STALE_MS = 15_000;

/** What a proposal comes to. */
export type Outcome =
  | {
      readonly kind: "kept";
      readonly seq: number;
      /** the steps as they are kept, where they are not just those that were sent */
      readonly ops?: readonly Op[];
      /** records that somebody removed: what the change does there comes back with them */
      readonly gone: readonly (readonly string[])[];
    }
  | { readonly kind: "conflict"; readonly seq: number; readonly clashes: readonly Clash[] }
  | { readonly kind: "refused"; readonly reason: string };

/** Where a trial takes place. */
interface Ground {
  readonly db: Sequelize;
  readonly states: States;
  readonly head: Head;
  readonly transaction: Transaction;
}

/**
 * What proposals would come to one after the other, from a state of their project on. Nothing is
 * written.
 */
export class Trial {
  private readonly added: KeptChange[] = [];
  private present: Project;
  private adopting = false;

  constructor(
    private readonly ground: Ground,
    private readonly start: State,
    /** changes that are in the log already, by their ids */
    private readonly before: ReadonlyMap<string, LoggedChange>,
  ) {
    this.present = start.project;
  }

  /** The changes that are to be kept, in order. */
  get fresh(): readonly KeptChange[] {
    return this.added;
  }
  /** The project after them. */
  get project(): Project {
    return this.present;
  }
  /** Whether any of them adopts something, or ends that. */
  get adopts(): boolean {
    return this.adopting;
  }

  private get seq(): number {
    return this.start.seq + this.added.length;
  }

  async judge(proposal: Proposal): Promise<Outcome> {
    const { changeId, clientId, base } = proposal;
    const known =
      this.before.get(changeId) ??
      this.added.find(({ change }) => change.changeId === changeId)?.change;
    // sent again, since its answer was lost
    if (known) return { kind: "kept", seq: known.seq, ops: known.ops, gone: [] };
    const { change: proposed } = proposal;
    const unseen = await this.unseen(proposal);
    const verdict = judge(this.present, proposal, unseen, await this.restored(proposed));
    if (verdict.kind === "refused") return verdict;
    if (verdict.kind === "conflict") return { ...verdict, seq: this.seq };
    const { project, change, gone, altered } = verdict;
    const adopts = touchesAdoptions(change.ops);
    const wrong = adopts ? await this.wrongAdoption(project) : null;
    if (wrong !== null) return { kind: "refused", reason: wrong };
    const { label, ops } = change;
    const kept = keptNow({
      seq: this.seq + 1,
      base: Math.min(base, this.seq),
      changeId,
      clientId,
      label,
      ops,
      format: FORMAT,
    });
    this.added.push(kept);
    this.present = project;
    this.adopting ||= adopts;
    return { kind: "kept", seq: kept.change.seq, gone, ...(altered ? { ops } : {}) };
  }

  private wrongAdoption(after: Project): Promise<string | null> {
    const { head, transaction } = this.ground;
    return wrongAdoption(head.id, this.present, after, transaction);
  }

  /**
   * What a proposal must not overwrite: see `judge`. Of others' changes only those with its places
   * are looked at.
   */
  private async unseen({ change, clientId, since, base, late }: Proposal): Promise<LoggedChange[]> {
    const places = new Places();
    change.ops.forEach((op, i) => places.note(op.path, i));
    const stale = Date.now() - STALE_MS;
    return this.those(
      late ? base : since,
      ({ change: other, at }) =>
        (late || at < stale) && other.clientId !== clientId && touchesAny(places, other.ops),
    );
  }

  /** The records that a change brings back, as they would be now. */
  private async restored(change: Change): Promise<Map<string, unknown>> {
    const found = new Map<string, unknown>();
    for (const op of restoringOps(this.present, change)) {
      const removal = await this.called(op.restores);
      if (!removal) continue;
      const before = await this.projectAt(removal.seq - 1);
      const since = await this.those(removal.seq, ({ change: later }) =>
        later.ops.some(({ path }) => isInside(path, op.path)),
      );
      found.set(restoreKey(op), restoredValue(op.path, before, removal, since, this.present));
    }
    return found;
  }

  private async called(changeId: string): Promise<LoggedChange | undefined> {
    const near = [...this.start.recent, ...this.added].find(
      ({ change }) => change.changeId === changeId,
    );
    if (near) return near.change;
    const { head, transaction } = this.ground;
    return (await changesCalled(head.id, [changeId], transaction)).get(changeId);
  }

  private async projectAt(seq: number): Promise<Project> {
    const { states, head, transaction } = this.ground;
    if (seq < this.start.seq) return states.earlier(head, seq, transaction);
    return this.added
      .filter(({ change }) => change.seq <= seq)
      .reduce((project, { change }) => apply(project, change.ops).doc, this.start.project);
  }

  /** Those changes after a number that are wanted, also those that were just added. */
  private async those(
    after: number,
    wanted: (kept: KeptChange) => boolean,
  ): Promise<LoggedChange[]> {
    if (after >= this.seq) return [];
    const found: LoggedChange[] = [];
    const look = (kept: KeptChange) => {
      if (kept.change.seq > after && wanted(kept)) found.push(kept.change);
    };
    const { seq, recent } = this.start;
    const oldest = recent[0]?.change.seq ?? seq + 1;
    if (after + 1 < oldest) {
      const { db, head, transaction } = this.ground;
      const range = { projectId: head.id, after, upTo: oldest - 1 };
      for await (const kept of allOf(db, range, transaction)) look(kept);
    }
    for (const kept of recent) look(kept);
    for (const kept of this.added) look(kept);
    return found;
  }
}
