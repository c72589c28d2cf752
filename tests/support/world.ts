import { setValues } from "#core/edit";
import {
  FORMAT,
  apply,
  judge,
  newId,
  restoreKey,
  restoredValue,
  restoringOps,
  set,
} from "#core/project";
import type { Change, LoggedChange, Project, Proposal } from "#core/project";
import { kelpwayKit } from "../../demo/index";
import type { Batch } from "../../app/session/keeper";
import type { Aside, Unsaved } from "../../app/session/pending";
import { Session } from "../../app/session/session";
import type { Message, Outside } from "../../app/session/outside";

/** Time that is wound by hand, for a server and its windows together. */
export class Clock {
  time = 1_000_000;
  private timers: { at: number; call: () => void }[] = [];

  later = (ms: number, call: () => void): (() => void) => {
    const timer = { at: this.time + ms, call };
    this.timers.push(timer);
    return () => {
      this.timers = this.timers.filter((t) => t !== timer);
    };
  };

  async wait(ms: number): Promise<void> {
    const end = this.time + ms;
    for (;;) {
      const next = this.timers.filter((t) => t.at <= end).sort((a, b) => a.at - b.at)[0];
      if (!next) break;
      this.timers = this.timers.filter((t) => t !== next);
      this.time = Math.max(this.time, next.at);
      next.call();
      await settled();
    }
    this.time = end;
    await settled();
  }
}

const settled = async (): Promise<void> => {
  for (let i = 0; i < 40; i++) await Promise.resolve();
};

interface Entry extends LoggedChange {
  readonly at: number;
  readonly late: boolean;
}

/**
 * A server in memory with the same promises as the real one, and the same judgement of what is
 * sent.
 */
export class Port {
  readonly start: Project = kelpwayKit();
  project: Project = this.start;
  log: Entry[] = [];
  /** changes to a window at once */
  page = 500;
  /** the format it writes; windows of an older one are told to load anew */
  format: number | undefined;

  constructor(readonly clock: Clock) {}

  after(seq: number, before = Infinity) {
    const all = this.log.filter((l) => l.seq > seq && l.seq < before);
    return { changes: all.slice(0, this.page), more: all.length > this.page };
  }

  private stateAt(seq: number): Project {
    return this.log.filter((l) => l.seq <= seq).reduce((p, l) => apply(p, l.ops).doc, this.start);
  }

  private restored(change: Change): Map<string, unknown> {
    const found = new Map<string, unknown>();
    for (const op of restoringOps(this.project, change)) {
      const removal = this.log.find((l) => l.changeId === op.restores);
      if (removal)
        found.set(
          restoreKey(op),
          restoredValue(
            op.path,
            this.stateAt(removal.seq - 1),
            removal,
            this.log.filter((l) => l.seq > removal.seq),
            this.project,
          ),
        );
    }
    return found;
  }

  receive(body: string): { status: number; answer: unknown } {
    const proposal = JSON.parse(body) as Proposal;
    const { changeId, clientId, since, base, late, change } = proposal;
    if ((proposal.format ?? 1) < (this.format ?? 1))
      return { status: 409, answer: { kind: "outdated" } };
    const before = this.log.find((l) => l.changeId === changeId);
    if (before)
      return {
        status: 200,
        answer: {
          kind: "kept",
          seq: before.seq,
          missed: this.after(since, before.seq),
          ops: before.ops,
          gone: [],
        },
      };
    const others = this.log.filter(
      (l) =>
        l.clientId !== clientId &&
        (late ? l.seq > base : l.seq > since && l.at < this.clock.time - 15_000),
    );
    const verdict = judge(this.project, { ...proposal, change }, others, this.restored(change));
    if (verdict.kind === "refused") return { status: 422, answer: verdict };
    if (verdict.kind === "conflict")
      return { status: 409, answer: { ...verdict, missed: this.after(since) } };
    this.project = verdict.project;
    const seq = this.log.length + 1;
    this.log.push({
      seq,
      base: Math.min(base, seq - 1),
      changeId,
      clientId,
      label: verdict.change.label,
      ops: verdict.change.ops,
      format: this.format ?? FORMAT,
      at: this.clock.time,
      late,
    });
    return {
      status: 200,
      answer: {
        kind: "kept",
        seq,
        missed: this.after(since, seq),
        gone: verdict.gone,
        ...(verdict.altered ? { ops: verdict.change.ops } : {}),
      },
    };
  }

  /** Somebody else makes a change and sees everything. */
  other(change: Change, clientId = "thirdperson"): void {
    this.receive(
      JSON.stringify({
        changeId: newId(),
        clientId,
        since: this.log.length,
        base: this.log.length,
        late: false,
        change,
      }),
    );
  }
}

/** What a browser keeps over closing a window, and whether it still takes anything. */
export class Store {
  readonly queue = new Map<string, Unsaved & { holder: string }>();
  readonly aside = new Map<string, Aside>();
  full = false;

  write(holder: string, batch: Batch): Promise<void> {
    if (this.full) return Promise.reject(new Error("the disk is full"));
    for (const [id, item] of batch.queue)
      if (item) this.queue.set(id, { ...structuredClone(item), holder });
      else this.queue.delete(id);
    for (const [id, item] of batch.aside)
      if (item) this.aside.set(id, structuredClone(item));
      else this.aside.delete(id);
    return Promise.resolve();
  }
}

export type Mode = "open" | "closed" | "answer lost";

/** A window of a browser on a project. */
export class Pane {
  readonly session: Session;
  readonly said: Message[] = [];
  mode: Mode = "open";
  /** how often it wanted to be loaded anew */
  reloads = 0;
  private closed = false;

  constructor(
    readonly port: Port,
    readonly name: string,
    readonly clock: Clock = port.clock,
    readonly store = new Store(),
  ) {
    const reach = <T>(answer: () => T): Promise<T> =>
      new Promise((resolve) => {
        if (this.mode === "closed") throw new Error("connection refused");
        resolve(answer());
      });
    const outside: Outside = {
      send: (body) =>
        reach(() => {
          const answer = port.receive(body);
          if (this.mode === "answer lost") throw new Error("connection reset");
          return answer;
        }),
      since: (seq) => reach(() => port.after(seq)),
      edition: () => Promise.resolve({ kind: "unknown" } as const),
      snapshot: () => reach(() => ({ seq: port.log.length, project: port.project })),
      shelf: {
        write: (batch) => (this.closed ? new Promise(() => undefined) : store.write(name, batch)),
      },
      reload: () => this.reloads++,
      now: () => clock.time,
      later: (ms, call) =>
        clock.later(ms, () => {
          if (!this.closed) call();
        }),
    };
    this.session = new Session(
      "kit",
      name,
      { seq: port.log.length, project: port.project },
      outside,
    );
    this.session.onMessage((message) => this.said.push(message));
    this.session.recall([...store.aside.values()]);
  }

  get words(): string[] {
    return this.said.map((m) => m.text);
  }
  get x(): unknown {
    return knob(this.session.project)?.x;
  }

  wait(ms: number): Promise<void> {
    return this.clock.wait(ms);
  }

  /** From now on nothing of this window does anything. */
  close(): void {
    this.closed = true;
    this.session.end();
  }

  /** Hears what the stream brings. */
  async listen(): Promise<void> {
    if (this.mode === "closed") return;
    for (const change of this.port.log)
      if (!this.session.arrive(change)) await this.session.catchUp();
  }

  move(x: number, gesture: string | null = null, label?: string): boolean {
    const piece = this.session.project.pieces["alert-switch"];
    if (!piece) return false;
    const change = setValues(piece, {}, { knob: { x } });
    return this.session.edit(label === undefined ? change : { ...change, label }, gesture);
  }

  /** Takes up what a closed window of the same browser left. */
  takeOver(holder: string): void {
    const left = [...this.store.queue.values()].filter((item) => item.holder === holder);
    for (const item of left) this.store.queue.set(item.changeId, { ...item, holder: this.name });
    this.session.adopt(left.map(({ holder: _, ...item }) => item));
  }
}

/** What the base look says of the switch's knob. */
export const knob = (project: Project) => project.pieces["alert-switch"]?.looks.base?.changes.knob;

/** Puts a layer of the switch into another one. */
export const into = (layer: string, parent: string): Change => ({
  label: `Move ${layer}`,
  ops: [set(["pieces", "alert-switch", "layers", layer, "parent"], parent)],
});
