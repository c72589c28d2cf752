import type { Id } from "#core/basics";
import { mapPoint, spotOf, wayInto } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { newId } from "#core/project";
import { hundredths } from "#core/properties";
import type { AwayPose } from "#core/properties";
import type { BenchEdits } from "../../commands/edits";
import { posedScene, poseOf } from "../../commands/posing";
import { turnOf, turned } from "../../commands/turning";
import type { Posing } from "../../state/view";

type Point = readonly [x: number, y: number];
/** What of a pose is in hand. */
export type PoseGrip = "place" | "size" | "turn";

/** Sizes catch at fifths of a twentieth: 0.05. */
const SIZES = 20;

/** Where a layer's corners are in a scene, px of the piece; null where it is not there. */
export const cornersOf = (scene: LayoutBox, id: Id): readonly Point[] | null => {
  const spot = spotOf(scene, id);
  if (!spot) return null;
  const { map, width, height } = spot;
  return [
    mapPoint(map, 0, 0),
    mapPoint(map, width, 0),
    mapPoint(map, width, height),
    mapPoint(map, 0, height),
  ];
};

export const middleOf = (corners: readonly Point[]): Point => [
  corners.reduce((sum, [x]) => sum + x, 0) / corners.length,
  corners.reduce((sum, [, y]) => sum + y, 0) / corners.length,
];

/** Setting the pose a layer comes from or goes to, by hand: where it is, how large, how turned. */
export class PoseHand {
  private readonly gesture = `pose ${newId()}`;
  private readonly from: AwayPose;
  private readonly middle: Point;
  private turnedBy = 0;
  private last: Point;

  constructor(
    private readonly edits: BenchEdits,
    private readonly scene: LayoutBox,
    private readonly posing: Posing,
    private readonly grip: PoseGrip,
    private readonly begun: Point,
  ) {
    this.from = poseOf(scene, posing);
    this.middle = middleOf(cornersOf(posedScene(scene, posing), posing.layer) ?? [begun]);
    this.last = begun;
  }

  /** Goes on to a place, px of the piece; Shift keeps to one direction, or turns in steps. */
  to(now: Point, shift: boolean): void {
    this.set(this.poseAt(now, shift));
  }

  private set(pose: AwayPose): void {
    this.edits.set({ [this.posing.layer]: { [this.posing.key]: pose } }, this.gesture);
  }

  private poseAt(now: Point, shift: boolean): AwayPose {
    switch (this.grip) {
      case "place":
        return this.moved(now, shift);
      case "size":
        return this.sized(now);
      case "turn":
        this.turnedBy += turnOf(this.middle, this.last, now);
        this.last = now;
        return { ...this.from, rotation: turned(this.from.rotation + this.turnedBy, shift) };
    }
  }

  private moved(now: Point, shift: boolean): AwayPose {
    const [dx, dy] = [now[0] - this.begun[0], now[1] - this.begun[1]];
    const isAcross = Math.abs(dx) > Math.abs(dy);
    const way: Point = shift ? [isAcross ? dx : 0, isAcross ? 0 : dy] : [dx, dy];
    const around = spotOf(this.scene, this.posing.layer)?.parent;
    const [x, y] = around ? wayInto(around, ...way) : way;
    return {
      ...this.from,
      x: Math.round(this.from.x + x),
      y: Math.round(this.from.y + y),
    };
  }

  private sized(now: Point): AwayPose {
    const far = ([x, y]: Point) => Math.hypot(x - this.middle[0], y - this.middle[1]);
    const by = far(now) / Math.max(1, far(this.begun));
    const [sx, sy] = this.from.scale;
    // what is shrunk to nothing grows by the hand's way from its middle
    const base: Point = sx === 0 && sy === 0 ? [0.02, 0.02] : [sx, sy];
    const caught = (n: number) => hundredths(Math.round(n * by * SIZES) / SIZES);
    return { ...this.from, scale: [caught(base[0]), caught(base[1])] };
  }

  /** Moves by keys, px. */
  nudge(dx: number, dy: number): void {
    this.set({ ...this.from, x: this.from.x + dx, y: this.from.y + dy });
    this.end();
  }

  end(): void {
    this.edits.endGesture();
  }
}
