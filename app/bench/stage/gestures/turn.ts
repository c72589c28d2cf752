import type { Id } from "#core/basics";
import { boundsIn } from "#core/layout";
import { valuesIn } from "#core/looks";
import { newId } from "#core/project";
import type { BenchEdits } from "../../commands/edits";
import { activeOf } from "../../state/active";
import { noMarks } from "../../state/view";
import type { Workpiece } from "../../state/workpiece";
import type { CardScene } from "./pointing";

/** Within how many degrees the eighths of a turn catch. */
const EIGHTHS = 3;

/** What a turn comes to: whole degrees; in steps those of 15, else the eighths catch. */
export const turned = (degrees: number, steps: boolean): number => {
  if (steps) return Math.round(degrees / 15) * 15;
  const eighth = Math.round(degrees / 45) * 45;
  return Math.abs(degrees - eighth) < EIGHTHS ? eighth : Math.round(degrees);
};

type Point = readonly [x: number, y: number];

/** How far a hand has gone round a middle from one place to another, degrees, the short way. */
export const turnOf = (middle: Point, from: Point, to: Point): number => {
  const angle = ([x, y]: Point) => Math.atan2(y - middle[1], x - middle[0]) * (180 / Math.PI);
  const by = angle(to) - angle(from);
  return ((((by + 180) % 360) + 360) % 360) - 180;
};

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
