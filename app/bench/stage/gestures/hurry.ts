import { layout } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { Resolver, variantsOf } from "#core/looks";
import { isHeavy } from "../../state/Later";
import type { Workpiece } from "../../state/workpiece";
import type { CardScene } from "./pointing";

/**
 * How long the hand must rest before a drag is told to the other cards and panels in any case, ms.
 */
const REST = 120;
/**
 * A render that takes less than this is made with every move, ms; else the pause after it is so
 * many times as long.
 */
const CHEAP = 4;
const PAUSES = 16;

/** The clock and timer of the page. */
export interface PageTime {
  /** ms */
  readonly now: () => number;
  /** calls back after `ms`; returns what cancels that */
  readonly after: (ms: number, call: () => void) => () => void;
  /** calls back once what was asked for before is done */
  readonly soon: (call: () => void) => void;
}

const pageTime: PageTime = {
  now: () => performance.now(),
  after: (ms, call) => {
    const timer = window.setTimeout(call, ms);
    return () => window.clearTimeout(timer);
  },
  soon: (call) => queueMicrotask(call),
};

/**
 * Paints a drag on its own card at once and tells the rest of the bench as often as leaves the hand
 * free; of a large piece only when the hand rests.
 */
export class Hurry {
  private readonly resolver = new Resolver();
  /** when the others may be told next, ms */
  private next: number;
  private cancelRest: () => void = () => undefined;

  constructor(
    private readonly workpiece: Workpiece,
    private readonly card: CardScene,
    private readonly draw: (scene: LayoutBox) => void,
    private readonly time: PageTime = pageTime,
  ) {
    const { piece } = workpiece;
    this.next = piece && isHeavy(piece, variantsOf(piece).length) ? Infinity : 0;
  }

  /** Shows the piece as it is now; edits made since the last time are told later. */
  paint(): void {
    const { piece, project } = this.workpiece;
    const tree = piece && this.resolver.tree(project, piece.id, this.card.variant);
    if (!tree) return;
    this.draw(layout(this.card.env, tree));
    this.cancelRest();
    if (this.time.now() >= this.next) this.tell();
    else this.cancelRest = this.time.after(REST, () => this.tell());
  }

  /** Tells what was held back. */
  end(): void {
    this.cancelRest();
    this.workpiece.session.resume();
  }

  private tell(): void {
    const began = this.time.now();
    this.workpiece.session.resume();
    // runs when what was told has been rendered
    this.time.soon(() => {
      const took = this.time.now() - began;
      if (this.next < Infinity) this.next = took < CHEAP ? 0 : this.time.now() + took * PAUSES;
    });
  }
}
