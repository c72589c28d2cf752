import { addLayer, snap } from "#core/edit";
import type { Guide } from "#core/edit";
import { boundsIn, spotsIn, wayInto } from "#core/layout";
import type { Affine, LayoutBox } from "#core/layout";
import { boundsOfOutlines, moveKnot, writeOutlines } from "#core/paths";
import type { Knot, KnotOutline, PathPoint } from "#core/paths";
import { thousandths } from "#core/properties";
import type { Value } from "#core/properties";
import { parentAt } from "../../commands/placing";
import { Watched } from "../../../ui/watched";
import type { Workpiece } from "../../state/workpiece";

/** px on screen within which a press closes the path */
const CLOSE = 8;
/** px on screen within which a point catches the edges of layers and other points */
const REACH = 6;
/** px on screen before a press becomes a pull */
const SLACK = 3;
const corner = { x: ["from"], y: ["from"] } as const;
const NO_MAP: Affine = [1, 0, 0, 1, 0, 0];

/** A card the pen is on. */
export interface PenCard {
  readonly placed: LayoutBox;
  /** px on screen per px of the piece */
  readonly zoom: number;
}

/** Where the pen is, px of the piece, and the keys held meanwhile. */
export interface PenPoint extends PathPoint {
  /** in line with the last point */
  readonly shift: boolean;
  /** catches nothing */
  readonly ctrl: boolean;
}

/** Where a point would be set, and what it is in line with. */
interface Spot extends PathPoint {
  readonly guides: readonly Guide[];
}

/**
 * Drawing a path point by point: a press sets a point, a drag bends the line through it, a press on
 * the first point closes.
 */
export class PenDrawing extends Watched {
  knots: readonly Knot[] = [];
  /** null while the pen is elsewhere */
  at: Spot | null = null;
  pulling = false;

  constructor(private readonly workpiece: Workpiece) {
    super();
  }

  /** Sets a point; `again` for the second press of a double press, which ends an open path. */
  down(point: PenPoint, card: PenCard, again: boolean): void {
    const { guides: _, ...p } = this.spotAt(point, card);
    const [first] = this.knots;
    const begun = this.knots.length > 1;
    if (again && begun) {
      this.finish(false, card);
      return;
    }
    if (first && begun && Math.hypot(first.x - p.x, first.y - p.y) * card.zoom < CLOSE) {
      this.finish(true, card);
      return;
    }
    this.pulling = true;
    this.knots = [...this.knots, { ...p, before: null, after: null }];
    this.changed();
  }

  move(point: PenPoint, card: PenCard): void {
    const p = this.spotAt(point, card);
    const last = this.knots.at(-1);
    this.at = p;
    if (this.pulling && last && Math.hypot(p.x - last.x, p.y - last.y) * card.zoom >= SLACK) {
      const after = { x: p.x, y: p.y };
      const before = { x: 2 * last.x - p.x, y: 2 * last.y - p.y };
      this.knots = [...this.knots.slice(0, -1), { ...last, before, after }];
    }
    this.changed();
  }

  up(): void {
    this.pulling = false;
    this.changed();
  }

  leave(): void {
    this.at = null;
    this.changed();
  }

  /** Takes the last point back. */
  back(): void {
    this.knots = this.knots.slice(0, -1);
    this.changed();
  }

  /** Gives up what was drawn. */
  giveUp(): void {
    this.knots = [];
    this.changed();
  }

  /** Makes a layer of what was drawn and puts the pen away. */
  finish(closed: boolean, card: PenCard): void {
    const { knots } = this;
    const { state } = this.workpiece;
    this.giveUp();
    const made =
      knots.length > 1
        ? this.workpiece.make((_, piece) => {
            const start = knots[0] ?? { x: 0, y: 0 };
            const parent = parentAt(piece, state.chosen, card.placed, start);
            const around = spotsIn(card.placed).get(parent)?.map ?? NO_MAP;
            return addLayer(piece, "path", parent, pathValues(knots, closed, around));
          })
        : null;
    if (made) state.choose([made.id]);
    state.setTool("choose");
  }

  /**
   * Where a point would be set: on the edges and middles of layers and in line with other points,
   * else on whole px; Ctrl leaves it free.
   */
  private spotAt(point: PenPoint, card: PenCard): Spot {
    const p = { x: point.x, y: point.y };
    let guides: readonly Guide[] = [];
    if (!point.ctrl) {
      const caught = snap(
        { ...p, width: 0, height: 0 },
        this.edges(card),
        REACH / card.zoom,
        corner,
      );
      guides = caught.guides;
      const on = (axis: "x" | "y") => guides.some((g) => g.axis === axis);
      p.x = on("x") ? p.x + caught.dx : Math.round(p.x);
      p.y = on("y") ? p.y + caught.dy : Math.round(p.y);
    }
    const last = this.knots.at(-1);
    if (point.shift && last) {
      const level = Math.abs(p.x - last.x) > Math.abs(p.y - last.y);
      if (level) p.y = last.y;
      else p.x = last.x;
      guides = guides.filter((g) => g.axis === (level ? "x" : "y"));
    }
    return { x: thousandths(p.x), y: thousandths(p.y), guides };
  }

  private edges(card: PenCard) {
    const points = this.knots.map((k) => ({ x: k.x, y: k.y, width: 0, height: 0 }));
    return [...boundsIn(card.placed).values(), ...points];
  }
}

/** What a new path layer says: its outline and place in what it lies in, and a first look. */
const pathValues = (
  knots: readonly Knot[],
  closed: boolean,
  around: Affine,
): Record<string, Value> => {
  const into = (p: PathPoint): PathPoint => {
    const [x, y] = wayInto(around, p.x - around[4], p.y - around[5]);
    return { x, y };
  };
  const outline: KnotOutline = {
    closed,
    knots: knots.map((k) => ({
      ...into(k),
      before: k.before && into(k.before),
      after: k.after && into(k.after),
    })),
  };
  const box = boundsOfOutlines([outline]);
  const width = thousandths(box.width);
  const height = thousandths(box.height);
  const shape = writeOutlines(
    [{ ...outline, knots: outline.knots.map((k) => moveKnot(k, -box.x, -box.y)) }],
    (width || 1) / 100,
    (height || 1) / 100,
  );
  const look: Record<string, Value> = closed
    ? { fill: "#a9c6bd" }
    : { borderColour: "#20302e", borderWidth: 2 };
  return { x: thousandths(box.x), y: thousandths(box.y), width, height, shape, ...look };
};
