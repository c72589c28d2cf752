import { present } from "../basics";
import { readPath } from "../geometry";

type Point = readonly [number, number];
/** A cubic Bézier from where the last one ended: two handles and its end. */
type Cubic = readonly [Point, Point, Point];
interface CubicOutline {
  readonly start: Point;
  readonly cubics: readonly Cubic[];
  readonly closed: boolean;
}

const between = (a: Point, b: Point, t: number): Point => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
];
const straight = (a: Point, b: Point): Cubic => [between(a, b, 1 / 3), between(a, b, 2 / 3), b];
const far = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

/** A curve or line of path data as a cubic; `p` gives its points by the place of their numbers. */
const cubicOf = (command: string, at: Point, p: (i: number) => Point): Cubic => {
  if (command === "C") return [p(0), p(2), p(4)];
  if (command === "Q") return [between(at, p(0), 2 / 3), between(p(2), p(0), 2 / 3), p(2)];
  return straight(at, p(0));
};

/** Path data as outlines of cubics alone: lines and quadratics are cubics too. */
const outlinesOf = (data: string): CubicOutline[] => {
  const out: { start: Point; cubics: Cubic[]; closed: boolean }[] = [];
  let at: Point = [0, 0];
  for (const { command, numbers: n } of readPath(data)) {
    const last = out.at(-1);
    const p = (i: number): Point => [n[i] ?? 0, n[i + 1] ?? 0];
    if (command === "M") {
      at = p(0);
      out.push({ start: at, cubics: [], closed: false });
      continue;
    }
    if (!last) continue;
    if (command === "Z") {
      if (far(at, last.start) > 1e-6) last.cubics.push(straight(at, last.start));
      last.closed = true;
      at = last.start;
      continue;
    }
    const cubic = cubicOf(command, at, p);
    last.cubics.push(cubic);
    at = cubic[2];
  }
  return out.filter((o) => o.cubics.length > 0);
};

const ends = (o: CubicOutline): Point[] => o.cubics.map((c) => c[2]);
/**
 * Twice the signed area of the polygon of an outline's ends (the shoelace formula): its sign is the
 * way it goes round.
 */
const area = (o: CubicOutline): number =>
  ends(o).reduce((sum, p, i, all) => {
    const q = present(all[(i + 1) % all.length]);
    return sum + p[0] * q[1] - q[0] * p[1];
  }, 0);

/** Halves the longest stretches until there are so many (de Casteljau). */
const divided = (o: CubicOutline, count: number): CubicOutline => {
  const cubics = [...o.cubics];
  while (cubics.length < count) {
    const starts = [o.start, ...cubics.map((c) => c[2])];
    const lengths = cubics.map(
      (c, i) => far(present(starts[i]), c[0]) + far(c[0], c[1]) + far(c[1], c[2]),
    );
    const i = lengths.indexOf(Math.max(...lengths));
    const [b, c, d] = present(cubics[i]);
    const a = present(starts[i]);
    const ab = between(a, b, 0.5);
    const bc = between(b, c, 0.5);
    const cd = between(c, d, 0.5);
    const abc = between(ab, bc, 0.5);
    const bcd = between(bc, cd, 0.5);
    cubics.splice(i, 1, [ab, abc, between(abc, bcd, 0.5)], [bcd, cd, d]);
  }
  return { ...o, cubics };
};

const reversed = (o: CubicOutline): CubicOutline => {
  const starts = [o.start, ...ends(o)];
  return {
    ...o,
    start: present(starts.at(-1)),
    cubics: o.cubics.map((c, i): Cubic => [c[1], c[0], present(starts[i])]).reverse(),
  };
};

/** A closed outline begun at another of its ends. */
const begunAt = (o: CubicOutline, i: number): CubicOutline =>
  i === 0
    ? o
    : {
        ...o,
        start: present(o.cubics[i - 1])[2],
        cubics: [...o.cubics.slice(i), ...o.cubics.slice(0, i)],
      };

/**
 * The second outline, begun and turned so that its ends lie as near as can be to those of the
 * first.
 */
const aligned = (a: CubicOutline, b: CubicOutline): CubicOutline => {
  if (!a.closed || !b.closed) {
    const off = (o: CubicOutline) =>
      far(a.start, o.start) + far(present(ends(a).at(-1)), present(ends(o).at(-1)));
    const back = reversed(b);
    return off(back) < off(b) - 1e-9 ? back : b;
  }
  const same = area(a) * area(b) < 0 ? reversed(b) : b;
  const from = ends(a);
  const to = ends(same);
  const n = from.length;
  let best = 0;
  let least = Infinity;
  for (let i = 0; i < n; i++) {
    const sum = from.reduce((s, p, k) => {
      const q = present(to[(k + i) % n]);
      return s + (p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2;
    }, 0);
    if (sum < least - 1e-9) {
      least = sum;
      best = i;
    }
  }
  return begunAt(same, best);
};

/** What an outline grows out of or shrinks to when it has no partner: a point in its middle. */
const point = (o: CubicOutline): CubicOutline => {
  const all = ends(o);
  const middle: Point = [
    all.reduce((s, p) => s + p[0], 0) / all.length,
    all.reduce((s, p) => s + p[1], 0) / all.length,
  ];
  return {
    start: middle,
    cubics: o.cubics.map((): Cubic => [middle, middle, middle]),
    closed: o.closed,
  };
};

const MOST_STRETCHES = 400;

/**
 * Any path data turned into any other: both become outlines of as many cubics, partners by their
 * size, each begun and going round so that its points have the shortest ways. Null where there is
 * nothing to turn, or far too much.
 */
export const morph = (from: string, to: string): ((t: number) => string) | null => {
  const a = outlinesOf(from);
  const b = outlinesOf(to);
  if (a.length === 0 || b.length === 0 || a.concat(b).some((o) => o.cubics.length > MOST_STRETCHES))
    return null;
  const bySize = (list: CubicOutline[]) =>
    [...list].sort((p, q) => Math.abs(area(q)) - Math.abs(area(p)));
  const left = bySize(a);
  const right = bySize(b);
  const pairs = Array.from(
    { length: Math.max(left.length, right.length) },
    (_, i): readonly [CubicOutline, CubicOutline] => {
      const p = left[i] ?? point(present(right[i]));
      const q = right[i] ?? point(present(left[i]));
      const n = Math.max(p.cubics.length, q.cubics.length);
      const first = divided(p, n);
      return [first, aligned(first, divided(q, n))];
    },
  );
  const r = (n: number) => Math.round(n * 1000) / 1000;
  const say = (p: Point) => `${r(p[0])} ${r(p[1])}`;
  return (t) =>
    pairs
      .map(
        ([p, q]) =>
          `M${say(between(p.start, q.start, t))}${p.cubics.map((c, i) => `C${c.map((h, k) => say(between(h, present(present(q.cubics[i])[k]), t))).join(" ")}`).join("")}${p.closed && q.closed ? "Z" : ""}`,
      )
      .join("");
};
