import { changeWords, placeWords } from "#core/edit";
import {
  FORMAT,
  accept,
  apply,
  cutText,
  isNewer,
  isRestoring,
  merge,
  newId,
  sentOps,
  upgradeChange,
} from "#core/project";
import type { Change, LoggedChange, Op, Project } from "#core/project";
import { worldOf } from "#core/world";
import type { Editions } from "#core/world";
import { AdoptedEditions } from "./editions";
import { readAnswer } from "./answer";
import type { Kept, SaveAnswer } from "./answer";
import { Keeper } from "./keeper";
import type { Message, Outside, SaveState, Snapshot } from "./outside";
import { OwnChanges } from "./own";
import { joinedAside, unsavedOf } from "./pending";
import type { Aside, AsideReason, Pending, Unsaved } from "./pending";
import { changeOf, ownPartOf, restoring, UndoHistory } from "./undo";
import type { KeptUndo, Step, Steps } from "./undo";
import { sessionWords } from "./words";

/** How long one may pause between key presses that shall still be one step of undo, ms. */
export const PATIENCE = 1500;
/**
 * A change is sent this long after its last edit, so that a drag is one change and not a hundred,
 * ms.
 */
const PAUSE = 150;
/** The longest wait between tries while the server is away, ms. */
const LONGEST_WAIT = 6000;
/** A window of an older build that could not be renewed is loaded anew again after this, ms. */
const RENEW_AGAIN = 60_000;
/** Pages of missed changes that are read before the whole project is the shorter way. */
const MOST_PAGES = 12;

/**
 * One window's copy of a project: what is known to be kept, the edits made since, undo and redo,
 * and saving. Edits show at once; they are sent one after the other, kept in the browser until the
 * server has them, and laid again over what others did meanwhile. What cannot be saved as it is is
 * set aside, and the rest goes on.
 */
export class Session {
  private confirmed: Snapshot;
  private queue: readonly Pending[] = [];
  private setAside: readonly Aside[] = [];
  private readonly own = new OwnChanges();
  private readonly history = new UndoHistory();
  private readonly keeper: Keeper;
  readonly editions: AdoptedEditions;
  private sending = false;
  private catching: Promise<void> | null = null;
  private failures = 0;
  private trouble: string | null = null;
  private place = 0;
  private cancelSend: () => void = () => undefined;
  private openKey: string | null = null;
  private paused: Project | null = null;
  private ended = false;
  /** the server writes what this window cannot read: it is to be loaded anew */
  private outdated = false;
  private readonly listeners = new Set<() => void>();
  private readonly watchers = new Set<() => void>();
  private told: Project;
  private toldEditions: Editions;
  private readonly messages = new Set<(message: Message) => void>();
  private present: Project;
  private state: SaveState = { kind: "saved" };

  constructor(
    readonly id: string,
    readonly clientId: string,
    start: Snapshot,
    private readonly outside: Outside,
    editions: Editions = new Map(),
    /** when the project was like this, ms since 1970: nothing is changed in it; null for now */
    readonly moment: number | null = null,
  ) {
    this.confirmed = start;
    this.present = start.project;
    this.told = start.project;
    this.editions = new AdoptedEditions(editions, outside.edition, () => this.tell());
    this.toldEditions = editions;
    this.keeper = new Keeper(outside.shelf, outside.later, () => this.kept());
  }

  /** The present project with all that it has adopted: what is read. */
  get project(): Project {
    return worldOf(this.present, this.editions.known);
  }
  /** The present project itself: what is written. */
  get ownProject(): Project {
    return this.present;
  }
  /** The project as listeners know it: the present one, unless edits are held back. */
  get displayed(): Project {
    return worldOf(this.paused ?? this.present, this.editions.known);
  }
  get save(): SaveState {
    return this.state;
  }
  get seq(): number {
    return this.confirmed.seq;
  }
  /** The address that its pages begin with. */
  get home(): string {
    const project = `/projects/${this.id}`;
    return this.moment === null ? project : `${project}/at/${this.confirmed.seq}`;
  }
  get generation(): string | null {
    return this.confirmed.generation ?? null;
  }
  /** The steps that undo and redo would take; the same objects for as long as nothing changes. */
  get steps(): Steps {
    const { undoable, redoable } = this.history;
    return { undo: undoable ?? null, redo: redoable ?? null };
  }
  get undoLabel(): string | null {
    return this.history.undoable?.label ?? null;
  }
  get redoLabel(): string | null {
    return this.history.redoable?.label ?? null;
  }
  /** Changes that were set aside; whoever made them chooses what becomes of them. */
  get aside(): readonly Aside[] {
    return this.setAside;
  }
  /** Whether something would be lost if the window were closed now. */
  get atRisk(): boolean {
    return this.keeper.atRisk;
  }
  /** What is not known to be saved, in the order it will be sent. */
  get unsaved(): readonly Unsaved[] {
    return this.queue;
  }

  /** Calls back whenever the displayed project is another one. */
  subscribe = (call: () => void): (() => void) => {
    this.watchers.add(call);
    return () => this.watchers.delete(call);
  };

  /** Calls back after every change of the project or of how it is saved. */
  onChange = (call: () => void): (() => void) => {
    this.listeners.add(call);
    return () => this.listeners.delete(call);
  };

  /** Calls back with sentences a person should read. */
  onMessage = (call: (message: Message) => void): (() => void) => {
    this.messages.add(call);
    return () => this.messages.delete(call);
  };

  /**
   * Makes a change. Changes with the same `gesture` that follow one another are one step of undo,
   * until `endGesture`, or until nothing came for `patience` ms: a drag may rest as long as it
   * likes, single key presses may not. Says why when the project would not be valid with it;
   * nothing is changed then, and false is returned.
   */
  edit(proposed: Change, gesture: string | null = null, patience = Infinity): boolean {
    if (this.moment !== null) {
      this.say({ text: sessionWords.momentIsReadOnly });
      return false;
    }
    const result = accept(this.present, proposed);
    if (!result.ok) {
      this.say({ text: sessionWords.nothingChanged(result.error) });
      return false;
    }
    if (result.inverse.length === 0) return true;
    const { change, inverse } = result;
    const last = this.history.undoable;
    const now = this.outside.now();
    const joins =
      gesture !== null &&
      last?.key === gesture &&
      this.openKey === gesture &&
      now - last.at < patience;
    if (!joins) this.own.beginGesture();
    const changeId = this.push(change, result.project, joins);
    this.history.note(
      {
        label: change.label,
        ops: change.ops,
        inverse: restoring(inverse, change.ops, changeId),
        changeIds: [changeId],
        key: gesture,
        at: now,
      },
      joins,
    );
    this.openKey = gesture;
    this.tell();
    return true;
  }

  /**
   * Makes the change a command comes to for the project of this very moment, with all that it has
   * adopted; false when it comes to nothing or is refused.
   */
  run(
    command: (project: Project) => Change | null | undefined,
    gesture?: string | null,
    patience?: number,
  ): boolean {
    const change = command(this.project);
    return change ? this.edit(change, gesture, patience) : false;
  }

  /** Makes a change of the present project and returns what it made; null when it is refused. */
  make<M extends { readonly change: Change }>(
    command: (project: Project) => M | null | undefined,
    gesture?: string | null,
  ): M | null {
    const made = command(this.project);
    return made && this.edit(made.change, gesture) ? made : null;
  }

  /** Keeps quiet about edits until `resume`, for a gesture that paints what it does by itself. */
  pause(): void {
    this.paused ??= this.present;
  }

  /** Tells what was held back, and everything from now on. */
  resume(): void {
    if (!this.paused) return;
    this.paused = null;
    this.tell();
  }

  /** Ends a gesture: what follows is a step of its own. */
  endGesture(): void {
    this.openKey = null;
  }

  /** Takes a gesture back as if it had not begun; nothing happens when it changed nothing. */
  cancel(gesture: string): void {
    if (this.history.undoable?.key === gesture) {
      const redoable = this.history.redoSteps;
      this.travel("past", "future", "Undo");
      this.history.redoSteps = redoable;
      this.tell();
    }
    this.endGesture();
  }

  undo(): void {
    this.travel("past", "future", "Undo");
  }
  redo(): void {
    this.travel("future", "past", "Redo");
  }

  /** Undo and redo as they are to be kept over a reload. */
  get keptUndo(): KeptUndo {
    const { clientId, generation } = this;
    return { format: FORMAT, clientId, generation, ...this.history.kept };
  }

  /** Goes on with undo and redo of an earlier page of this window. */
  takeUpUndo(earlier: KeptUndo): void {
    if (earlier.generation !== this.generation) return;
    this.history.precede(earlier);
    this.tell();
  }

  private travel(from: "past" | "future", to: "past" | "future", word: "Undo" | "Redo"): void {
    const step = this.history.take(from);
    if (!step) return;
    this.openKey = null;
    this.own.beginGesture();
    const { step: own, theirs } = ownPartOf(step, this.present);
    if (theirs > 0) this.say({ text: sessionWords.changedElsewhere(step.label, word) });
    const { label, ops } = changeOf(own, word);
    const result = accept(this.present, { label: cutText(label, 200), ops });
    // a gesture that came back to where it began has nothing to take back
    if (result.ok && result.inverse.length > 0) this.retrace(own, result, to);
    else if (!result.ok)
      this.say({
        text: sessionWords.cannot(step.label, word, result.error),
      });
    this.tell();
  }

  private retrace(
    step: Step,
    { change, inverse, project }: { change: Change; inverse: readonly Op[]; project: Project },
    to: "past" | "future",
  ): void {
    const changeId = this.push(change, project, false);
    this.history.put(to, {
      label: step.label,
      ops: step.inverse,
      inverse: restoring(inverse, change.ops, changeId),
      changeIds: [changeId],
      key: null,
      at: 0,
    });
  }

  /**
   * Puts a change at the end of the queue, or into the last one; returns the id it is saved under.
   */
  private push(change: Change, after: Project, joins: boolean): string {
    const last = this.queue.at(-1);
    const madeAt = this.outside.now();
    const late = this.trouble !== null;
    this.present = after;
    let item: Pending;
    if (joins && last && !last.tried) {
      item = {
        ...last,
        change: { label: change.label, ops: merge(last.change.ops, change.ops) },
        after,
        madeAt,
        late: last.late || late,
      };
      this.queue = [...this.queue.slice(0, -1), item];
    } else {
      item = {
        changeId: newId(),
        clientId: this.clientId,
        change,
        base: this.confirmed.seq,
        madeAt,
        late,
        place: this.place++,
        after,
        tried: false,
      };
      this.queue = [...this.queue, item];
    }
    this.keeper.keep(unsavedOf(item));
    this.keeper.flush();
    this.plan(PAUSE);
    return item.changeId;
  }

  /**
   * Takes up changes that a closed window could not save. They do not show before the server has
   * them: what others changed since is newer, and may have to be chosen from.
   */
  adopt(list: readonly Unsaved[]): void {
    const known = new Set(this.queue.map((p) => p.changeId));
    const fresh = [...list]
      .sort((a, b) => a.madeAt - b.madeAt || a.place - b.place)
      .filter((p) => !known.has(p.changeId));
    this.queue = [
      ...this.queue,
      ...fresh.map((p): Pending => ({ ...p, late: true, after: null, tried: true })),
    ];
    this.tell();
    this.plan(0);
  }

  /** Shows changes that were set aside by an earlier visit or another window of this browser. */
  recall(list: readonly Aside[]): void {
    const known = new Set(this.setAside.map((a) => a.changeId));
    this.setAside = [...this.setAside, ...list.filter((a) => !known.has(a.changeId))];
    this.tell();
  }

  /** Notes that another window of this browser dealt with a change that was set aside. */
  asideGone(changeId: string): void {
    this.setAside = this.setAside.filter((a) => a.changeId !== changeId);
    this.tell();
  }

  /**
   * Makes a change that was set aside once more, over whatever is there now; false when it cannot
   * be made.
   */
  useAside(changeId: string): boolean {
    const item = this.setAside.find((a) => a.changeId === changeId);
    if (!item) return false;
    const result = accept(this.present, item.change);
    if (!result.ok) {
      this.say({ text: sessionWords.stillCannotBeSaved(item.change.label, result.error) });
      return false;
    }
    // the edit is kept before what it was made from is forgotten
    const done = this.edit(item.change);
    if (done) this.dropAside(changeId);
    return done;
  }

  /** Forgets a change that was set aside. */
  dropAside(changeId: string): void {
    this.keeper.forgetAside(changeId);
    this.keeper.flush();
    this.asideGone(changeId);
  }

  /** Takes a change that arrived from the server; false when one before it is missing. */
  arrive(written: LoggedChange): boolean {
    if (isNewer(written.format)) {
      this.renew(sessionWords.nubbleWasUpdatedWindow);
      return true;
    }
    const change = upgradeChange(written, written.format);
    if (change.seq <= this.confirmed.seq) return true;
    if (change.seq > this.confirmed.seq + 1) return false;
    const mine = this.queue.find((p) => p.changeId === change.changeId);
    const before = this.confirmed.project;
    // the result is known where the queue was laid over exactly what is confirmed, and the change
    // is kept as it was sent
    const exact =
      mine && mine === this.queue[0] && !mine.change.ops.some(isRestoring) && this.aligned
        ? mine.after
        : null;
    this.confirmed = {
      generation: this.confirmed.generation,
      seq: change.seq,
      project: exact ?? apply(before, change.ops).doc,
    };
    if (mine) this.settleOwn(mine, change);
    else if (change.clientId !== this.clientId) this.noticeLoss(change, before);
    if (!exact) this.replay();
    this.tell();
    return true;
  }

  /** Has the window loaded anew, once all that is not saved is kept. */
  private renew(why: string): void {
    this.outdated = true;
    this.trouble = why;
    if (!this.keeper.atRisk) this.outside.reload();
    // where several servers run, the one that gives pages may be renewed last
    this.cancelSend();
    this.cancelSend = this.outside.later(RENEW_AGAIN, () => this.renew(why));
    this.tell();
  }

  private settleOwn(mine: Pending, change: LoggedChange): void {
    this.queue = this.queue.filter((p) => p !== mine);
    this.own.note(change);
    this.keeper.forget(mine.changeId);
    this.keeper.flush();
  }

  /**
   * Says once a gesture that somebody overwrote what they had not seen, and offers one's own
   * values.
   */
  private noticeLoss(change: LoggedChange, before: Project): void {
    const loss = this.own.lossTo(change, before);
    if (!loss) return;
    const more = loss.places > 1 ? sessionWords.andMore(loss.places - 1) : "";
    this.say({
      text: sessionWords.anotherWindowChangedAt(
        placeWords(this.project, loss.path),
        more,
        change.label,
      ),
      action: {
        label: sessionWords.useMine,
        run: () => {
          this.edit({
            label: cutText(sessionWords.useMineLabel(change.label), 200),
            ops: loss.back,
          });
        },
      },
    });
  }

  /** What waited to be kept is kept, or could not be. */
  private kept(): void {
    if (this.outdated && !this.keeper.atRisk) this.outside.reload();
    this.tell();
  }

  private get aligned(): boolean {
    return this.queue.every((p) => p.after !== null);
  }

  private replay(): void {
    let project = this.confirmed.project;
    this.queue = this.queue.map((p) => {
      // what was taken up from a closed window does not show before it is saved
      if (p.clientId !== this.clientId) return p;
      project = apply(project, p.change.ops).doc;
      return { ...p, after: project };
    });
    this.present = project;
  }

  /** Starts from a new snapshot, keeping the edits that are not saved yet. */
  private restart(start: Snapshot): void {
    if (start.generation !== this.confirmed.generation) {
      this.renew(sessionWords.projectWasReplaced);
      return;
    }
    if (start.seq < this.confirmed.seq) return;
    if (isNewer(start.project.format)) {
      this.renew(sessionWords.nubbleWasUpdatedWindow);
      return;
    }
    this.confirmed = start;
    this.replay();
    this.tell();
  }

  /** The project of a generation is gone, or was made anew under the same id. */
  replaced(generation: string | null): void {
    if (generation === this.generation) this.renew(sessionWords.projectWasReplaced);
  }

  /** Reads what others did meanwhile, when something is known to be missing. */
  catchUp(): Promise<void> {
    this.catching ??= this.readMissed()
      .catch(() => undefined)
      .then(() => {
        this.catching = null;
      });
    return this.catching;
  }

  private async readMissed(): Promise<void> {
    for (let page = 0; page < MOST_PAGES && !this.ended; page++) {
      const missed = await this.outside.since(this.confirmed.seq);
      if (!missed) return;
      for (const change of missed.changes) this.arrive(change);
      if (!missed.more || this.outdated) return;
    }
    const start = await this.outside.snapshot();
    if (start && !this.ended) this.restart(start);
  }

  /** Tries to save at once, as when the connection is back. */
  retry(): void {
    this.editions.retry(this.present);
    this.plan(0);
  }

  /** Stops saving; what is not saved stays kept in the browser. */
  end(): void {
    this.ended = true;
    this.cancelSend();
  }

  private plan(ms: number): void {
    if (this.sending || this.ended || this.outdated || this.queue.length === 0) return;
    this.cancelSend();
    this.cancelSend = this.outside.later(ms, () => void this.sendFirst());
  }

  private async sendFirst(): Promise<void> {
    const first = this.queue[0];
    if (!first || this.sending || this.ended) return;
    this.sending = true;
    this.queue = this.queue.map((p) => (p === first ? { ...p, tried: true } : p));
    const answer = await this.ask(first);
    try {
      if (!this.ended) await this.take(first, answer);
    } finally {
      this.sending = false;
      this.plan(
        answer.kind === "away"
          ? Math.min(LONGEST_WAIT, 500 * 2 ** Math.min(6, this.failures - 1))
          : 0,
      );
    }
  }

  private async ask({ changeId, clientId, base, late, change }: Pending): Promise<SaveAnswer> {
    const body = JSON.stringify({
      changeId,
      clientId,
      base,
      late,
      since: this.confirmed.seq,
      format: FORMAT,
      generation: this.confirmed.generation,
      change: { ...change, ops: sentOps(change.ops) },
    });
    try {
      return readAnswer(await this.outside.send(body));
    } catch {
      return { kind: "away", reason: sessionWords.serverNotResponding };
    }
  }

  private async take(first: Unsaved, answer: SaveAnswer): Promise<void> {
    if (answer.kind === "away") {
      this.goOffline(answer.reason);
      return;
    }
    if (answer.kind === "outdated") {
      this.renew(sessionWords.nubbleWasUpdatedWindow);
      return;
    }
    this.failures = 0;
    this.trouble = null;
    switch (answer.kind) {
      case "kept":
        await this.takeKept(first, answer);
        break;
      case "conflict":
        for (const change of answer.missed.changes) this.arrive(change);
        this.putAside(first, { kind: "conflict", clashes: answer.clashes });
        break;
      case "refused":
        // it may only be refused for what this window has not heard of yet
        await this.catchUp();
        this.putAside(first, { kind: "refused", reason: answer.reason });
        break;
      case "unknown":
        for (const item of this.queue)
          this.putAside(item, { kind: "refused", reason: sessionWords.projectWasDeleted });
        break;
    }
    this.tell();
  }

  /** From now on what waits is late: others may change the same before it arrives. */
  private goOffline(reason: string): void {
    this.trouble = reason;
    this.failures++;
    if (this.queue.some((p) => !p.late)) {
      this.queue = this.queue.map((p) => ({ ...p, late: true }));
      for (const item of this.queue) this.keeper.keep(unsavedOf(item));
      this.keeper.flush();
    }
    this.tell();
  }

  private async takeKept(first: Unsaved, answer: Kept): Promise<void> {
    for (const change of answer.missed.changes) this.arrive(change);
    const { changeId, clientId, base, change } = first;
    const logged: LoggedChange = {
      seq: answer.seq,
      base,
      changeId,
      clientId,
      label: change.label,
      ops: answer.ops ?? change.ops,
      format: FORMAT,
    };
    if (!this.arrive(logged)) await this.catchUp();
    // a snapshot may have been read meanwhile that has it already
    const left = this.queue.find((p) => p.changeId === changeId);
    if (left && this.confirmed.seq >= answer.seq) {
      this.settleOwn(left, logged);
      this.replay();
    }
    if (answer.gone.length > 0) {
      this.say({
        text: sessionWords.savedButWasDeleted(
          change.label,
          placeWords(this.project, answer.gone[0] ?? []),
        ),
      });
    }
  }

  private putAside(item: Unsaved, why: AsideReason): void {
    const alone: Aside = { ...unsavedOf(item), why };
    const joined = joinedAside(this.setAside.at(-1), alone);
    const aside = joined ?? alone;
    this.queue = this.queue.filter((p) => p.changeId !== item.changeId);
    this.setAside = [...(joined ? this.setAside.slice(0, -1) : this.setAside), aside];
    this.history.dropChange(item.changeId);
    this.keeper.forget(item.changeId);
    this.keeper.setAside(aside);
    this.keeper.flush();
    this.replay();
    const because =
      why.kind === "refused"
        ? sessionWords.wasRejected(why.reason)
        : sessionWords.someoneElseChangedSame;
    this.say({ text: sessionWords.wasSetAside(changeWords(item.change), because) });
  }

  private say(message: Message): void {
    for (const call of this.messages) call(message);
  }

  private saveState(): SaveState {
    if (this.queue.length === 0) return { kind: "saved" };
    if (this.trouble === null) return { kind: "saving" };
    return {
      kind: "waiting",
      reason: this.trouble,
      changes: this.queue.length,
      kept: !this.keeper.atRisk,
    };
  }

  private tell(): void {
    const next = this.saveState();
    if (JSON.stringify(next) !== JSON.stringify(this.state)) this.state = next;
    if (this.paused) return;
    this.editions.want(this.present);
    if (this.told !== this.present || this.toldEditions !== this.editions.known) {
      this.told = this.present;
      this.toldEditions = this.editions.known;
      for (const call of this.watchers) call();
    }
    for (const call of this.listeners) call();
  }
}
