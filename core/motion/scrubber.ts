import type { Motion } from "../project";
import { Span } from "./span";
import { lengthOf } from "./timing";

/** How far back the speed of a hand looks, ms. */
const LOOK_BACK = 80;

/** What a hand is moving: how far, and how fast. */
export class Scrubber {
  #now: {
    readonly what: string;
    readonly span: Span;
    trail: { readonly at: number; readonly progress: number }[];
  } | null = null;

  /**
   * A drag begins: its span, to be used by what shall follow the hand; null when it is the one
   * under way.
   */
  take(what: string, now: number): Span | null {
    if (this.#now?.what === what) return null;
    const span = new Span(now, now, Infinity, "linear", 0);
    this.#now = { what, span, trail: [] };
    return span;
  }

  move(progress: number, now: number): void {
    if (!this.#now) return;
    this.#now.span.hand = progress;
    this.#now.trail = [
      ...this.#now.trail.filter((t) => now - t.at <= LOOK_BACK),
      { at: now, progress },
    ];
  }

  /** What was held goes on by itself; when that will have ended, null when nothing was held. */
  letGo(motion: Motion, now: number): number | null {
    if (!this.#now) return null;
    const { span, trail } = this.#now;
    const recent = trail.filter((t) => now - t.at <= LOOK_BACK);
    const first = recent[0];
    const last = recent.at(-1);
    this.#now = null;
    span.letGo(
      now,
      lengthOf(motion),
      motion.easing,
      first && last && now > first.at ? (last.progress - first.progress) / (now - first.at) : 0,
    );
    return span.end;
  }

  drop(): void {
    this.#now = null;
  }
}
