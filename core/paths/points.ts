import { present } from "../basics";
import { readPath } from "../geometry";

/** A place in px (or whatever unit the path has). */
export interface PathPoint {
  readonly x: number;
  readonly y: number;
}

/**
 * A point of an outline with the handles that bend the lines before and after it; null where the
 * line leaves it straight.
 */
export interface Knot extends PathPoint {
  readonly before: PathPoint | null;
  readonly after: PathPoint | null;
}

/** One run of points, closed or open. */
export interface KnotOutline {
  readonly knots: readonly Knot[];
  readonly closed: boolean;
}

const same = (a: PathPoint, b: PathPoint): boolean =>
  Math.abs(a.x - b.x) < 1e-4 && Math.abs(a.y - b.y) < 1e-4;
const mix = (a: PathPoint, b: PathPoint, t: number): PathPoint => ({
  x: a.x + (b.x - a.x) * t,
  y: a.y + (b.y - a.y) * t,
});

/**
 * Reads path data of M, L, C, Q and Z as points with handles, stretched by sx and sy. Quadratic
 * curves become cubic ones.
 */
export const readOutlines = (data: string, sx = 1, sy = 1): KnotOutline[] => {
  const out: { knots: Knot[]; closed: boolean }[] = [];
  const bend = (knots: Knot[], after: PathPoint, before: PathPoint, to: PathPoint) => {
    const last = present(knots[knots.length - 1]);
    knots[knots.length - 1] = { ...last, after: same(after, last) ? null : after };
    knots.push({ ...to, before: same(before, to) ? null : before, after: null });
  };
  for (const { command, numbers } of readPath(data)) {
    const at = (i: number): PathPoint => ({
      x: present(numbers[i]) * sx,
      y: present(numbers[i + 1]) * sy,
    });
    let now = out.at(-1);
    if (command === "M" || !now) {
      out.push({ knots: [{ ...at(0), before: null, after: null }], closed: false });
      continue;
    }
    if (now.closed)
      out.push(
        (now = {
          knots: [{ ...present(now.knots[0]), before: null, after: null }],
          closed: false,
        }),
      );
    const last = present(now.knots.at(-1));
    if (command === "L") now.knots.push({ ...at(0), before: null, after: null });
    else if (command === "C") bend(now.knots, at(0), at(2), at(4));
    else if (command === "Q")
      bend(now.knots, mix(last, at(0), 2 / 3), mix(at(2), at(0), 2 / 3), at(2));
    else {
      now.closed = true;
      const first = present(now.knots[0]);
      const end = present(now.knots.at(-1));
      // a closing line that ends where it began is not a point of its own
      if (now.knots.length > 2 && same(first, end)) {
        now.knots.pop();
        now.knots[0] = { ...first, before: end.before };
      }
    }
  }
  return out.filter((o) => o.knots.length > 0);
};

const n = (v: number): number => Math.round(v * 1e4) / 1e4 || 0;

/** Writes points as path data, squeezed by sx and sy. */
export const writeOutlines = (outlines: readonly KnotOutline[], sx = 1, sy = 1): string =>
  outlines
    .map(({ knots, closed }) => {
      const at = (s: PathPoint) => `${n(s.x / (sx || 1))} ${n(s.y / (sy || 1))}`;
      const to = (a: Knot, b: Knot) =>
        a.after || b.before ? `C${at(a.after ?? a)} ${at(b.before ?? b)} ${at(b)}` : `L${at(b)}`;
      const first = knots[0];
      if (!first) return "";
      const lines = knots
        .slice(1)
        .map((k, i) => to(present(knots[i]), k))
        .join("");
      const last = present(knots.at(-1));
      return `M${at(first)}${lines}${closed ? `${last !== first && (last.after || first.before) ? to(last, first) : ""}Z` : ""}`;
    })
    .join("");

/** How many lines lead from point to point. */
export const linesIn = (o: KnotOutline): number => {
  if (o.knots.length < 2) {
    return 0;
  }
  return o.closed ? o.knots.length : o.knots.length - 1;
};

const ends = (o: KnotOutline, line: number): [Knot, Knot] => [
  present(o.knots[line]),
  present(o.knots[(line + 1) % o.knots.length]),
];

/** A place on a line of an outline, 0–1 along it (de Casteljau). */
export const placeOn = (o: KnotOutline, line: number, t: number): PathPoint => {
  const [a, b] = ends(o, line);
  const c = a.after ?? a;
  const d = b.before ?? b;
  if (!a.after && !b.before) return mix(a, b, t);
  return mix(mix(mix(a, c, t), mix(c, d, t), t), mix(mix(c, d, t), mix(d, b, t), t), t);
};

/** Adds a point on a line without changing the outline's shape. */
export const addKnot = (o: KnotOutline, line: number, t: number): KnotOutline => {
  const [a, b] = ends(o, line);
  const knots = [...o.knots];
  if (!a.after && !b.before) {
    knots.splice(line + 1, 0, { ...mix(a, b, t), before: null, after: null });
    return { ...o, knots };
  }
  const c = a.after ?? a;
  const d = b.before ?? b;
  const ac = mix(a, c, t);
  const cd = mix(c, d, t);
  const db = mix(d, b, t);
  const left = mix(ac, cd, t);
  const right = mix(cd, db, t);
  knots[line] = { ...a, after: ac };
  knots[(line + 1) % knots.length] = { ...b, before: db };
  knots.splice(line + 1, 0, { ...mix(left, right, t), before: left, after: right });
  return { ...o, knots };
};

/** Takes a point away; an outline of fewer than two points is gone (null). */
export const dropKnot = (o: KnotOutline, at: number): KnotOutline | null =>
  o.knots.length <= 2 ? null : { ...o, knots: o.knots.filter((_, i) => i !== at) };

/** Moves a point with its handles. */
export const moveKnot = (k: Knot, dx: number, dy: number): Knot => {
  const by = (s: PathPoint | null): PathPoint | null => s && { x: s.x + dx, y: s.y + dy };
  return { x: k.x + dx, y: k.y + dy, before: by(k.before), after: by(k.after) };
};

/** Moves one handle of a point; the other stays opposite it unless they are moved apart. */
export const bendKnot = (
  k: Knot,
  which: "before" | "after",
  to: PathPoint,
  apart = false,
): Knot => {
  const other = which === "before" ? "after" : "before";
  const far = k[other];
  const length = far ? Math.hypot(far.x - k.x, far.y - k.y) : Math.hypot(to.x - k.x, to.y - k.y);
  const reach = Math.hypot(to.x - k.x, to.y - k.y) || 1;
  const opposite = apart
    ? far
    : { x: k.x - ((to.x - k.x) / reach) * length, y: k.y - ((to.y - k.y) / reach) * length };
  return { ...k, [which]: to, [other]: opposite };
};

/**
 * Makes a corner of a smooth point, and a smooth point of a corner: its handles lie along the way
 * from the point before to the one after.
 */
export const turnKnot = (o: KnotOutline, at: number): KnotOutline => {
  const k = present(o.knots[at]);
  const count = o.knots.length;
  const prev = o.closed || at > 0 ? present(o.knots[(at - 1 + count) % count]) : k;
  const next = o.closed || at < count - 1 ? present(o.knots[(at + 1) % count]) : k;
  const dx = (next.x - prev.x) / 6;
  const dy = (next.y - prev.y) / 6;
  const turned: Knot =
    k.before || k.after
      ? { ...k, before: null, after: null }
      : { ...k, before: { x: k.x - dx, y: k.y - dy }, after: { x: k.x + dx, y: k.y + dy } };
  return { ...o, knots: o.knots.map((x, i) => (i === at ? turned : x)) };
};

/** The place on any line that is nearest to a point; null for outlines without lines. */
export const nearestLine = (
  outlines: readonly KnotOutline[],
  to: PathPoint,
): { outline: number; line: number; t: number; distance: number } | null => {
  let best: { outline: number; line: number; t: number; distance: number } | null = null;
  outlines.forEach((o, outline) => {
    for (let line = 0; line < linesIn(o); line++)
      for (let i = 0; i <= 40; i++) {
        const p = placeOn(o, line, i / 40);
        const distance = Math.hypot(p.x - to.x, p.y - to.y);
        if (!best || distance < best.distance)
          best = { outline, line, t: Math.min(0.98, Math.max(0.02, i / 40)), distance };
      }
  });
  return best;
};

/** The upright box around outlines: the curves themselves, not their handles. */
export const boundsOfOutlines = (
  outlines: readonly KnotOutline[],
): { x: number; y: number; width: number; height: number } => {
  const xs: number[] = [];
  const ys: number[] = [];
  const put = (s: PathPoint) => {
    xs.push(s.x);
    ys.push(s.y);
  };
  // the extremes of a cubic lie at its ends or where its derivative is 0
  const roots = (a: number, b: number, c: number, d: number): number[] => {
    const p = -a + 3 * b - 3 * c + d;
    const q = 2 * (a - 2 * b + c);
    const r = b - a;
    if (Math.abs(p) < 1e-9) return Math.abs(q) < 1e-9 ? [] : [-r / q];
    const root = q * q - 4 * p * r;
    return root < 0 ? [] : [(-q + Math.sqrt(root)) / (2 * p), (-q - Math.sqrt(root)) / (2 * p)];
  };
  for (const o of outlines) {
    o.knots.forEach(put);
    for (let line = 0; line < linesIn(o); line++) {
      const [a, b] = ends(o, line);
      const c = a.after ?? a;
      const d = b.before ?? b;
      for (const t of [...roots(a.x, c.x, d.x, b.x), ...roots(a.y, c.y, d.y, b.y)])
        if (t > 0 && t < 1) put(placeOn(o, line, t));
    }
  }
  if (xs.length === 0) return { x: 0, y: 0, width: 0, height: 0 };
  const x = Math.min(...xs);
  const y = Math.min(...ys);
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
};
