interface Waiting<T, R> {
  readonly item: T;
  readonly resolve: (result: R) => void;
  readonly reject: (error: unknown) => void;
}

/**
 * Does what is asked for one key one batch after the other, in the order it was asked: what comes
 * while a batch is under way is the next one. Different keys do not wait for one another. Where a
 * batch fails all that asked for it hear why.
 */
export class Batches<T, R> {
  private readonly waiting = new Map<string, Waiting<T, R>[]>();

  /**
   * `work` gives as many results as its batch has items, of which there are `most`. While it waits
   * for something it can take in what came meanwhile: `grown` gives the batch with that.
   */
  constructor(
    private readonly work: (
      key: string,
      items: readonly T[],
      grown: () => readonly T[],
    ) => Promise<readonly R[]>,
    private readonly most: number,
  ) {}

  run(key: string, item: T): Promise<R> {
    return new Promise((resolve, reject) => {
      const mine = { item, resolve, reject };
      const queue = this.waiting.get(key);
      if (queue) {
        queue.push(mine);
        return;
      }
      this.waiting.set(key, [mine]);
      void this.workOff(key);
    });
  }

  /** How many keys have something under way. */
  get busy(): number {
    return this.waiting.size;
  }

  private async workOff(key: string): Promise<void> {
    const queue = this.waiting.get(key) ?? [];
    while (queue.length > 0) await this.workOn(key, queue);
    this.waiting.delete(key);
  }

  private async workOn(key: string, queue: Waiting<T, R>[]): Promise<void> {
    const batch = queue.splice(0, this.most);
    const items = () => batch.map(({ item }) => item);
    const grown = () => {
      batch.push(...queue.splice(0, this.most - batch.length));
      return items();
    };
    try {
      const results = await this.work(key, items(), grown);
      results.forEach((result, i) => batch[i]?.resolve(result));
    } catch (error) {
      for (const { reject } of batch) reject(error);
    }
  }
}
