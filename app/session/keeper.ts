import type { Aside, Unsaved } from "./pending";

/** What is to be written down at once, all of it or nothing; null for what is to be forgotten. */
export interface Batch {
  readonly queue: ReadonlyMap<string, Unsaved | null>;
  readonly aside: ReadonlyMap<string, Aside | null>;
}

/** Where this browser keeps what is not saved. */
export interface Shelf {
  /**
   * Begins to write before it returns; resolves when all of it is on the disk, rejects when nothing
   * of it is.
   */
  write(batch: Batch): Promise<void>;
}

/** Writes that may be under way at once: the disk shall not fall behind a hand that drags. */
const MOST_UNDER_WAY = 2;
/** How long to wait before trying again what could not be written, ms. */
const AGAIN = 3000;

type Waiting<T> = Map<string, T | null>;

/**
 * What of an older write that failed still has to be written: nothing that a newer write has taken
 * along.
 */
const stillToWrite = <T>(
  failed: ReadonlyMap<string, T | null>,
  newer: readonly ReadonlyMap<string, T | null>[],
): Waiting<T> => new Map([...failed].filter(([id]) => !newer.some((later) => later.has(id))));

const holdsSomething = ({ queue, aside }: Batch): boolean =>
  [...queue.values(), ...aside.values()].some((item) => item !== null);

/**
 * Writes down what is not saved, and knows what of it is only in memory. A write for an edit begins
 * in the task of the edit unless two are under way already; then it begins as soon as one has
 * ended, with the newest of each change.
 */
export class Keeper {
  private queue: Waiting<Unsaved> = new Map();
  private aside: Waiting<Aside> = new Map();
  /** oldest first */
  private underWay: readonly Batch[] = [];
  private cancelAgain: () => void = () => undefined;

  constructor(
    private readonly shelf: Shelf,
    private readonly later: (ms: number, call: () => void) => () => void,
    private readonly changed: () => void,
  ) {}

  /** Whether something is only in this window's memory. */
  get atRisk(): boolean {
    return [{ queue: this.queue, aside: this.aside }, ...this.underWay].some(holdsSomething);
  }

  keep(item: Unsaved): void {
    this.queue.set(item.changeId, item);
  }
  forget(changeId: string): void {
    this.queue.set(changeId, null);
  }
  setAside(item: Aside): void {
    this.aside.set(item.changeId, item);
  }
  forgetAside(changeId: string): void {
    this.aside.set(changeId, null);
  }

  /** Writes what was asked for since. */
  flush(): void {
    const isNothing = this.queue.size === 0 && this.aside.size === 0;
    if (this.underWay.length >= MOST_UNDER_WAY || isNothing) return;
    this.cancelAgain();
    const batch: Batch = { queue: this.queue, aside: this.aside };
    this.queue = new Map();
    this.aside = new Map();
    this.underWay = [...this.underWay, batch];
    this.shelf.write(batch).then(
      () => this.written(batch),
      () => this.failed(batch),
    );
  }

  private written(batch: Batch): void {
    this.underWay = this.underWay.filter((other) => other !== batch);
    this.flush();
    this.changed();
  }

  /** What could not be written waits, and is tried again. */
  private failed(batch: Batch): void {
    const newer = this.underWay.slice(this.underWay.indexOf(batch) + 1);
    this.underWay = this.underWay.filter((other) => other !== batch);
    this.queue = new Map([
      ...stillToWrite(
        batch.queue,
        newer.map((b) => b.queue),
      ),
      ...this.queue,
    ]);
    this.aside = new Map([
      ...stillToWrite(
        batch.aside,
        newer.map((b) => b.aside),
      ),
      ...this.aside,
    ]);
    this.cancelAgain = this.later(AGAIN, () => this.flush());
    this.changed();
  }
}
