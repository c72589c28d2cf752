import type { Aside, Unsaved } from "./pending";

/** What is to be written down at once, all of it or nothing; null for what is to be forgotten. */
export interface Batch {
  readonly queue: ReadonlyMap<string, Unsaved | null>;
  readonly aside: ReadonlyMap<string, Aside | null>;
}

/** Where this browser keeps what is not saved. */
export interface Shelf {
  /** Begins to write before it returns; resolves when all of it is on the disk, rejects when nothing of it is. */
  write(batch: Batch): Promise<void>;
}

/** Writes that may be under way at once: the disk shall not fall behind a hand that drags. */
const MOST_UNDER_WAY = 2;
/** How long to wait before trying again what could not be written, ms. */
const AGAIN = 3000;

/**
 * Writes down what is not saved, and knows what of it is only in memory. A write for an edit begins in the task of the edit
 * unless two are under way already; then it begins as soon as one has ended, with the newest of each change.
 */
export class Keeper {
  private queue = new Map<string, Unsaved | null>();
  private aside = new Map<string, Aside | null>();
  private underWay = 0;
  private failure: string | null = null;
  private cancelAgain: () => void = () => undefined;

  constructor(
    private readonly shelf: Shelf,
    private readonly later: (ms: number, call: () => void) => () => void,
    private readonly changed: () => void,
  ) {}

  /** Whether something is only in this window's memory. */
  get atRisk(): boolean {
    const waiting = [...this.queue.values(), ...this.aside.values()].some((item) => item !== null);
    return waiting || this.risky > 0;
  }

  /** Why the browser does not keep what it is given; null when it does. */
  get trouble(): string | null { return this.failure; }

  private risky = 0;

  keep(item: Unsaved): void { this.queue.set(item.changeId, item); }
  forget(changeId: string): void { this.queue.set(changeId, null); }
  setAside(item: Aside): void { this.aside.set(item.changeId, item); }
  forgetAside(changeId: string): void { this.aside.set(changeId, null); }

  /** Writes what was asked for since. */
  flush(): void {
    if (this.underWay >= MOST_UNDER_WAY || (this.queue.size === 0 && this.aside.size === 0)) return;
    this.cancelAgain();
    const batch = { queue: this.queue, aside: this.aside };
    const holds = [...batch.queue.values(), ...batch.aside.values()].some((item) => item !== null);
    this.queue = new Map();
    this.aside = new Map();
    this.underWay++;
    if (holds) this.risky++;
    const ended = (failure: string | null) => {
      this.underWay--;
      if (holds) this.risky--;
      this.failure = failure;
      if (failure === null) this.flush();
      this.changed();
    };
    this.shelf.write(batch).then(() => ended(null), (error: unknown) => {
      this.takeBack(batch);
      ended(error instanceof Error ? error.message : "the browser refuses");
      this.cancelAgain = this.later(AGAIN, () => this.flush());
    });
  }

  /** What could not be written waits again, unless something newer of the same change does. */
  private takeBack(batch: Batch): void {
    this.queue = new Map([...batch.queue, ...this.queue]);
    this.aside = new Map([...batch.aside, ...this.aside]);
  }
}
