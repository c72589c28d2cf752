import type { LayoutBox } from "../layout";
import type { Pair } from "../properties";
import type { Span } from "./span";

/** How fast a speed is forgotten, ms: so long a card leans after a hand that stands still. */
const FORGETS = 90;
/** The speed at which a layer leans nearly as far as it may, px per ms. */
const BRISK = 1;
/** When nobody sees it lean any more, in times of forgetting. */
const UPRIGHT = 6;

/** Where a hand has carried a layer to from its place, px, and how it leans, degrees. */
export interface Displaced {
  readonly x: number;
  readonly y: number;
  readonly rotation: number;
}

/**
 * A layer that a hand carries freely. It leans by the hand's speed across, and goes back to its
 * place when it is let go.
 */
export class Carried {
  readonly #begun: Pair;
  #by: Pair = [0, 0];
  #speed: Pair = [0, 0];
  #at: number;
  #back: { readonly span: Span; readonly from: Displaced } | null = null;

  constructor(
    readonly path: string,
    /** how far it leans at most, degrees */ private readonly lean: number,
    from: Displaced | null,
    now: number,
  ) {
    this.#begun = from ? [from.x, from.y] : [0, 0];
    this.#at = now;
  }

  /** The hand has come so far from where it took hold, px. */
  move(by: Pair, now: number): void {
    const passed = now - this.#at;
    if (passed > 0) {
      const keeps = Math.exp(-passed / FORGETS);
      const part = (i: 0 | 1): number =>
        this.#speed[i] * keeps + ((by[i] - this.#by[i]) / passed) * (1 - keeps);
      this.#speed = [part(0), part(1)];
      this.#at = now;
    }
    this.#by = by;
  }

  /** How fast it goes, px per ms. */
  speedAt(now: number): Pair {
    const keeps = Math.exp(-Math.max(0, now - this.#at) / FORGETS);
    return [this.#speed[0] * keeps, this.#speed[1] * keeps];
  }

  /** It is let go, and returns in the time of a span. */
  goBack(span: Span, now: number): void {
    this.#back = { from: this.at(now), span };
  }

  at(now: number): Displaced {
    if (this.#back) {
      const { from, span } = this.#back;
      const left = 1 - span.progressAt(now);
      return { x: from.x * left, y: from.y * left, rotation: from.rotation * left };
    }
    const [across] = this.speedAt(now);
    return {
      x: this.#begun[0] + this.#by[0],
      y: this.#begun[1] + this.#by[1],
      rotation: this.lean * Math.tanh(across / BRISK),
    };
  }

  /** When it has come to rest; while a hand has it, when it has stopped to lean. */
  endsAt(): number {
    return this.#back ? this.#back.span.end : this.#at + FORGETS * UPRIGHT;
  }

  /** Whether it has been let go. */
  get endsBack(): boolean {
    return this.#back !== null;
  }

  /** Whether it is back in its place. */
  isBack(now: number): boolean {
    return this.#back !== null && now >= this.#back.span.end;
  }
}

/** Slower than this it is not thrown, but goes on the way it was carried; px per ms. */
const THROWN = 0.2;

/**
 * How a layer flies off that was carried so far and was so fast: where it is out of the scene, and
 * in how many ms, at most `length`.
 */
export const flightOf = (
  scene: LayoutBox,
  thrown: LayoutBox,
  { x, y, rotation }: Displaced,
  speed: Pair,
  length: number,
): { readonly to: LayoutBox; readonly ms: number } => {
  const fast = Math.hypot(...speed);
  const [dx, dy] = fast >= THROWN ? speed : [x, y];
  const norm = Math.hypot(dx, dy) || 1;
  const far = Math.hypot(scene.width, scene.height) + Math.hypot(thrown.width, thrown.height);
  const { values } = thrown;
  return {
    to: {
      ...thrown,
      x: thrown.x + (dx / norm) * far,
      y: thrown.y + (dy / norm) * far,
      values: { ...values, rotation: values.rotation + rotation },
    },
    ms: fast >= THROWN ? Math.min(length, far / fast) : length,
  };
};
