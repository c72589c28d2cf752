interface Waiting {
  readonly id: number;
  readonly due: number;
  readonly run: () => void;
}

/**
 * The clock an interpreter of charts waits by. It can be brought to a moment before what is due at
 * that very moment runs, so that something can be told first; clocks that only advance cannot.
 */
export class ChartClock {
  private now = 0;
  private given = 0;
  private waiting: Waiting[] = [];

  readonly setTimeout = (run: () => void, ms = 0): number => {
    const id = ++this.given;
    this.waiting.push({ id, due: this.now + ms, run });
    return id;
  };

  readonly clearTimeout = (id: number): void => {
    this.waiting = this.waiting.filter((w) => w.id !== id);
  };

  /** Lets time pass to a moment, ms; what is due at that moment itself still waits. */
  moveTo(moment: number): void {
    this.runWhile((w) => w.due < moment);
    this.now = moment;
  }

  /** Runs what is due now. */
  runDue(): void {
    this.runWhile((w) => w.due <= this.now);
  }

  private runWhile(is: (w: Waiting) => boolean): void {
    for (;;) {
      const next = this.waiting
        .filter(is)
        .reduce<Waiting | null>((a, b) => (a === null || b.due < a.due ? b : a), null);
      if (!next) return;
      this.clearTimeout(next.id);
      this.now = next.due;
      next.run();
    }
  }
}
