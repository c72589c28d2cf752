import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";

/** Random numbers that are the same for the same seed. */
export class Random {
  private readonly generator: ReturnType<typeof xoroshiro128plus>;

  constructor(seed: number) {
    this.generator = xoroshiro128plus(seed);
  }

  /** From 0 to 1. */
  next(): number {
    return uniformFloat64(this.generator);
  }
  between(from: number, to: number): number {
    return from + this.next() * (to - from);
  }
  one<T>(list: readonly T[]): T {
    return list[Math.floor(this.next() * list.length)] as T;
  }
}
