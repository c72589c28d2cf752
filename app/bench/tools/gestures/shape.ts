import type { Id } from "#core/basics";
import { findBox, spotsIn, toParent, wayInto } from "#core/layout";
import type { Affine, LayoutBox } from "#core/layout";
import { valuesIn } from "#core/looks";
import {
  addKnot,
  bendKnot,
  boundsOfOutlines,
  dropKnot,
  moveKnot,
  nearestLine,
  readOutlines,
  turnKnot,
  writeOutlines,
} from "#core/paths";
import type { Knot, KnotOutline, PathPoint } from "#core/paths";
import { newId } from "#core/project";
import { thousandths } from "#core/properties";
import type { BenchEdits } from "../../commands/edits";
import { activeOf } from "../../state/active";
import { Watched } from "../../../ui/watched";
import type { Workpiece } from "../../state/workpiece";

/** A point of a path: the outline and the knot, counted from 0. */
export interface PathKnot {
  readonly outline: number;
  readonly knot: number;
}
/** What of a point is dragged: itself, or one of its handles. */
export type Grip = PathKnot & { readonly part: "knot" | "before" | "after" };

/** A place on a line of the path where another point would go. */
interface Ghost {
  readonly outline: number;
  readonly line: number;
  /** 0–1 along the line */
  readonly t: number;
}

/** px on screen within which the line is pressed */
const NEAR = 8;

export const samePoint = (a: PathKnot, b: PathKnot): boolean =>
  a.outline === b.outline && a.knot === b.knot;

const withKnot = (
  all: readonly KnotOutline[],
  at: PathKnot,
  change: (k: Knot) => Knot,
): KnotOutline[] =>
  all.map((o, i) =>
    i === at.outline ? { ...o, knots: o.knots.map((k, j) => (j === at.knot ? change(k) : k)) } : o,
  );

/** A path as it is shown on a card. */
export interface ShownPath {
  readonly box: LayoutBox;
  readonly map: Affine;
  readonly outlines: readonly KnotOutline[];
}

/** The path of a layer on a card; null where it is not shown there. */
export const pathOn = (placed: LayoutBox, id: Id): ShownPath | null => {
  const box = findBox(placed, id)?.placed;
  const spot = spotsIn(placed).get(id);
  if (!box || !spot) return null;
  const shape = typeof box.values.shape === "string" ? box.values.shape : "";
  const outlines = readOutlines(shape, box.width / 100, box.height / 100);
  return { box, map: spot.map, outlines };
};

interface Drag {
  readonly grip: Grip;
  readonly path: ShownPath;
  readonly place: PathPoint;
  readonly gesture: string;
}

/** Where a pointer is, px of the piece, and the keys held meanwhile. */
export interface ShapePoint extends PathPoint {
  readonly shift: boolean;
  readonly alt: boolean;
  readonly ctrl: boolean;
}

/** The points of one path in hand: which are chosen, dragged, added, removed. */
export class PathShaping extends Watched {
  chosen: readonly PathKnot[] = [];
  ghost: Ghost | null = null;
  private drag: { readonly from: ShapePoint; readonly what: Drag } | null = null;

  constructor(
    private readonly workpiece: Workpiece,
    private readonly edits: BenchEdits,
    private readonly id: Id,
  ) {
    super();
  }

  private choose(chosen: readonly PathKnot[]): void {
    this.chosen = chosen;
    this.changed();
  }

  /** Presses a point or one of its handles. */
  down(grip: Grip, from: ShapePoint, path: ShownPath): void {
    const was = this.chosen.some((p) => samePoint(p, grip));
    if (grip.part === "knot") {
      const others = this.chosen.filter((p) => !samePoint(p, grip));
      if (from.shift) this.choose(was ? others : [...this.chosen, grip]);
      else if (!was) this.choose([grip]);
    }
    const gesture = `shape ${newId()}`;
    this.drag = { from, what: { grip, path, place: this.place(), gesture } };
  }

  move(now: ShapePoint, path: ShownPath, zoom: number): void {
    if (this.drag) {
      this.pull(this.drag.what, this.drag.from, now);
      return;
    }
    const near = nearestLine(path.outlines, this.local(now, path));
    const ghost = near && near.distance * zoom < NEAR ? near : null;
    if (!ghost && !this.ghost) return;
    this.ghost = ghost;
    this.changed();
  }

  private pull({ grip, path, place, gesture }: Drag, from: ShapePoint, now: ShapePoint): void {
    const [rx, ry] = wayInto(path.map, now.x - from.x, now.y - from.y);
    const half = (n: number) => (now.ctrl ? n : Math.round(n * 2) / 2);
    let dx = half(rx);
    let dy = half(ry);
    if (now.shift && grip.part === "knot") {
      if (Math.abs(dx) > Math.abs(dy)) dy = 0;
      else dx = 0;
    }
    this.write(
      this.pulled(path.outlines, grip, { x: dx, y: dy }, now.alt),
      path.box,
      place,
      gesture,
    );
  }

  private pulled(
    outlines: readonly KnotOutline[],
    grip: Grip,
    by: PathPoint,
    alone: boolean,
  ): readonly KnotOutline[] {
    const { part } = grip;
    if (part !== "knot")
      return withKnot(outlines, grip, (k) => {
        const handle = k[part] ?? k;
        return bendKnot(k, part, { x: handle.x + by.x, y: handle.y + by.y }, alone);
      });
    const moving = this.chosen.some((p) => samePoint(p, grip)) ? this.chosen : [grip];
    return moving.reduce((all, p) => withKnot(all, p, (k) => moveKnot(k, by.x, by.y)), outlines);
  }

  up(): void {
    this.drag = null;
    this.edits.endGesture();
  }

  /** Puts a point where the line is pressed; beside it, leaves the points. False then. */
  add(at: ShapePoint, path: ShownPath, zoom: number): boolean {
    const near = nearestLine(path.outlines, this.local(at, path));
    if (!near || near.distance * zoom >= NEAR) {
      this.workpiece.state.shape(null);
      return false;
    }
    this.rewrite(path, (all) =>
      all.map((o, i) => (i === near.outline ? addKnot(o, near.line, near.t) : o)),
    );
    this.ghost = null;
    this.choose([{ outline: near.outline, knot: near.line + 1 }]);
    return true;
  }

  /** Makes a corner smooth or sharp. */
  turn(at: PathKnot, path: ShownPath): void {
    this.rewrite(path, (all) => all.map((o, i) => (i === at.outline ? turnKnot(o, at.knot) : o)));
  }

  /** Does what a key says; false for keys that mean nothing here. */
  key(key: string, shift: boolean, path: ShownPath): boolean {
    const [first] = this.chosen;
    const step = shift ? 10 : 1;
    const arrow = arrows[key];
    if (arrow && first) this.nudge(path, arrow[0] * step, arrow[1] * step);
    else if (key === "Tab") this.goOn(path, shift ? -1 : 1);
    else if ((key === "Delete" || key === "Backspace") && first) this.remove(path);
    else if (key === "Enter" && first) this.turn(first, path);
    else if (key === "Escape" && first) this.choose([]);
    else if (key === "Escape") this.workpiece.state.shape(null);
    else return false;
    return true;
  }

  private nudge(path: ShownPath, dx: number, dy: number): void {
    const gesture = `points ${this.chosen.map((p) => `${p.outline}.${p.knot}`).join()}`;
    this.rewrite(
      path,
      (all) => this.chosen.reduce((o, p) => withKnot(o, p, (k) => moveKnot(k, dx, dy)), all),
      gesture,
    );
  }

  private goOn(path: ShownPath, by: 1 | -1): void {
    const all = path.outlines.flatMap((o, outline) =>
      o.knots.map((_, knot) => ({ outline, knot })),
    );
    const [first] = this.chosen;
    const at = all.findIndex((p) => first && samePoint(p, first));
    const next = all[(at + by + all.length) % all.length];
    this.choose(next ? [next] : []);
  }

  private remove(path: ShownPath): void {
    const next = path.outlines.flatMap((o, i): KnotOutline[] => {
      const gone = this.chosen
        .filter((p) => p.outline === i)
        .map((p) => p.knot)
        .sort((a, b) => b - a);
      const left = gone.reduce<KnotOutline | null>((all, k) => all && dropKnot(all, k), o);
      return left ? [left] : [];
    });
    this.choose([]);
    if (next.length === 0) this.edits.remove([this.id]);
    else this.rewrite(path, () => next);
  }

  private rewrite(
    path: ShownPath,
    change: (all: readonly KnotOutline[]) => readonly KnotOutline[],
    gesture: string | null = null,
  ): void {
    this.write(change(path.outlines), path.box, this.place(), gesture);
  }

  /** Where the layer is in what it lies in. */
  private place(): PathPoint {
    const { piece, project, state } = this.workpiece;
    const layer = piece?.layers[this.id];
    if (!piece || !layer) return { x: 0, y: 0 };
    const { x, y } = valuesIn(project, piece, activeOf(piece, state).variant, layer);
    return { x, y };
  }

  private local(at: PathPoint, { map }: ShownPath): PathPoint {
    const [x, y] = wayInto(map, at.x - map[4], at.y - map[5]);
    return { x, y };
  }

  /**
   * Writes changed points, with the layer's box fitted around them and the rest left where it is
   * shown.
   */
  private write(
    next: readonly KnotOutline[],
    from: LayoutBox,
    place: PathPoint,
    gesture: string | null,
  ): void {
    const box = boundsOfOutlines(next);
    const moved = next.map((o) => ({
      ...o,
      knots: o.knots.map((k) => moveKnot(k, -box.x, -box.y)),
    }));
    const width = thousandths(box.width);
    const height = thousandths(box.height);
    const before = toParent(from)(box.x, box.y);
    const after = toParent({ ...from, width, height })(0, 0);
    const dx = before[0] - after[0];
    const dy = before[1] - after[1];
    const values = {
      shape: writeOutlines(moved, (width || 1) / 100, (height || 1) / 100),
      width,
      height,
      widthMode: "fixed",
      heightMode: "fixed",
      ...(Math.abs(dx) > 1e-3 ? { x: thousandths(place.x + dx) } : {}),
      ...(Math.abs(dy) > 1e-3 ? { y: thousandths(place.y + dy) } : {}),
    };
    this.edits.set({ [this.id]: values }, gesture);
  }
}

const arrows: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
