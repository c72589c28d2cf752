import { accept, apply, merge, newId } from "#core/project";
import type { Change, Op, Project } from "#core/project";

/**
 * A change that is not known to be kept yet. `after` is the project with it, while nothing else came in between. Once it was
 * `tried` the server may have it although no answer came, so it must stay what it is: what it knows it does not take again.
 */
interface Pending { readonly changeId: string; readonly change: Change; readonly after: Project | null; readonly tried: boolean }

/** A change as others' windows and the log have it. */
export interface Arrived { readonly seq: number; readonly changeId: string; readonly clientId: string; readonly label: string; readonly ops: readonly Op[] }

interface Step { readonly label: string; readonly ops: readonly Op[]; readonly inverse: readonly Op[]; readonly key: string | null; readonly at: number }

export type SaveState =
  | { readonly kind: "saved" }
  | { readonly kind: "saving" }
  | { readonly kind: "waiting"; readonly reason: string; readonly changes: number };

/** What the session needs from outside, so that it can be tested without a browser. */
export interface Outside {
  send(body: string): Promise<{ status: number; answer: unknown }>;
  /** keeps text under a name over a reload; null removes it */
  keep(name: string, text: string | null): void;
  now(): number;
  later(ms: number, call: () => void): () => void;
}

type Answer =
  | { kind: "kept"; seq: number; missed: Arrived[] }
  | { kind: "refused"; reason: string }
  | { kind: "unknown" }
  | { kind: "away"; reason: string };

/** How long one may pause between key presses that shall still be one step of undo, ms. */
export const PATIENCE = 1500;
/** A change is sent this long after its last edit, so that a drag is one change and not a hundred, ms. */
const PAUSE = 150;
/** The longest wait between tries while the server is away, ms. */
const LONGEST_WAIT = 6000;

/**
 * One window's copy of a project: what is known to be kept, the edits made since, undo and redo, and saving.
 * Edits show at once; they are sent one after the other, kept in the browser until the server has them,
 * and laid again over what others did meanwhile.
 */
export class Session {
  private confirmed: { seq: number; project: Project };
  private queue: Pending[] = [];
  private past: Step[] = [];
  private future: Step[] = [];
  private sending = false;
  private failures = 0;
  private trouble: string | null = null;
  private cancelSend: () => void = () => undefined;
  private openKey: string | null = null;
  private held: Project | null = null;
  private ended = false;
  private readonly listeners = new Set<() => void>();
  private readonly messages = new Set<(text: string) => void>();
  private present: Project;
  private state: SaveState = { kind: "saved" };

  constructor(readonly id: string, readonly clientId: string, start: { seq: number; project: Project }, private readonly outside: Outside) {
    this.confirmed = start;
    this.present = start.project;
  }

  get project(): Project { return this.present; }
  /** The project as listeners know it: the present one, unless edits are held back. */
  get told(): Project { return this.held ?? this.present; }
  get save(): SaveState { return this.state; }
  get seq(): number { return this.confirmed.seq; }
  get undoLabel(): string | null { return this.past.at(-1)?.label ?? null; }
  get redoLabel(): string | null { return this.future.at(-1)?.label ?? null; }

  /** Calls back after every change of the project or of how it is saved. */
  subscribe = (call: () => void): (() => void) => {
    this.listeners.add(call);
    return () => this.listeners.delete(call);
  };

  /** Calls back with sentences a person should read. */
  onMessage = (call: (text: string) => void): (() => void) => {
    this.messages.add(call);
    return () => this.messages.delete(call);
  };

  /**
   * Makes a change. Changes with the same `gesture` that follow one another are one step of undo, until `settle`,
   * or until nothing came for `patience` ms: a drag may rest as long as it likes, single key presses may not.
   * Says why when the project would not be valid with it; nothing is changed then.
   */
  edit(change: Change, gesture: string | null = null, patience = Infinity): boolean {
    const result = accept(this.present, change);
    if (!result.ok) {
      this.say(`Not done: ${result.error}.`);
      return false;
    }
    if (result.inverse.length === 0) return true;
    const last = this.past.at(-1);
    const now = this.outside.now();
    const joins = gesture !== null && last?.key === gesture && this.openKey === gesture && now - last.at < patience;
    const step: Step = { label: change.label, ops: change.ops, inverse: result.inverse, key: gesture, at: now };
    this.past = joins ? [...this.past.slice(0, -1), { ...step, ops: merge(last.ops, step.ops), inverse: compact([...step.inverse, ...last.inverse]) }] : [...this.past, step].slice(-500);
    this.openKey = gesture;
    this.future = [];
    this.push(change, result.project, joins);
    return true;
  }

  /** Keeps quiet about edits until they are told, for a gesture that paints what it does by itself. */
  hold(): void { this.held ??= this.present; }

  /** Tells what was held back, and everything from now on. */
  release(): void {
    if (!this.held) return;
    this.held = null;
    this.tell();
  }

  /** Ends a gesture: what follows is a step of its own. */
  settle(): void { this.openKey = null; }

  /** Takes a gesture back as if it had not begun; nothing happens when it changed nothing. */
  cancel(gesture: string): void {
    if (this.past.at(-1)?.key === gesture) {
      const { future } = this;
      this.travel("past", "future", "Undo");
      this.future = future;
      this.tell();
    }
    this.settle();
  }

  undo(): void { this.travel("past", "future", "Undo"); }
  redo(): void { this.travel("future", "past", "Redo"); }

  private travel(from: "past" | "future", to: "past" | "future", word: string): void {
    const step = this[from].at(-1);
    if (!step) return;
    this.openKey = null;
    this[from] = this[from].slice(0, -1);
    const change: Change = { label: `${word}: ${step.label}`.slice(0, 200), ops: step.inverse };
    const result = accept(this.present, change);
    // a gesture that came back to where it began has nothing to take back
    if (result.ok && result.inverse.length === 0) {
      this.tell();
      return;
    }
    if (!result.ok) {
      this.say(`“${step.label}” can no longer be taken ${word === "Undo" ? "back" : "up again"}: what it changed is gone.`);
      this.tell();
      return;
    }
    this[to] = [...this[to], { label: step.label, ops: step.inverse, inverse: result.inverse, key: null, at: 0 }];
    this.push(change, result.project, false);
  }

  private push(change: Change, after: Project, joins: boolean): void {
    const last = this.queue.at(-1);
    this.present = after;
    if (joins && last && !last.tried) {
      this.queue = [...this.queue.slice(0, -1), { ...last, change: { label: change.label, ops: merge(last.change.ops, change.ops) }, after }];
    } else this.queue = [...this.queue, { changeId: newId(), change, after, tried: false }];
    this.keepQueue();
    this.tell();
    this.plan(PAUSE);
  }

  /** Takes up changes that another visit could not save. */
  adopt(list: readonly { changeId: string; change: Change }[]): void {
    const known = new Set(this.queue.map((p) => p.changeId));
    this.queue = [...this.queue, ...list.filter((p) => !known.has(p.changeId)).map((p) => ({ ...p, after: null, tried: true }))];
    this.replay();
    this.keepQueue();
    this.tell();
    this.plan(0);
  }

  /** Takes a change that arrived from the server; false when one before it is missing. */
  arrive(change: Arrived): boolean {
    if (change.seq <= this.confirmed.seq) return true;
    if (change.seq > this.confirmed.seq + 1) return false;
    const mine = this.queue[0]?.changeId === change.changeId ? this.queue[0] : null;
    if (mine) this.queue = this.queue.slice(1);
    const exact = mine?.after && this.aligned ? mine.after : null;
    this.confirmed = { seq: change.seq, project: exact ?? apply(this.confirmed.project, change.ops).doc };
    if (!exact) this.replay();
    if (mine) this.keepQueue();
    this.tell();
    return true;
  }

  /** Whether the queue was laid over exactly what is confirmed, so that its results are the truth once kept. */
  private get aligned(): boolean { return this.queue.every((p) => p.after !== null); }

  private replay(): void {
    let project = this.confirmed.project;
    this.queue = this.queue.map((p) => ({ ...p, after: (project = apply(project, p.change.ops).doc) }));
    this.present = project;
  }

  /** Starts from a new snapshot, keeping the edits that are not saved yet. */
  reset(start: { seq: number; project: Project }): void {
    if (start.seq < this.confirmed.seq) return;
    this.confirmed = start;
    this.replay();
    this.tell();
    this.plan(0);
  }

  /** Tries to save at once, as when the connection is back. */
  retry(): void { this.plan(0); }

  /** Stops saving; what is not saved stays kept in the browser. */
  end(): void {
    this.ended = true;
    this.cancelSend();
  }

  private plan(ms: number): void {
    if (this.sending || this.ended || this.queue.length === 0) return;
    this.cancelSend();
    this.cancelSend = this.outside.later(ms, () => void this.sendFirst());
  }

  private async sendFirst(): Promise<void> {
    const first = this.queue[0];
    if (!first || this.sending || this.ended) return;
    this.sending = true;
    this.queue = this.queue.map((p) => (p === first ? { ...p, tried: true } : p));
    const body = JSON.stringify({ changeId: first.changeId, clientId: this.clientId, since: this.confirmed.seq, change: first.change });
    let answer: Answer;
    try {
      const { status, answer: raw } = await this.outside.send(body);
      answer = isAnswer(raw) ? raw : { kind: "away", reason: `the server answered ${status}` };
    } catch {
      answer = { kind: "away", reason: "the server does not answer" };
    }
    this.sending = false;
    if (!this.ended) this.take(first, answer);
  }

  private take(first: Pending, answer: Answer): void {
    if (answer.kind === "away") {
      this.trouble = answer.reason;
      this.failures++;
      this.tell();
      this.plan(Math.min(LONGEST_WAIT, 500 * 2 ** Math.min(6, this.failures - 1)));
      return;
    }
    this.failures = 0;
    this.trouble = null;
    if (answer.kind === "kept") {
      for (const change of answer.missed) this.arrive(change);
      this.arrive({ seq: answer.seq, changeId: first.changeId, clientId: this.clientId, label: first.change.label, ops: first.change.ops });
      if (this.queue[0] === first || this.queue.some((p) => p.changeId === first.changeId)) this.drop(first.changeId);
    } else {
      this.drop(first.changeId);
      this.past = this.past.filter((s) => s.label !== first.change.label || s.ops !== first.change.ops);
      this.say(answer.kind === "refused" ? `“${first.change.label}” was not kept: ${answer.reason}.` : "This project was removed; what you change here cannot be saved.");
    }
    this.tell();
    this.plan(0);
  }

  private drop(changeId: string): void {
    this.queue = this.queue.filter((p) => p.changeId !== changeId);
    this.replay();
    this.keepQueue();
  }

  private keepQueue(): void {
    this.outside.keep(this.id, this.queue.length ? JSON.stringify(this.queue.map(({ changeId, change }) => ({ changeId, change }))) : null);
  }

  private say(text: string): void { for (const call of this.messages) call(text); }

  private tell(): void {
    const next: SaveState = this.queue.length === 0 ? { kind: "saved" } : this.trouble !== null ? { kind: "waiting", reason: this.trouble, changes: this.queue.length } : { kind: "saving" };
    if (JSON.stringify(next) !== JSON.stringify(this.state)) this.state = next;
    if (!this.held) for (const call of this.listeners) call();
  }
}

const isAnswer = (raw: unknown): raw is Answer =>
  typeof raw === "object" && raw !== null && "kind" in raw && ["kept", "refused", "unknown", "away"].includes((raw as { kind: string }).kind);

/** Of inverse steps for the same place the last one alone matters: it brings back the oldest value. */
const compact = (ops: readonly Op[]): Op[] => {
  if (ops.some((o) => o.op === "remove" || typeof o.value === "object")) return [...ops];
  const last = new Map(ops.map((o, i) => [o.path.join("\n"), i]));
  return ops.filter((o, i) => last.get(o.path.join("\n")) === i);
};
