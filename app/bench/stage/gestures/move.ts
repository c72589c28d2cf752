import type { Id } from "#core/basics";
import { snap, topmost } from "#core/edit";
import { boundsIn, spotsIn, unite, wayInto } from "#core/layout";
import type { Affine, Rect } from "#core/layout";
import { childrenOf, valuesIn } from "#core/looks";
import { newId } from "#core/project";
import type { Layer, Piece } from "#core/project";
import { hundredths } from "#core/properties";
import type { BenchEdits } from "../../commands/edits";
import { activeOf } from "../../state/active";
import { noMarks } from "../../state/view";
import type { Marks } from "../../state/view";
import type { Workpiece } from "../../state/workpiece";
import { wayFrom } from "./pointing";
import type { CardScene, Pointing } from "./pointing";
import { stageWords } from "../words";

/** Within how many px on screen edges catch one another. */
export const REACH = 6;

/** What a moved layer may line up with: its siblings and the box around them; px of the piece. */
export const neighbours = (
  piece: Pick<Piece, "layers">,
  bounds: ReadonlyMap<Id, Rect>,
  ids: readonly Id[],
): Rect[] => {
  const parent = piece.layers[ids[0] ?? ""]?.parent;
  if (parent == null) return [];
  const beside = (childrenOf(piece).get(parent) ?? []).map((l) => l.id);
  return [parent, ...beside.filter((id) => !ids.includes(id))].flatMap(
    (id) => bounds.get(id) ?? [],
  );
};

interface Start {
  readonly x: number;
  readonly y: number;
  /** the map of what the layer lies in */
  readonly around: Affine;
}

const NO_MAP: Affine = [1, 0, 0, 1, 0, 0];

/**
 * Moving the chosen layers by hand. Alt drags copies, Shift keeps to one direction, Ctrl keeps
 * edges from catching.
 */
export class Move {
  private readonly gesture = `drag ${newId()}`;
  private readonly from = new Map<Id, Start>();
  private frame: Rect | null = null;
  private others: readonly Rect[] = [];

  constructor(
    private readonly workpiece: Workpiece,
    private readonly edits: BenchEdits,
    private readonly card: CardScene,
    private readonly start: Pointing,
  ) {
    const originals = workpiece.state.chosen;
    const ids = start.alt ? edits.duplicate(originals, 0) : originals;
    const { piece } = workpiece;
    if (piece) this.begin(piece, ids, start.alt ? originals : null);
    workpiece.state.setEditing(this.from.size > 0);
  }

  private begin(piece: Piece, ids: readonly Id[], originals: readonly Id[] | null): void {
    const spots = spotsIn(this.card.placed);
    for (const id of topmost(piece, ids)) {
      const at = this.placeOf(piece, piece.layers[id]);
      // a copy made by this very drag is not on the card yet; it lies in what its original lies in
      const around = spots.get(piece.layers[id]?.parent ?? "")?.map ?? NO_MAP;
      if (at) this.from.set(id, { ...at, around });
    }
    const bounds = boundsIn(this.card.placed);
    const moving = [...this.from.keys()];
    // a copy made by this very drag lies where its original is
    this.frame = unite((originals ?? moving).flatMap((id) => bounds.get(id) ?? []));
    this.others = neighbours(piece, bounds, moving);
  }

  /** Where a layer is; null where it cannot be moved, which is told. */
  private placeOf(piece: Piece, layer: Layer | undefined): { x: number; y: number } | null {
    const parent = layer?.parent == null ? undefined : piece.layers[layer.parent];
    if (!layer || !parent) return null;
    const { project, state } = this.workpiece;
    const { variant } = activeOf(piece, state);
    const own = valuesIn(project, piece, variant, layer);
    const around = valuesIn(project, piece, variant, parent);
    if (parent.kind !== "box" || around.arrange === "free" || own.floats)
      return { x: own.x, y: own.y };
    this.edits.note(stageWords.laysOutLayersSo(parent.name, around.arrange, layer.name));
    return null;
  }

  /** Moves on to where the pointer is now. */
  to(now: Pointing): void {
    const [first] = this.from.values();
    if (!first) return;
    let [wantX, wantY] = wayFrom(this.start, now, this.card.zoom);
    const along = Math.abs(wantX) > Math.abs(wantY) ? "x" : "y";
    if (now.shift && along === "x") wantY = 0;
    if (now.shift && along === "y") wantX = 0;
    const whole = (start: number, by: number) => Math.round(start + by) - start;
    let dx = whole(first.x, wantX);
    let dy = whole(first.y, wantY);
    let marks = noMarks;
    if (this.frame && !now.ctrl) {
      const caught = this.caught(this.frame, wantX, wantY);
      if (caught.on("x") && !(now.shift && along === "y")) dx = wantX + caught.dx;
      if (caught.on("y") && !(now.shift && along === "x")) dy = wantY + caught.dy;
      marks = caught.marks;
    }
    this.workpiece.session.pause();
    this.put(dx, dy);
    this.workpiece.state.mark({ ...marks, readout: this.readout(first, dx, dy) });
  }

  /** What the edges meet when all is moved by so much. */
  private caught(frame: Rect, x: number, y: number) {
    const { guides, gaps, dx, dy } = snap(
      { ...frame, x: frame.x + x, y: frame.y + y },
      this.others,
      REACH / this.card.zoom,
    );
    return {
      dx,
      dy,
      marks: { ...noMarks, guides, gaps },
      on: (axis: "x" | "y") =>
        guides.some((g) => g.axis === axis) || gaps.some((g) => g.axis === axis),
    };
  }

  private put(dx: number, dy: number): void {
    const places: Record<Id, { x: number; y: number }> = {};
    for (const [id, start] of this.from) {
      const [x, y] = wayInto(start.around, dx, dy);
      places[id] = { x: hundredths(start.x + x), y: hundredths(start.y + y) };
    }
    this.edits.set(places, this.gesture);
  }

  private readout(first: Start, dx: number, dy: number): Marks["readout"] {
    const { frame } = this;
    return (
      frame && {
        text: `${hundredths(first.x + dx)}, ${hundredths(first.y + dy)}`,
        x: frame.x + dx + frame.width / 2,
        y: frame.y + dy + frame.height,
      }
    );
  }

  /** Leaves all where it is. */
  end(): void {
    this.edits.settleFrame(this.gesture);
    this.edits.endGesture();
    this.rest();
  }

  /** Takes it back as if it had not begun. */
  cancel(): void {
    this.workpiece.session.cancel(this.gesture);
    this.rest();
  }

  private rest(): void {
    this.workpiece.state.setEditing(false);
    this.workpiece.state.mark(null);
  }
}
