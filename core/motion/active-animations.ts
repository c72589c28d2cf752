import { present } from "../basics";
import type { LayoutBox, Line } from "../layout";
import { placingKeys } from "../paint";
import { byOrder } from "../project";
import type { Motion } from "../project";
import type { Value, LayerValues } from "../properties";
import { alongside, awayFrom } from "./boxes";
import type { Leaving } from "./boxes";
import type { Span } from "./span";
import type { Track } from "./track";

/** A box while its parts in motion are being put in. */
type Written = { -readonly [K in keyof LayoutBox]: LayoutBox[K] };

/** What a layer or a whole scene looked like before, while it gives way to what it is now. */
export interface Dissolving {
  readonly span: Span;
  readonly from: LayoutBox;
  readonly follows: boolean;
  readonly own?: boolean;
  readonly way?: "slide" | "push" | "rise";
  readonly to?: Motion["to"];
}

/**
 * All that is under way in a scene: by the paths of layers what moves, leaves, dissolves, and
 * changes places in depth.
 */
export class ActiveAnimations {
  readonly tracks = new Map<string, Map<string, Track>>();
  readonly leaving = new Map<string, Leaving[]>();
  readonly dissolves = new Map<string, Dissolving>();
  /** children that lie in another order than before */
  readonly restacks = new Map<
    string,
    {
      readonly span: Span;
      readonly order: readonly string[];
      /** how far the motion is when they change places */ readonly at: number;
    }
  >();
  /** before this nothing has come to its end */
  #nextEnd = Infinity;

  /** Tells when something that was added will end, ms. */
  until(end: number): void {
    this.#nextEnd = Math.min(this.#nextEnd, end);
  }

  clear(): void {
    for (const map of [this.tracks, this.leaving, this.dissolves, this.restacks]) map.clear();
  }

  /** Drops what a layer does, and what does whatever is inside it. */
  forget(path: string): void {
    for (const map of [this.tracks, this.leaving, this.dissolves, this.restacks]) {
      for (const key of map.keys()) if (key === path || key.startsWith(`${path}/`)) map.delete(key);
    }
  }

  *#spans(): Generator<{ readonly span: Span; readonly endless?: boolean }> {
    for (const layer of this.tracks.values()) yield* layer.values();
    for (const list of this.leaving.values()) yield* list;
    yield* this.dissolves.values();
    yield* this.restacks.values();
  }

  /**
   * The time at which all present movement will have ended, but for what never does; 0 when nothing
   * moves.
   */
  endsAt(): number {
    let end = 0;
    for (const { span, endless } of this.#spans())
      if (span.hand === null && !endless) end = Math.max(end, span.end);
    return end;
  }

  /** Whether what is shown changes by itself after a time. */
  movesAfter(now: number): boolean {
    for (const { span } of this.#spans()) if (span.hand === null && span.end > now) return true;
    return false;
  }

  /**
   * A scene at a time, as it is while this goes on; the scene itself (same identity) when nothing
   * does.
   */
  sample(scene: LayoutBox, now: number): LayoutBox {
    this.#prune(now);
    return this.tracks.size + this.leaving.size + this.dissolves.size + this.restacks.size === 0
      ? scene
      : this.#at(scene, scene.layer.id, now);
  }

  #prune(now: number): void {
    if (now < this.#nextEnd) return;
    this.#nextEnd = Infinity;
    const done = (span: Span): boolean => {
      if (now >= span.end) return true;
      this.#nextEnd = Math.min(this.#nextEnd, span.end);
      return false;
    };
    for (const [path, layer] of this.tracks) {
      for (const [key, t] of layer) if (done(t.span)) layer.delete(key);
      if (layer.size === 0) this.tracks.delete(path);
    }
    for (const [path, list] of this.leaving) {
      const rest = list.filter((l) => !done(l.span));
      if (rest.length) this.leaving.set(path, rest);
      else this.leaving.delete(path);
    }
    for (const map of [this.restacks, this.dissolves])
      for (const [path, d] of map) if (done(d.span)) map.delete(path);
  }

  #at(p: LayoutBox, path: string, now: number): LayoutBox {
    const children = this.#childrenAt(p, path, now);
    const nested = p.nested && this.#at(p.nested, `${path}/${p.nested.layer.id}`, now);
    const tracks = this.tracks.get(path);
    const dissolve = this.dissolves.size > 0 ? this.dissolves.get(path) : undefined;
    if (!tracks && !dissolve && children === p.children && nested === p.nested) return p;
    // written out, since this is what motion does most: a spread with a key more is several times
    // slower
    const out: Written = {
      layer: p.layer,
      values: p.values,
      x: p.x,
      y: p.y,
      width: p.width,
      height: p.height,
      lines: p.lines,
      children,
      nested,
      presence: p.presence,
      dissolve: p.dissolve,
      shapes: p.values,
    };
    if (tracks) putIn(out, tracks, now);
    if (dissolve) out.dissolve = dissolving(dissolve, out, now);
    return out;
  }

  /** What is inside a layer: those in motion, in the order they have meanwhile, and those that go. */
  #childrenAt(p: LayoutBox, path: string, now: number): readonly LayoutBox[] {
    const prefix = path.slice(0, path.length - p.layer.id.length);
    let children: readonly LayoutBox[] = p.children;
    let moved: LayoutBox[] | null = null;
    for (let i = 0; i < p.children.length; i++) {
      const c = present(p.children[i]);
      const next = this.#at(c, prefix + c.layer.id, now);
      if (next !== c) (moved ??= p.children.slice())[i] = next;
    }
    if (moved) children = moved;
    const restack = this.restacks.size > 0 ? this.restacks.get(path) : undefined;
    if (restack && restack.span.progressAt(now) < restack.at) {
      const rank = (c: LayoutBox) => {
        const i = restack.order.indexOf(c.layer.id);
        return i < 0 ? restack.order.length : i;
      };
      children = [...children].sort((a, b) => rank(a) - rank(b));
    }
    const gone = this.leaving.size > 0 ? this.leaving.get(path) : undefined;
    if (!gone) return children;
    return [...children, ...gone.map((l) => awayFrom(l, now))].sort(
      (a, b) => a.values.stack - b.values.stack || byOrder(a.layer, b.layer),
    );
  }
}

/** Puts what tracks give at a moment into a box. */
const putIn = (out: Written, tracks: ReadonlyMap<string, Track>, now: number): void => {
  let values: Record<string, Value> | null = null;
  // a track gives values of what its key names: the box's own numbers, its lines, or a property
  for (const [key, t] of tracks) {
    const value = t.at(now);
    if (key === "x" || key === "y" || key === "width" || key === "height" || key === "presence")
      out[key] = value as number;
    else if (key === "lines") out.lines = value as readonly Line[];
    else {
      (values ??= { ...out.values })[key] = value as Value;
      if (!placingKeys.has(key)) out.shapes = null;
    }
  }
  // with values of the same properties it is of the same type
  if (values) out.values = values as LayerValues;
};

const dissolving = (d: Dissolving, out: LayoutBox, now: number): LayoutBox["dissolve"] => ({
  from: d.follows ? alongside(d.from, out) : d.from,
  progress: d.span.progressAt(now),
  ...(d.own ? { own: d.own } : {}),
  ...(d.way ? { way: d.way, to: d.to ?? "left" } : {}),
});
