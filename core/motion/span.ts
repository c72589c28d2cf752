import type { Easing, Spring } from "../project";
import { curveOf, isSpring, slopeAt } from "./curves/easing";
import type { Curve } from "./curves/easing";
import { settlingTime, springAt } from "./curves/spring";

/** How long what was moving before goes on into a movement that is no spring, at most; ms. */
const COAST = 120;

/**
 * When a change runs: it waits until `begin`, then takes until `end`; ms on the machine's clock.
 * All tracks of one change with one timing share it. It also says how what was already moving when
 * it was made goes on and dies away.
 */
export class Span {
  #at = NaN;
  #progress = 0;
  #from = 0;
  #push = 0;
  #curve: Curve;
  #spring: Spring | null;

  constructor(
    private turned: number,
    public begin: number,
    public end: number,
    easing: Easing,
    /** how far it is while a hand moves it */ public hand: number | null = null,
  ) {
    this.#curve = curveOf(easing);
    this.#spring = isSpring(easing) ? easing : null;
  }

  /** Whether velocity that is there is simply taken on by a spring. */
  get springs(): boolean {
    return this.#spring !== null && this.begin === this.turned;
  }

  /** Goes on by itself from where a hand let it go, with the hand's speed (progress per ms). */
  letGo(now: number, length: number, easing: Easing, speed: number): void {
    this.#from = this.hand ?? 0;
    this.#push = speed;
    this.#curve = curveOf(easing);
    this.#spring = isSpring(easing) ? easing : null;
    this.hand = null;
    this.#at = NaN;
    this.turned = this.begin = now;
    this.end = now + length;
  }

  /** Lasts until a spring that sets out with so much speed (ways per s) has come to rest. */
  stretch(speed: number): void {
    if (this.#spring)
      this.end = Math.max(
        this.end,
        this.begin + settlingTime(this.#spring, Math.max(-60, Math.min(60, Math.round(speed)))),
      );
  }

  /** How far the change is at a time; kept, since many tracks ask for the same moment. */
  progressAt(now: number): number {
    if (this.hand !== null) return this.hand;
    if (now === this.#at) return this.#progress;
    this.#at = now;
    return (this.#progress =
      now >= this.end
        ? 1
        : this.#from +
          (1 - this.#from) * this.#shareAt(now) +
          (this.#push ? this.#pushed(now) : 0));
  }

  #shareAt(now: number): number {
    if (now <= this.begin) return 0;
    return this.#spring
      ? 1 - springAt(this.#spring, now - this.begin).x
      : this.#curve((now - this.begin) / (this.end - this.begin));
  }

  /** What a hand's speed adds to the progress. */
  #pushed(now: number): number {
    return (
      (this.#push - (this.springs ? 0 : this.setOut(this.#push, 1 - this.#from))) *
      this.carryAt(now)
    );
  }

  /**
   * Where something is, relative to where it would be, that moved with a speed of 1 (per ms) when
   * this was made; ms.
   */
  carryAt(now: number): number {
    const gone = now - this.turned;
    if (gone <= 0 || now >= this.end) return 0;
    if (this.#spring && this.springs) return springAt(this.#spring, gone, 0, 1000).x;
    const window = Math.min(COAST, this.end - this.turned);
    const s = gone / window;
    return s >= 1 ? 0 : window * s * (1 - s) ** 2;
  }

  /** The part of a speed (per ms) that the curve's own setting out for a way gives already. */
  setOut(speed: number, way: number): number {
    const own =
      this.begin === this.turned && !this.springs && this.hand === null && this.end > this.begin
        ? (slopeAt(this.#curve, 0) * way) / (this.end - this.begin)
        : 0;
    // what stood nearly still sets out as the curve says; what moved goes on smoothly
    return own === 0 || !Number.isFinite(own) ? 0 : own * Math.min(1, Math.abs(speed / own));
  }
}
