/**
 * A clock of ms since its start that can run slower than the world, stand still and be moved on.
 */
export class Clock {
  #base = 0;
  #since: number;
  #speed = 1;

  constructor(private readonly world: () => number = () => performance.now()) {
    this.#since = world();
  }

  /** ms of this clock in a ms of the world */
  get rate(): number {
    return this.#speed;
  }

  now(): number {
    return this.#base + (this.world() - this.#since) * this.#speed;
  }

  restart(): void {
    this.#base = 0;
    this.#since = this.world();
  }

  setRate(rate: number): void {
    this.#base = this.now();
    this.#since = this.world();
    this.#speed = Math.max(0, rate);
  }

  /** Moves on by itself, ms. */
  skip(ms: number): void {
    this.#base += ms;
  }

  /**
   * How long it takes in the world until a moment of this clock, ms; Infinity while it stands
   * still.
   */
  until(moment: number): number {
    return this.#speed === 0 ? Infinity : Math.max(0, (moment - this.now()) / this.#speed);
  }
}
