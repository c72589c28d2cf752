/** Chance that is the same each time for a seed, so that a failure can be looked at again. */
export class Dice {
  constructor(private seed: number) {}

  /** A number from 0 to less than 1 (mulberry32). */
  readonly share = (): number => {
    this.seed = (this.seed + 0x6d2b79f5) | 0;
    let t = Math.imul(this.seed ^ (this.seed >>> 15), 1 | this.seed);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };

  chance(share: number): boolean {
    return this.share() < share;
  }

  whole(from: number, to: number): number {
    return Math.round(from + this.share() * (to - from));
  }

  pick<T>(list: readonly [T, ...T[]]): T {
    return list[Math.floor(this.share() * list.length)] ?? list[0];
  }

  /** As many as said, each made anew. */
  times<T>(count: number, make: () => T): T[] {
    return Array.from({ length: count }, make);
  }
}
