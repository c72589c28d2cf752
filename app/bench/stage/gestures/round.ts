import type { Id } from "#core/basics";
import { spotOf, wayInto } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { newId } from "#core/project";
import { ENDLESS } from "#core/properties";
import type { Four } from "#core/properties";
import type { BenchEdits } from "../../commands/edits";
import type { Workpiece } from "../../state/workpiece";
import { wayFrom } from "./pointing";
import type { CardScene, Pointing } from "./pointing";

/** Which way is inwards from a corner; corners from the top left on, as in CSS. */
export const inwards = (corner: number): readonly [number, number] => [
  corner === 0 || corner === 3 ? 1 : -1,
  corner < 2 ? 1 : -1,
];

/** What the corners of a box come to: no radius is larger than half its shorter side. */
export const usedRadii = (box: LayoutBox): Four => {
  const most = Math.min(box.width, box.height) / 2;
  const [a, b, c, d] = box.values.radius as Four;
  return [Math.min(a, most), Math.min(b, most), Math.min(c, most), Math.min(d, most)];
};

/**
 * Rounding the corners of a box by one of its knobs; with Alt that corner alone. At the end of its
 * way corners are round at any size.
 */
export class Round {
  private readonly gesture = `round ${newId()}`;

  constructor(
    private readonly workpiece: Workpiece,
    private readonly edits: BenchEdits,
    private readonly card: Pick<CardScene, "placed" | "zoom">,
    private readonly box: LayoutBox,
    private readonly corner: number,
    private readonly start: Pointing,
  ) {
    workpiece.state.setEditing(true);
  }

  private get id(): Id {
    return this.box.layer.id;
  }

  to(now: Pointing): void {
    const spot = spotOf(this.card.placed, this.id);
    if (!spot) return;
    const [dx, dy] = wayInto(spot.map, ...wayFrom(this.start, now, this.card.zoom));
    const [wx, wy] = inwards(this.corner);
    const before = usedRadii(this.box)[this.corner] ?? 0;
    const radius = Math.max(0, Math.round(before + (dx * wx + dy * wy) / 2));
    const most = Math.min(this.box.width, this.box.height) / 2;
    const value = radius >= most ? ENDLESS : radius;
    const said = this.box.values.radius as Four;
    const one = (i: number) => (now.alt && i !== this.corner ? (said[i] ?? 0) : value);
    this.edits.set({ [this.id]: { radius: [one(0), one(1), one(2), one(3)] } }, this.gesture);
  }

  end(): void {
    this.edits.endGesture();
    this.workpiece.state.setEditing(false);
  }

  cancel(): void {
    this.workpiece.session.cancel(this.gesture);
    this.workpiece.state.setEditing(false);
  }
}
