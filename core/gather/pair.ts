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

/** One drawing being paired with the tracks known so far. */
class Pairing {
  private readonly children: Map<Id | null, DrawnLayer[]>;
  private readonly trackOf = new Map<Id, Growing>();

  constructor(
    private readonly tracks: Growing[],
    private readonly drawing: Drawing,
    /** the number of the drawing, and how many there are */
    private readonly index: number,
    private readonly count: number,
    private readonly root: DrawnLayer,
    private readonly fixed: Fixed,
  ) {
    this.children = childTable(drawing);
  }

  /** Begins a track for each layer, in the order of the tree. */
  begin(): void {
    const visit = (layer: DrawnLayer, parent: Id | null) => {
      const track = this.start(layer, parent, null);
      for (const c of this.childrenOf(layer)) visit(c, track.id);
    };
    visit(this.root, null);
  }

  pair(): void {
    this.putFixed();
    this.put(this.root, present(this.tracks[0]), 1);
    this.pairInside(this.root);
    this.assignAll(
      this.tracks.filter((t) => this.isOpen(t)),
      this.drawing.layers.filter((l) => this.isFree(l)),
      ALIKE_ELSEWHERE,
    );
    this.addRest();
  }

  private childrenOf(layer: DrawnLayer): readonly DrawnLayer[] {
    return this.children.get(layer.id) ?? [];
  }

  private placed(layer: DrawnLayer): Candidate {
    const all = this.children.get(layer.parent) ?? [layer];
    const rank = all.indexOf(layer) / Math.max(1, all.length - 1);
    return { layer, rank, frame: this.root };
  }

  private start(layer: DrawnLayer, parent: Id | null, after: Id | null): Growing {
    const drawings = Array.from({ length: this.count }, (_, i) => i === this.index);
    const track: Growing = {
      id: `t-${layer.id}`,
      name: layer.name,
      parts: drawings.map((isThis) => (isThis ? layer.id : null)),
      sure: drawings.map((isThis) => (isThis ? 1 : 0)),
      sample: layer,
      rank: this.placed(layer).rank,
      frame: this.root,
      parent,
    };
    const at = after === null ? -1 : this.tracks.findIndex((t) => t.id === after);
    if (at < 0) this.tracks.push(track);
    else this.tracks.splice(at + 1, 0, track);
    this.trackOf.set(layer.id, track);
    return track;
  }

  private put(layer: DrawnLayer, track: Growing, sure: number): void {
    track.parts[this.index] = layer.id;
    track.sure[this.index] = sure;
    this.trackOf.set(layer.id, track);
  }

  private putFixed(): void {
    for (const layer of this.drawing.layers) {
      const wanted = this.fixed[layer.id];
      const track =
        typeof wanted === "string" ? this.tracks.find((t) => t.id === wanted) : undefined;
      if (track?.parts[this.index] === null) this.put(layer, track, 1);
    }
  }

  /** Whether a layer may still be paired. */
  private isFree(layer: DrawnLayer): boolean {
    return !this.trackOf.has(layer.id) && this.fixed[layer.id] === undefined;
  }

  /** Whether a track may still be given a layer of this drawing. */
  private isOpen(track: Growing): boolean {
    if (track.parts[this.index] !== null) return false;
    return !this.drawing.layers.some((l) => this.fixed[l.id] === track.id);
  }

  private assignAll(
    tracks: readonly Growing[],
    layers: readonly DrawnLayer[],
    least: number,
  ): void {
    const known = tracks.map((t): Candidate => ({
      layer: t.sample,
      rank: t.rank,
      frame: t.frame,
    }));
    const mine = layers.map((l) => this.placed(l));
    for (const p of assign(known, mine, least))
      this.put(present(layers[p.right]), present(tracks[p.left]), p.sure);
  }

  /** Pairs what lies in a paired container, then what lies in that. */
  private pairInside(layer: DrawnLayer): void {
    const track = this.trackOf.get(layer.id);
    const children = this.childrenOf(layer);
    const known = track ? this.tracks.filter((t) => t.parent === track.id && this.isOpen(t)) : [];
    this.assignAll(
      known,
      children.filter((c) => this.isFree(c)),
      ALIKE,
    );
    for (const child of children) if (this.trackOf.has(child.id)) this.pairInside(child);
  }

  /**
   * What is like nothing before is a layer of its own, in front of the sibling it stands on.
   */
  private addRest(): void {
    let before: Id | null = null;
    for (const layer of this.drawing.layers) {
      const own: Growing = this.trackOf.get(layer.id) ?? this.addOwn(layer, before);
      before = own.id;
    }
  }

  private addOwn(layer: DrawnLayer, before: Id | null): Growing {
    const around = layer.parent === null ? undefined : this.trackOf.get(layer.parent);
    const parent = layer.parent === null ? null : (around ?? present(this.tracks[0])).id;
    return this.start(layer, parent, before);
  }
}

/**
 * Pairs the layers of separately drawn variants: siblings of paired containers by an optimal
 * assignment, then those left over wherever they lie. Each further drawing is paired with what is
 * known from those before it. Corrections by hand come first. Tracks are in drawing order, those of
 * later drawings after the sibling they follow.
 */
export const pairDrawings = (drawings: readonly Drawing[], fixed: Fixed = {}): Track[] => {
  const tracks: Growing[] = [];
  drawings.forEach((drawing, i) => {
    const [root] = drawing.layers;
    if (!root) return;
    const pairing = new Pairing(tracks, drawing, i, drawings.length, root, fixed);
    if (i === 0) pairing.begin();
    else pairing.pair();
  });
  return tracks.map(({ id, name, parts, sure }) => ({ id, name, parts, sure }));
};
