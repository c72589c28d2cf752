/**
 * Runs what is asked for one key one after the other, in the order it was asked; different keys do
 * not wait for one another.
 */
export class Turns {
  private readonly last = new Map<string, Promise<unknown>>();

  run<T>(key: string, work: () => Promise<T>): Promise<T> {
    const before = this.last.get(key) ?? Promise.resolve();
    const mine = before.then(work, work);
    const settled = mine
      .catch(() => undefined)
      .then(() => {
        if (this.last.get(key) === settled) this.last.delete(key);
      });
    this.last.set(key, settled);
    return mine;
  }
}
