import { lerp, present } from "../basics";
import { colourAt, mixColour } from "../colour";
import { readPath } from "../geometry";
import type { Fill, Four, Gradient, Mixing, Pair, Shadow, Stop, Value } from "../properties";
import { morph } from "./morph";

/**
 * The value between two others at progress t; 0 is the first, 1 exactly the second; t may leave 0–1
 * where a curve overshoots.
 */
export type Mix<V = Value> = (t: number) => V;

const mixFour =
  (a: Four, b: Four): Mix<Four> =>
  (t) => [lerp(a[0], b[0], t), lerp(a[1], b[1], t), lerp(a[2], b[2], t), lerp(a[3], b[3], t)];

/**
 * A colour seen as the gradient it turns into or comes from: the same stops, all of that colour.
 */
const flat = (colour: string, like: Gradient): Gradient => ({
  ...like,
  stops: like.stops.map((s) => ({ ...s, colour })),
});

/** A gradient's stops with further ones in between that change nothing of its look. */
const withStopsAt = (stops: readonly Stop[], places: readonly number[]): Stop[] => {
  const own = [...stops].sort((a, b) => a.at - b.at);
  return [
    ...own,
    ...places
      .filter((at) => !own.some((s) => s.at === at))
      .map((at) => ({ at, colour: colourAt(own, at) })),
  ].sort((a, b) => a.at - b.at);
};

/** Gradients of different numbers of stops get those of the other, too. */
const sameStops = (
  a: readonly Stop[],
  b: readonly Stop[],
): readonly [readonly Stop[], readonly Stop[]] => {
  if (a.length === b.length) return [a, b];
  const p = withStopsAt(
    a,
    b.map((s) => s.at),
  );
  const q = withStopsAt(
    b,
    a.map((s) => s.at),
  );
  return p.length === q.length ? [p, q] : [a, b];
};

const mixStops = (a: readonly Stop[], b: readonly Stop[]): Mix<Stop[]> => {
  const colours = b.map((s, i) => mixColour(a[i]?.colour ?? s.colour, s.colour));
  return (t) =>
    b.map((s, i) => ({ at: lerp(a[i]?.at ?? s.at, s.at, t), colour: colours[i]?.(t) ?? s.colour }));
};

const mixPair =
  (a: Pair, b: Pair): Mix<Pair> =>
  (t) => [lerp(a[0], b[0], t), lerp(a[1], b[1], t)];

/**
 * Colours mix with colours and with gradients, gradients of one kind stop by stop, also with
 * different numbers of them; pictures and unlike gradients dissolve.
 */
const mixFill = (from: Fill, to: Fill): Mix<Fill> | null => {
  if (typeof from === "string" && typeof to === "string") return mixColour(from, to);
  if (
    (typeof from === "object" && from.kind === "picture") ||
    (typeof to === "object" && to.kind === "picture")
  )
    return null;
  if (typeof from === "string") return typeof to === "string" ? null : mixFill(flat(from, to), to);
  const a = from;
  const b = typeof to === "string" ? flat(to, a) : to;
  const [p, q] = sameStops(a.stops, b.stops);
  if (a.kind !== b.kind || p.length !== q.length) return null;
  const stops = mixStops(p, q);
  if (a.kind === "linear" && b.kind === "linear")
    return (t) => ({ kind: "linear", angle: lerp(a.angle, b.angle, t), stops: stops(t) });
  if (a.kind === "radial" && b.kind === "radial") {
    const centre = mixPair(a.centre, b.centre);
    const radii = mixPair(a.radii, b.radii);
    return (t) => ({ kind: "radial", centre: centre(t), radii: radii(t), stops: stops(t) });
  }
  return null;
};

/** A missing shadow grows out of a clear copy of its partner. */
const mixShadows = (a: readonly Shadow[], b: readonly Shadow[]): Mix<readonly Shadow[]> | null => {
  if (a.some((s, i) => b[i] && Boolean(b[i].inner) !== Boolean(s.inner))) return null;
  const pairs = Array.from({ length: Math.max(a.length, b.length) }, (_, i) => {
    const from = a[i] ?? { ...present(b[i]), blur: 0, spread: 0, x: 0, y: 0, colour: "none" };
    const to = b[i] ?? { ...present(a[i]), blur: 0, spread: 0, x: 0, y: 0, colour: "none" };
    return { from, to, colour: mixColour(from.colour, to.colour) };
  });
  return (t) =>
    pairs
      .map(({ from, to, colour }) => ({
        ...(to.inner ? { inner: true } : {}),
        x: lerp(from.x, to.x, t),
        y: lerp(from.y, to.y, t),
        blur: Math.max(0, lerp(from.blur, to.blur, t)),
        spread: lerp(from.spread, to.spread, t),
        colour: colour(t),
      }))
      .filter((s) => s.colour !== "none");
};

/**
 * Paths with the same commands mix number by number; others are turned into one another as outlines
 * of cubics.
 */
const mixPath = (a: string, b: string): Mix<string> | null => {
  const p = readPath(a);
  const q = readPath(b);
  if (p.length !== q.length || p.some((s, i) => s.command !== q[i]?.command)) return morph(a, b);
  return (t) =>
    p
      .map(
        (s, i) => s.command + s.numbers.map((n, k) => lerp(n, q[i]?.numbers[k] ?? n, t)).join(" "),
      )
      .join("");
};

/** What each way of mixing does; null where the layer must dissolve. */
const mixers = {
  number: (from: number, to: number) => (t: number) => lerp(from, to, t),
  colour: mixColour,
  pair: mixPair,
  fill: mixFill,
  four: mixFour,
  corners: mixFour,
  shadows: mixShadows,
  path: mixPath,
  dissolve: () => null,
  step: (_from: Value, to: Value) => () => to,
  layout: (_from: Value, to: Value) => () => to,
} satisfies Record<Mixing, unknown>;

/**
 * How to get from one value to another; null when the two cannot be mixed and the layer must
 * dissolve. Ends are exact.
 */
export const mixOf = (mixing: Mixing, from: Value, to: Value): Mix | null => {
  // the registry gives each property the mixing of its own type of values
  const mixer = mixers[mixing] as (from: Value, to: Value) => Mix | null;
  const inner = mixer(from, to);
  return (
    inner &&
    ((t) => {
      if (t === 0) {
        return from;
      }
      return t === 1 ? to : inner(t);
    })
  );
};
