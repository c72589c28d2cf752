/** How long the end is seen before a loop begins again, ms on the clock. */
const PAUSE = 400;

/** Where a playhead is: counted from when it was set off, so that no frame that is late loses time. */
export class RunningHead {
  private origin: { readonly at: number; readonly now: number };

  /** `at` is ms of the change, `now` ms on the clock, `rate` ms of the change in one of the clock. */
  constructor(
    at: number,
    now: number,
    private rate: number,
  ) {
    this.origin = { at, now };
  }

  /** Goes on at another speed from where it is. */
  setRate(rate: number, now: number): void {
    if (rate === this.rate) return;
    this.origin = { at: this.freeAt(now), now };
    this.rate = rate;
  }

  /** Where it is in a change of a length, ms; looped it begins again after a pause. */
  at(now: number, length: number, loops: boolean): { readonly at: number; readonly over: boolean } {
    const at = this.freeAt(now);
    if (at < length) return { at, over: false };
    if (!loops) return { at: length, over: true };
    const beyond = at - length - PAUSE * this.rate;
    if (beyond < 0) return { at: length, over: false };
    this.origin = { at: beyond % (length + PAUSE * this.rate), now };
    return { at: Math.min(length, this.origin.at), over: false };
  }

  private freeAt(now: number): number {
    return this.origin.at + (now - this.origin.now) * this.rate;
  }
}
