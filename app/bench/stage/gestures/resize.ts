import type { Id } from "#core/basics";
import { snap } from "#core/edit";
import type { Edges } from "#core/edit";
import { boundsIn, findBox, resized, unite } from "#core/layout";
import type { LayoutBox, Rect } from "#core/layout";
import { valuesIn } from "#core/looks";
import { ROOT, newId } from "#core/project";
import { hundredths } from "#core/properties";
import type { LayerValues, Value } from "#core/properties";
import type { BenchEdits } from "../../commands/edits";
import { activeOf } from "../../state/active";
import { noMarks } from "../../state/view";
import type { Workpiece } from "../../state/workpiece";
import { REACH, neighbours } from "./move";
import type { CardScene } from "./pointing";

/** A pull at a handle. */
export interface Pull {
  /** which edges go along: −1 for left or top, 1 for right or bottom, 0 for neither */
  readonly direction: readonly [number, number];
  /** by how much the pulled edges went outwards, px of the piece */
  readonly growth: readonly [number, number];
  /** keeps the proportions */
  readonly ratio: boolean;
  /** about the middle */
  readonly centred: boolean;
  /** lets nothing catch */
  readonly free: boolean;
}

/** How large the pulled frame becomes, times. */
const scaleOf = (frame: Rect, pull: Pull): readonly [number, number] => {
  const times = pull.centred ? 2 : 1;
  const factor = (size: number, growth: number) =>
    size ? Math.max(0.01, (size + growth * times) / size) : 1;
  const sx = factor(frame.width, pull.growth[0]);
  const sy = factor(frame.height, pull.growth[1]);
  if (!pull.ratio) return [sx, sy];
  const corner = pull.direction[0] !== 0 && pull.direction[1] !== 0;
  const along = pull.direction[0] === 0 ? sy : sx;
  const both = corner ? Math.max(sx, sy) : along;
  return [both, both];
};

/** The line that stays where it is while one side of a frame is pulled. */
const fixedAt = (at: number, size: number, side: number, centred: boolean): number => {
  if (centred || side === 0) return at + size / 2;
  return side > 0 ? at : at + size;
};

/**
 * Resizing the chosen layers by a handle of the frame around them; edges catch those of other
 * layers. Several at once keep their places and sizes in the frame.
 */
export class Resize {
  private readonly gesture = `resize ${newId()}`;
  private readonly bounds: ReadonlyMap<Id, Rect>;
  private readonly values = new Map<Id, LayerValues>();
  private readonly frame: Rect | null;
  private readonly others: readonly Rect[];

  constructor(
    private readonly workpiece: Workpiece,
    private readonly edits: BenchEdits,
    private readonly card: Pick<CardScene, "placed" | "zoom">,
    private readonly ids: readonly Id[],
  ) {
    const { piece, project, state } = workpiece;
    this.bounds = boundsIn(card.placed);
    this.frame = unite(ids.flatMap((id) => this.bounds.get(id) ?? []));
    this.others = piece ? neighbours(piece, this.bounds, ids) : [];
    for (const id of piece ? ids : []) {
      const layer = piece?.layers[id];
      if (piece && layer)
        this.values.set(id, valuesIn(project, piece, activeOf(piece, state).variant, layer));
    }
    state.setEditing(true);
  }

  /** Pulls on to there; `now` is how the card looks at the moment. */
  to(pull: Pull, now: LayoutBox): void {
    const { frame, ids } = this;
    const [only] = ids;
    if (!frame || only === undefined) return;
    const straight = ids.length > 1 || (this.values.get(only)?.rotation ?? 0) === 0;
    this.workpiece.state.mark(noMarks);
    const growth = straight && !pull.ratio && !pull.free ? this.caught(frame, pull) : pull.growth;
    if (ids.length === 1) this.resizeOne(only, { ...pull, growth }, now);
    else this.resizeAll(frame, { ...pull, growth });
  }

  /** How far the pulled edges have to go on to meet others, as growth. */
  private caught(frame: Rect, pull: Pull): readonly [number, number] {
    const times = pull.centred ? 2 : 1;
    const [dx, dy] = pull.direction;
    const [gx, gy] = pull.growth;
    const box = {
      x: pull.centred || dx < 0 ? frame.x - gx : frame.x,
      y: pull.centred || dy < 0 ? frame.y - gy : frame.y,
      width: frame.width + gx * times,
      height: frame.height + gy * times,
    };
    const pulled = (side: number) => (side < 0 ? (["from"] as const) : (["to"] as const));
    const edges: Edges = { x: dx === 0 ? [] : pulled(dx), y: dy === 0 ? [] : pulled(dy) };
    const found = snap(box, this.others, REACH / this.card.zoom, edges);
    this.workpiece.state.mark({ ...noMarks, guides: found.guides });
    return [gx + found.dx * dx, gy + found.dy * dy];
  }

  private resizeOne(id: Id, pull: Pull, now: LayoutBox): void {
    const own = findBox(this.card.placed, id)?.placed;
    const v = this.values.get(id);
    if (!own || !v || !this.frame) return;
    const [dx, dy] = pull.direction;
    const growth: [number, number] = [pull.growth[0], pull.growth[1]];
    const next = resized(own, pull.direction, growth, pull);
    const values: Record<string, Value> = {};
    if (dx !== 0 || pull.ratio) Object.assign(values, { width: next.width, widthMode: "fixed" });
    if (dy !== 0 || pull.ratio) Object.assign(values, { height: next.height, heightMode: "fixed" });
    if (id !== ROOT && next.x !== own.x) values.x = hundredths(v.x + next.x - own.x);
    if (id !== ROOT && next.y !== own.y) values.y = hundredths(v.y + next.y - own.y);
    this.edits.set({ [id]: values }, this.gesture);
    this.tell(next.width, next.height, boundsIn(now).get(id) ?? this.frame);
  }

  private resizeAll(frame: Rect, pull: Pull): void {
    const [sx, sy] = scaleOf(frame, pull);
    const px = fixedAt(frame.x, frame.width, pull.direction[0], pull.centred);
    const py = fixedAt(frame.y, frame.height, pull.direction[1], pull.centred);
    const next: Record<Id, Record<string, Value>> = {};
    for (const id of this.ids) {
      const b = this.bounds.get(id);
      const v = this.values.get(id);
      const own = findBox(this.card.placed, id)?.placed;
      if (!b || !v || !own) continue;
      const turned = v.rotation % 180 !== 0;
      const scalable =
        v.widthMode === "fixed" && v.heightMode === "fixed" && (!turned || pull.ratio);
      const width = scalable ? Math.round(own.width * sx) : own.width;
      const height = scalable ? Math.round(own.height * sy) : own.height;
      const cx = px + (b.x + b.width / 2 - px) * sx;
      const cy = py + (b.y + b.height / 2 - py) * sy;
      next[id] = {
        x: hundredths(v.x + cx - width / 2 - (b.x + b.width / 2 - own.width / 2)),
        y: hundredths(v.y + cy - height / 2 - (b.y + b.height / 2 - own.height / 2)),
        ...(scalable ? { width, height } : {}),
      };
    }
    this.edits.set(next, this.gesture);
    this.tell(frame.width * sx, frame.height * sy, frame);
  }

  /** Shows the size; the guides of this moment are shown already. */
  private tell(width: number, height: number, box: Rect): void {
    const { state } = this.workpiece;
    const text = `${hundredths(width)} × ${hundredths(height)}`;
    const readout = { text, x: box.x + box.width / 2, y: box.y + box.height };
    state.mark({ ...(state.marks ?? noMarks), readout });
  }

  end(): void {
    this.edits.settleFrame(this.gesture);
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
