/** Random numbers that are the same for the same seed (mulberry32). */
export class Random {
  constructor(private state: number) {}

  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  }

  between(from: number, to: number): number { return from + this.next() * (to - from); }
  one<T>(list: readonly T[]): T { return list[Math.floor(this.next() * list.length)] as T; }
}

export const sleep = (ms: number): Promise<void> => new Promise((resolve) => { setTimeout(resolve, ms); });
