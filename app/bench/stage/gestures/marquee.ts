import { boundsIn, overlaps } from "#core/layout";
import { childrenOf } from "#core/looks";
import { ROOT } from "#core/project";
import { noMarks } from "../../state/view";
import type { Workpiece } from "../../state/workpiece";
import type { CardScene, Pointing } from "./pointing";

/** Choosing what a drag on the empty ground goes round. */
export class Marquee {
  constructor(
    private readonly workpiece: Workpiece,
    private readonly card: CardScene,
    private readonly start: Pointing,
  ) {}

  to(now: Pointing): void {
    const { piece, state } = this.workpiece;
    if (!piece) return;
    const marquee = {
      x: Math.min(this.start.x, now.x),
      y: Math.min(this.start.y, now.y),
      width: Math.abs(now.x - this.start.x),
      height: Math.abs(now.y - this.start.y),
    };
    const bounds = boundsIn(this.card.placed);
    const inside = (childrenOf(piece).get(ROOT) ?? [])
      .filter((layer) => {
        const own = bounds.get(layer.id);
        return !layer.locked && own !== undefined && overlaps(own, marquee);
      })
      .map((layer) => layer.id);
    if (inside.join() !== state.chosen.join()) state.choose(inside);
    state.mark({ ...noMarks, marquee });
  }

  end(): void {
    this.workpiece.state.mark(null);
  }

  cancel(): void {
    this.end();
  }
}
