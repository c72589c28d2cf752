import { snap } from "#core/edit";
import type { Guide } from "#core/edit";
import { boundsIn, spotsIn } from "#core/layout";
import type { Affine, LayoutBox, Rect } from "#core/layout";
import { hundredths } from "#core/properties";
import type { Value } from "#core/properties";
import { fresh } from "../../commands/inserting";
import type { Inserter } from "../../commands/inserting";
import { parentAt, rectInto } from "../../commands/placing";
import type { Point } from "../../commands/placing";
import type { DrawnKind } from "../../state/view";
import { Watched } from "../../../ui/watched";
import type { Workpiece } from "../../state/workpiece";
import type { PenPoint } from "./pen";

/** px on screen before a press becomes a drag */
const SLACK = 3;
/** px on screen within which an edge catches those of layers */
const REACH = 6;
const corner = { x: ["from"], y: ["from"] } as const;
const NO_MAP: Affine = [1, 0, 0, 1, 0, 0];
/** Shift turns a line in steps of so many degrees. */
const STEP = 45;

/** A card that is drawn on. */
interface DrawCard {
  readonly placed: LayoutBox;
  /** px on screen per px of the piece */
  readonly zoom: number;
}

/** From where to where a hand drew; px of the piece. */
export interface Drag {
  readonly from: Point;
  readonly to: Point;
}

export const rectOf = ({ from, to }: Drag): Rect => ({
  x: Math.min(from.x, to.x),
  y: Math.min(from.y, to.y),
  width: Math.abs(to.x - from.x),
  height: Math.abs(to.y - from.y),
});

/** The end of a drag with Shift held: as wide as high, or a line at a round angle. */
const evened = (kind: DrawnKind, { from, to }: Drag): Point => {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  if (kind === "line") {
    const angle = Math.round(Math.atan2(dy, dx) / ((STEP * Math.PI) / 180)) * STEP;
    const length = Math.hypot(dx, dy);
    const turn = (angle * Math.PI) / 180;
    return { x: from.x + Math.cos(turn) * length, y: from.y + Math.sin(turn) * length };
  }
  const side = Math.max(Math.abs(dx), Math.abs(dy));
  return { x: from.x + Math.sign(dx) * side, y: from.y + Math.sign(dy) * side };
};

/** A line's length and turn about its middle, and where it begins; px and degrees. */
const lineValues = (map: Affine, drag: Drag): { at: Point; values: Record<string, Value> } => {
  const middle = { x: (drag.from.x + drag.to.x) / 2, y: (drag.from.y + drag.to.y) / 2 };
  const { x, y } = rectInto(map, { ...middle, width: 0, height: 0 });
  const [dx, dy] = [drag.to.x - drag.from.x, drag.to.y - drag.from.y];
  const length = hundredths(Math.hypot(dx, dy));
  const rotation = hundredths((Math.atan2(dy, dx) * 180) / Math.PI);
  const turned: Record<string, Value> = rotation === 0 ? {} : { rotation };
  return {
    at: { x: hundredths(x - length / 2), y: hundredths(y) },
    values: { width: length, ...turned },
  };
};

/**
 * Drawing a layer by dragging on a card from corner to corner; a press alone puts one of the usual
 * size round it. Shift makes it even, Ctrl lets nothing catch.
 */
export class Drawing extends Watched {
  drag: Drag | null = null;
  guides: readonly Guide[] = [];

  constructor(
    private readonly workpiece: Workpiece,
    private readonly insert: Inserter,
  ) {
    super();
  }

  private get kind(): DrawnKind {
    return this.workpiece.state.drawn;
  }

  down(point: PenPoint, card: DrawCard): void {
    const from = this.caught(point, card);
    this.drag = { from, to: from };
    this.changed();
  }

  move(point: PenPoint, card: DrawCard): void {
    if (!this.drag) return;
    const { from } = this.drag;
    const to = this.caught(point, card);
    this.drag = { from, to: point.shift ? evened(this.kind, { from, to }) : to };
    this.changed();
  }

  /** Makes the layer, and puts the tool away. */
  up(card: DrawCard): void {
    const { drag, kind } = this;
    const { piece, state } = this.workpiece;
    this.giveUp();
    if (!drag || !piece) return;
    const parent = parentAt(piece, state.chosen, card.placed, drag.from);
    const map = spotsIn(card.placed).get(parent)?.map ?? NO_MAP;
    const isClick =
      Math.hypot(drag.to.x - drag.from.x, drag.to.y - drag.from.y) * card.zoom < SLACK;
    if (isClick) this.insert.drawn(kind, parent, this.roundPoint(map, drag.from), {});
    else this.drawn(parent, map, drag);
  }

  private drawn(parent: string, map: Affine, drag: Drag): void {
    const { kind } = this;
    if (kind === "line") {
      const { at, values } = lineValues(map, drag);
      this.insert.drawn(kind, parent, at, values);
      return;
    }
    const { x, y, width, height } = rectInto(map, rectOf(drag));
    const at = { x: hundredths(x), y: hundredths(y) };
    const size: Record<string, Value> =
      kind === "text"
        ? { width: hundredths(width), widthMode: "fixed" }
        : { width: hundredths(width), height: hundredths(height) };
    this.insert.drawn(kind, parent, at, size);
  }

  /** Where a layer of the usual size begins that lies round a point; a text begins at it. */
  private roundPoint(map: Affine, point: Point): Point {
    const { width, height } = fresh[this.kind].size;
    const { x, y } = rectInto(map, { ...point, width: 0, height: 0 });
    if (this.kind === "text") return { x: Math.round(x), y: Math.round(y - height / 2) };
    return { x: Math.round(x - width / 2), y: Math.round(y - height / 2) };
  }

  giveUp(): void {
    this.drag = null;
    this.guides = [];
    this.changed();
  }

  /** On the edges and middles of layers where they are near, else on whole px. */
  private caught(point: PenPoint, card: DrawCard): Point {
    this.guides = [];
    if (point.ctrl) return { x: point.x, y: point.y };
    const others = [...boundsIn(card.placed).values()];
    const here = { x: point.x, y: point.y, width: 0, height: 0 };
    const { guides, dx, dy } = snap(here, others, REACH / card.zoom, corner);
    this.guides = guides;
    const on = (axis: "x" | "y") => guides.some((g) => g.axis === axis);
    return {
      x: on("x") ? point.x + dx : Math.round(point.x),
      y: on("y") ? point.y + dy : Math.round(point.y),
    };
  }
}
