import type { Id } from "#core/basics";
import { boundsIn } from "#core/layout";
import { valuesIn } from "#core/looks";
import { newId } from "#core/project";
import type { BenchEdits } from "../../commands/edits";
import { activeOf } from "../../state/active";
import { turned } from "../../commands/turning";
import { noMarks } from "../../state/view";
import type { Workpiece } from "../../state/workpiece";
import type { CardScene } from "./pointing";

/** Turning one layer by hand; Shift turns in steps of 15°. */
export class Turn {
  private readonly gesture = `turn ${newId()}`;
  private readonly before: number;

  constructor(
    private readonly workpiece: Workpiece,
    private readonly edits: BenchEdits,
    private readonly card: Pick<CardScene, "placed">,
    private readonly id: Id,
  ) {
    const { piece, project, state } = workpiece;
    const layer = piece?.layers[id];
    this.before =
      piece && layer ? valuesIn(project, piece, activeOf(piece, state).variant, layer).rotation : 0;
    state.setEditing(true);
  }

  /** Turns on; `by` is how far the hand has gone round since it began, degrees. */
  to(by: number, steps: boolean): void {
    const rotation = turned(this.before + by, steps);
    this.edits.set({ [this.id]: { rotation } }, this.gesture);
    const box = boundsIn(this.card.placed).get(this.id);
    if (!box) return;
    const readout = { text: `${rotation}°`, x: box.x + box.width / 2, y: box.y + box.height };
    this.workpiece.state.mark({ ...noMarks, readout });
  }

  end(): void {
    this.edits.endGesture();
    this.rest();
  }

  cancel(): void {
    this.workpiece.session.cancel(this.gesture);
    this.rest();
  }

  private rest(): void {
    this.workpiece.state.setEditing(false);
    this.workpiece.state.mark(null);
  }
}
