import { present } from "../../basics";
import type { Rect } from "../../layout";

/** A line two boxes share: across it lies at `at`, along it runs from–to; px. */
export interface Guide {
  readonly axis: "x" | "y";
  readonly at: number;
  readonly from: number;
  readonly to: number;
}
/** One of several equal gaps: along `axis` from–to, drawn at `at` across. */
export interface Gap {
  readonly axis: "x" | "y";
  readonly from: number;
  readonly to: number;
  readonly at: number;
}
export interface Snapped {
  readonly dx: number;
  readonly dy: number;
  readonly guides: readonly Guide[];
  readonly gaps: readonly Gap[];
}

interface Span {
  readonly from: number;
  readonly to: number;
}
const along = (r: Rect, axis: "x" | "y"): Span =>
  axis === "x" ? { from: r.x, to: r.x + r.width } : { from: r.y, to: r.y + r.height };
const across = (r: Rect, axis: "x" | "y"): Span => along(r, axis === "x" ? "y" : "x");
const middle = (s: Span): number => (s.from + s.to) / 2;
const overlap = (a: Span, b: Span): boolean => a.from < b.to && b.from < a.to;

/**
 * Which edges of a box may catch: both and the middle when it moves, one edge when it is resized.
 */
export type Edges = Readonly<Record<"x" | "y", readonly ("from" | "middle" | "to")[]>>;
const allEdges: Edges = { x: ["from", "middle", "to"], y: ["from", "middle", "to"] };

const edge = (s: Span, which: "from" | "middle" | "to"): number =>
  which === "middle" ? middle(s) : s[which];

interface Catch {
  readonly by: number;
  readonly guides: readonly Guide[];
  readonly gaps: readonly Gap[];
}
const nothing: Catch = { by: 0, guides: [], gaps: [] };
const EPSILON = 0.01;

const alignments = (
  rect: Rect,
  others: readonly Rect[],
  axis: "x" | "y",
  which: Edges["x"],
  reach: number,
): Catch => {
  const own = along(rect, axis);
  let best = reach;
  for (const other of others)
    for (const mine of which)
      for (const theirs of ["from", "middle", "to"] as const) {
        const by = edge(along(other, axis), theirs) - edge(own, mine);
        if (
          Math.abs(by) < Math.abs(best) - EPSILON ||
          (Math.abs(by) <= Math.abs(best) && best === reach)
        )
          best = by;
      }
  if (best === reach) return nothing;
  const moved: Span = { from: own.from + best, to: own.to + best };
  const guides: Guide[] = [];
  for (const mine of which) {
    const at = edge(moved, mine);
    const met = others.filter((o) =>
      (["from", "middle", "to"] as const).some(
        (t) => Math.abs(edge(along(o, axis), t) - at) < EPSILON,
      ),
    );
    if (met.length === 0) continue;
    const ends = [rect, ...met].map((r) => across(r, axis));
    guides.push({
      axis,
      at,
      from: Math.min(...ends.map((e) => e.from)),
      to: Math.max(...ends.map((e) => e.to)),
    });
  }
  return { by: best, guides, gaps: [] };
};

/**
 * Equal gaps: the box as far from its neighbour as that one is from the next, or in the middle
 * between two.
 */
const spacing = (rect: Rect, others: readonly Rect[], axis: "x" | "y", reach: number): Catch => {
  const own = along(rect, axis);
  const side = across(rect, axis);
  const size = own.to - own.from;
  const beside = others
    .filter((o) => overlap(across(o, axis), side))
    .sort((a, b) => along(a, axis).from - along(b, axis).from);
  let best: (Catch & { readonly distance: number }) | null = null;
  const offer = (from: number, gaps: (moved: Span) => readonly Gap[]) => {
    const by = from - own.from;
    if (Math.abs(by) <= reach && (best === null || Math.abs(by) < best.distance))
      best = { by, guides: [], gaps: gaps({ from, to: from + size }), distance: Math.abs(by) };
  };
  const gap = (a: number, b: number, one: Rect): Gap => ({
    axis,
    from: a,
    to: b,
    at: middle({
      from: Math.max(across(one, axis).from, side.from),
      to: Math.min(across(one, axis).to, side.to),
    }),
  });
  for (let i = 0; i < beside.length; i++)
    for (let k = i + 1; k < beside.length; k++) {
      const a = present(beside[i]);
      const b = present(beside[k]);
      const sa = along(a, axis);
      const sb = along(b, axis);
      const between = sb.from - sa.to;
      if (between < 0) continue;
      offer(sb.to + between, (m) => [gap(sa.to, sb.from, a), gap(sb.to, m.from, b)]);
      offer(sa.from - between - size, (m) => [gap(m.to, sa.from, a), gap(sa.to, sb.from, b)]);
      if (between >= size)
        offer(sa.to + (between - size) / 2, (m) => [gap(sa.to, m.from, a), gap(m.to, sb.from, b)]);
    }
  return best ?? nothing;
};

/**
 * Moves a box by at most `reach` px on each axis so that its edges or middle meet those of others,
 * or its gaps to its neighbours are equal; tells what it met. Alignment goes before spacing where
 * both are as near.
 */
export const snap = (
  rect: Rect,
  others: readonly Rect[],
  reach: number,
  edges: Edges = allEdges,
): Snapped => {
  const one = (axis: "x" | "y"): Catch => {
    const line = alignments(rect, others, axis, edges[axis], reach);
    if (line.guides.length || edges[axis].length < 3) return line;
    return spacing(rect, others, axis, reach);
  };
  const x = one("x");
  const y = one("y");
  return { dx: x.by, dy: y.by, guides: [...x.guides, ...y.guides], gaps: [...x.gaps, ...y.gaps] };
};

/**
 * How far a box is from another: to its four sides when it lies inside, else across the gaps
 * between them.
 */
export const distances = (a: Rect, b: Rect): Gap[] => {
  const out: Gap[] = [];
  for (const axis of ["x", "y"] as const) {
    const own = along(a, axis);
    const other = along(b, axis);
    const side = across(a, axis);
    const theirs = across(b, axis);
    const at = overlap(side, theirs)
      ? middle({ from: Math.max(side.from, theirs.from), to: Math.min(side.to, theirs.to) })
      : middle(side);
    const add = (from: number, to: number) => {
      if (to - from > EPSILON) out.push({ axis, from, to, at });
    };
    if (own.from >= other.to) add(other.to, own.from);
    else if (own.to <= other.from) add(own.to, other.from);
    else {
      add(Math.min(own.from, other.from), Math.max(own.from, other.from));
      add(Math.min(own.to, other.to), Math.max(own.to, other.to));
    }
  }
  return out;
};
