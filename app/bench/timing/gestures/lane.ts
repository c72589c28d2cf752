/** Which part of a bar is in hand. */
export type Ends = "whole" | "begin" | "end";

/** The fineness of times set by hand, ms. */
export const SNAP = 10;
/** Within how many px on screen times catch one another. */
const CATCH = 6;
/** How wide the ends of a bar are, px on screen. */
const GRIP = 7;

/** The moment nearest to one, of those within reach; null for none. `scale` is px per ms. */
export const nearest = (moments: readonly number[], ms: number, scale: number): number | null => {
  const off = (moment: number) => Math.abs(moment - ms) * scale;
  const [best] = moments.filter((m) => off(m) < CATCH).sort((a, b) => off(a) - off(b));
  return best ?? null;
};

/**
 * Which part of a bar is taken at a place; a bar too short to tell its ends apart only as a whole.
 * Px on screen.
 */
export const gripAt = (x: number, width: number): Ends => {
  if (width < 3 * GRIP) return "whole";
  if (x > width - GRIP) return "end";
  return x < GRIP ? "begin" : "whole";
};

/** A bar as a hand finds it; times in ms. */
export interface Bar {
  readonly ends: Ends;
  readonly begin: number;
  readonly end: number;
  /** nothing begins before the change it is part of */
  readonly earliest: number;
  /** where others begin and end */
  readonly edges: readonly number[];
  /** px on screen per ms */
  readonly scale: number;
}

/** What a move comes to; times in ms. */
export interface LaneStep {
  /** by how much more than at the last move */
  readonly by: number;
  /** the moment it has caught; null for none */
  readonly guide: number | null;
}

/**
 * Dragging a bar of Timing by its middle or an end: in steps of 10 ms, unless an end of it comes
 * near where another lies.
 */
export class LaneDrag {
  private done = 0;

  constructor(private readonly bar: Bar) {}

  get ends(): Ends {
    return this.bar.ends;
  }

  /** Drags on to `px` from where it was taken; `free` lets nothing catch. */
  to(px: number, free: boolean): LaneStep {
    const ms = px / this.bar.scale;
    const caught = free ? null : this.caught(ms);
    const stepped = free ? Math.round(ms) : Math.round(ms / SNAP) * SNAP;
    const whole = caught?.by ?? stepped;
    const by = whole - this.done;
    this.done = whole;
    return { by, guide: caught?.at ?? null };
  }

  /**
   * By how much the bar must move so that an end of it lies where another lies; null when none is
   * near, or it cannot go there.
   */
  private caught(ms: number): { readonly by: number; readonly at: number } | null {
    const { ends, begin, end, earliest, edges, scale } = this.bar;
    const moved = [...(ends === "end" ? [] : [begin]), ...(ends === "begin" ? [] : [end])];
    const [best] = moved
      .flatMap((own) => {
        const at = nearest(edges, own + ms, scale);
        const tooEarly = at !== null && ends !== "end" && begin + at - own < earliest;
        return at === null || tooEarly
          ? []
          : [{ at, by: Math.round(at - own), off: Math.abs(own + ms - at) }];
      })
      .sort((a, b) => a.off - b.off);
    return best ?? null;
  }
}
