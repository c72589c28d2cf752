import { present } from "../basics";
import { differenceEuclidean } from "culori/fn";
import { munkres } from "munkres";
import type { Id } from "../basics";
import { parseColour } from "../colour";
import type { SpecifiedValue } from "../properties";
import type { Drawing, DrawnLayer, Track } from "./types";

/** Layers less alike than this are not taken for the same one. */
const ALIKE = 0.42;
/** Layers that lie in different containers must be more alike. */
const ALIKE_ELSEWHERE = 0.66;

const plain = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[\s_-]*\d+$/, "")
    .replace(/[^\p{L}\p{N}]+/gu, " ")
    .trim();

const shapes = new Set(["box", "ellipse", "path", "polygon", "compound", "picture", "line"]);
const colourGap = differenceEuclidean("oklab");

const sameText = (a: SpecifiedValue | undefined, b: SpecifiedValue | undefined): number => {
  if (a === undefined && b === undefined) {
    return 1;
  }
  return JSON.stringify(a) === JSON.stringify(b) ? 1 : 0;
};

const inkAlike = (a: SpecifiedValue | undefined, b: SpecifiedValue | undefined): number => {
  if (
    typeof a === "string" &&
    typeof b === "string" &&
    a !== "none" &&
    b !== "none" &&
    parseColour(a) &&
    parseColour(b)
  )
    return Math.max(0, 1 - colourGap(a, b) * 2);
  return sameText(a, b);
};

const ratio = (a: number, b: number): number =>
  a === b ? 1 : Math.min(a, b) / (Math.max(a, b) || 1);

/** How alike two names are by the pairs of letters they share (Dice 1945). */
const namesAlike = (a: string, b: string): number => {
  if (a === b) return 1;
  const pairs = (s: string) =>
    Array.from({ length: Math.max(0, s.length - 1) }, (_, i) => s.slice(i, i + 2));
  const p = pairs(a);
  const q = pairs(b);
  if (p.length === 0 || q.length === 0) return 0;
  const left = [...q];
  let both = 0;
  for (const x of p) {
    const i = left.indexOf(x);
    if (i >= 0) {
      both++;
      left.splice(i, 1);
    }
  }
  return (2 * both) / (p.length + q.length);
};

interface Candidate {
  readonly layer: DrawnLayer;
  /** place among its siblings, 0–1 */ readonly rank: number;
  readonly frame: DrawnLayer;
}

/** How alike two layers are, 0–1: by identity, name, kind, place, size, look and order. */
export const likeness = (a: Candidate, b: Candidate): number => {
  const x = a.layer;
  const y = b.layer;
  if (x.id === y.id) return 1;
  const name = namesAlike(plain(x.name), plain(y.name));
  if (x.kind !== y.kind && !(shapes.has(x.kind) && shapes.has(y.kind))) return 0;
  if (x.kind === "instance" && x.values.component !== y.values.component)
    return name === 1 ? 0.5 : 0.2;
  const kind = x.kind === y.kind ? 1 : 0.35;
  const centre = (p: Candidate) =>
    [
      (p.layer.x + p.layer.width / 2 - p.frame.x) / (p.frame.width || 1),
      (p.layer.y + p.layer.height / 2 - p.frame.y) / (p.frame.height || 1),
    ] as const;
  const [ax, ay] = centre(a);
  const [bx, by] = centre(b);
  const place = Math.max(0, 1 - Math.hypot(ax - bx, ay - by) * 1.6);
  const size = (ratio(x.width, y.width) + ratio(x.height, y.height)) / 2;
  const look =
    x.kind === "text"
      ? (sameText(x.values.text, y.values.text) + inkAlike(x.values.fill, y.values.fill)) / 2
      : (inkAlike(x.values.fill, y.values.fill) +
          sameText(
            x.values.shape ?? x.values.icon ?? x.values.picture,
            y.values.shape ?? y.values.icon ?? y.values.picture,
          )) /
        2;
  const order = 1 - Math.abs(a.rank - b.rank);
  // a name that people gave is the strongest sign; one that says no more than its kind is not
  const telling = plain(x.name) !== x.kind && plain(y.name) !== y.kind ? 1 : 0.4;
  return (
    (0.34 * name * telling +
      0.16 * kind +
      0.18 * place +
      0.12 * size +
      0.12 * look +
      0.08 * order) /
    (1 - 0.34 * (1 - telling))
  );
};

/** The best assignment of some to others (Kuhn 1955), those too unlike left out. */
const assign = (
  left: readonly Candidate[],
  right: readonly Candidate[],
  least: number,
): { left: number; right: number; sure: number }[] => {
  if (left.length === 0 || right.length === 0) return [];
  const costs = left.map((a) => right.map((b) => 1 - likeness(a, b)));
  return munkres(costs)
    .map(([i, j]) => ({ left: i, right: j, sure: 1 - present(present(costs[i])[j]) }))
    .filter((p) => p.sure >= least);
};

const childTable = (d: Drawing): Map<Id | null, DrawnLayer[]> => {
  const out = new Map<Id | null, DrawnLayer[]>();
  for (const l of d.layers) out.set(l.parent, [...(out.get(l.parent) ?? []), l]);
  return out;
};

/**
 * Corrections by hand: for a drawing's layer, the track it belongs to, or null for one of its own.
 */
export type Fixed = Readonly<Record<Id, Id | null>>;

interface Growing {
  id: Id;
  name: string;
  parts: (Id | null)[];
  sure: number[];
  sample: DrawnLayer;
  rank: number;
  frame: DrawnLayer;
  parent: Id | null;
}

/**
 * Pairs the layers of separately drawn variants: siblings of paired containers by an optimal
 * assignment, then those left
 * over wherever they lie. Each further drawing is paired with what is known from those before it.
 * Corrections by hand
 * come first. Tracks are in drawing order, those of later drawings after the sibling they follow.
 */
export const pairDrawings = (drawings: readonly Drawing[], fixed: Fixed = {}): Track[] => {
  const tracks: Growing[] = [];
  const start = (
    layer: DrawnLayer,
    drawing: number,
    rank: number,
    frame: DrawnLayer,
    parent: Id | null,
    after: Id | null,
  ): Growing => {
    const track: Growing = {
      id: `t-${layer.id}`,
      name: layer.name,
      parts: drawings.map((_, i) => (i === drawing ? layer.id : null)),
      sure: drawings.map((_, i) => (i === drawing ? 1 : 0)),
      sample: layer,
      rank,
      frame,
      parent,
    };
    const at = after === null ? -1 : tracks.findIndex((t) => t.id === after);
    if (at < 0) tracks.push(track);
    else tracks.splice(at + 1, 0, track);
    return track;
  };
  drawings.forEach((drawing, d) => {
    const children = childTable(drawing);
    const root = drawing.layers[0];
    if (!root) return;
    const placed = (layer: DrawnLayer): Candidate => {
      const all = children.get(layer.parent) ?? [layer];
      return { layer, rank: all.indexOf(layer) / Math.max(1, all.length - 1), frame: root };
    };
    const trackOf = new Map<Id, Growing>();
    const put = (layer: DrawnLayer, track: Growing, sure: number) => {
      track.parts[d] = layer.id;
      track.sure[d] = sure;
      trackOf.set(layer.id, track);
    };
    if (d === 0) {
      const visit = (layer: DrawnLayer, parent: Id | null) => {
        const p = placed(layer);
        const track = start(layer, 0, p.rank, root, parent, null);
        trackOf.set(layer.id, track);
        for (const c of children.get(layer.id) ?? []) visit(c, track.id);
      };
      visit(root, null);
      return;
    }
    for (const layer of drawing.layers) {
      const wanted = fixed[layer.id];
      const track = typeof wanted === "string" ? tracks.find((t) => t.id === wanted) : undefined;
      if (track && track.parts[d] === null) put(layer, track, 1);
    }
    const free = (layer: DrawnLayer) => !trackOf.has(layer.id) && fixed[layer.id] === undefined;
    const open = (t: Growing) =>
      t.parts[d] === null &&
      !Object.entries(fixed).some(
        ([id, track]) => track === t.id && drawing.layers.some((l) => l.id === id),
      );
    const asPlaced = (t: Growing): Candidate => ({ layer: t.sample, rank: t.rank, frame: t.frame });
    const match = (layer: DrawnLayer) => {
      const track = trackOf.get(layer.id);
      const list = (children.get(layer.id) ?? []).filter(free);
      const known = track ? tracks.filter((t) => t.parent === track.id && open(t)) : [];
      for (const p of assign(known.map(asPlaced), list.map(placed), ALIKE))
        put(present(list[p.right]), present(known[p.left]), p.sure);
      for (const c of children.get(layer.id) ?? []) if (trackOf.has(c.id)) match(c);
    };
    put(root, present(tracks[0]), 1);
    match(root);
    const left = drawing.layers.filter(free);
    const known = tracks.filter(open);
    for (const p of assign(known.map(asPlaced), left.map(placed), ALIKE_ELSEWHERE))
      put(present(left[p.right]), present(known[p.left]), p.sure);
    // what is like nothing before is a layer of its own, in front of the sibling it stands on
    let before: Id | null = null;
    for (const layer of drawing.layers) {
      const own = trackOf.get(layer.id);
      if (own) {
        before = own.id;
        continue;
      }
      const p = placed(layer);
      const parent =
        layer.parent === null ? null : (trackOf.get(layer.parent)?.id ?? present(tracks[0]).id);
      const track = start(layer, d, p.rank, root, parent, before);
      trackOf.set(layer.id, track);
      before = track.id;
    }
  });
  return tracks.map(({ id, name, parts, sure }) => ({ id, name, parts, sure }));
};
