import type { Placed } from "../layout/types";
import { byOrder } from "../project/ids";
import { ROOT } from "../project/types";
import type { Motion } from "../project/types";
import type { Value, Values } from "../properties/types";
import { Held } from "./held";
import { isPosed, Pace } from "./pace";
import { paired } from "./pairing";
import { appearing, awayFrom, byId, equal, geometry, layerAt, mixableOf, mixLines, frozen, sameWords, visibleCorners } from "./placed";
import type { Leaving } from "./placed";
import { mixOf } from "./mix";
import type { Mix } from "./mix";
import type { Span } from "./span";
import { Blend, Glide, numbersIn, Posed } from "./track";
import type { Track } from "./track";
import type { Line } from "../layout/text";
import { placingKeys } from "../paint/placing";

interface Dissolving { readonly span: Span; readonly from: Placed; readonly follows: boolean; readonly way?: Motion["kind"]; readonly to?: Motion["to"] }

/** How a change goes on down the tree: whether it is at once, what of it dissolves, with which timings, and in which lane. */
interface How { readonly cut: boolean; readonly fading: string | null; readonly pace: Pace; readonly lane: ReturnType<Pace["ofLayer"]> }

const passing: readonly Motion["kind"][] = ["slide", "push", "rise"];

/**
 * Shows a placed tree and, when the tree changes, moves from what is on screen to what shall be.
 * Each property of each layer moves on its own, so several changes compose and each can be interrupted where it is; numbers
 * keep the velocity they have. The end of every movement is exactly the target. Time is given by the caller, in ms, and never
 * goes back.
 */
export class Mover {
  private target: Placed | null = null;
  private subject = "";
  private tracks = new Map<string, Map<string, Track>>();
  private leaving = new Map<string, Leaving[]>();
  private dissolves = new Map<string, Dissolving>();
  /** children that lie in another order than before */
  private restacks = new Map<string, { readonly span: Span; readonly order: readonly string[]; /** how far the motion is when they change places */ readonly at: number }>();
  private held = new Held();
  /** before this nothing has come to its end */
  private nextEnd = Infinity;

  /**
   * Sets a new target. `subject` names what is shown (another subject is another scene, which comes as the motion says);
   * `within` is the path of the instance whose traits changed ("" for the piece itself): a fade dissolves that part, lanes are
   * of its layers, and layers around it that are pushed aside move there in the same time.
   */
  retarget(next: Placed, motion: Motion, now: number, subject: string, within = ""): void { this.turn(next, new Pace(motion, now, within), now, subject); }

  /** A hand moves what is shown towards a target: `progress` (0–1) says how far. `what` names the drag; another one begins anew. */
  drag(next: Placed, motion: Motion, now: number, progress: number, what: string): void {
    if (motion.kind === "cut") return;
    const span = this.held.take(what, now);
    if (span) this.turn(next, new Pace({ ...motion, kind: "tween", duration: Infinity }, now, "", span), now, this.subject);
    this.held.move(progress, now);
  }

  /** What a hand moved goes on to its target by itself, from where it is and as fast as the hand was. */
  letGo(motion: Motion, now: number): void {
    const end = this.held.letGo(motion, now);
    if (end !== null) this.nextEnd = Math.min(this.nextEnd, end);
  }

  private turn(next: Placed, pace: Pace, now: number, subject: string): void {
    const { motion, within } = pace, shown = this.sample(now), other = this.subject !== subject;
    const cut = motion.kind === "cut" || (motion.duration + motion.delay <= 0 && !motion.lanes?.length && !pace.base.springs);
    let old = this.target;
    this.target = next;
    this.subject = subject;
    this.nextEnd = Math.min(this.nextEnd, pace.base.end);
    if (!old || !shown || (other && (cut || motion.kind !== "tween"))) {
      this.stop();
      if (shown && !cut) this.dissolves.set(next.layer.id, { span: pace.base, from: frozen(shown), follows: false, ...(passing.includes(motion.kind) ? { way: motion.kind, to: motion.to } : {}) });
      return;
    }
    let seen = shown;
    if (other) {
      // what both scenes have moves over; the rest comes and goes
      this.stop();
      seen = paired(shown, next);
      old = seen;
    }
    const fading = motion.kind === "fade" ? (within ? `${within}/${ROOT}` : ROOT) : null;
    this.walk(old, next, seen, "", { cut, fading, pace, lane: undefined }, now);
    if (!cut) this.stir(old, next, seen, pace, now);
  }

  /** Lanes of what does not change otherwise: they go through their poses and come back. */
  private stir(old: Placed, next: Placed, shown: Placed, pace: Pace, now: number): void {
    for (const [name, lane] of pace.lanes) {
      if (lane.key === null || !isPosed(lane)) continue;
      const path = name.slice(0, name.length - lane.key.length - 1), span = pace.span(lane);
      if (this.tracks.get(path)?.get(lane.key)?.span === span) continue;
      const [is, was, seen] = [next, old, shown].map((tree) => layerAt(tree, path)) as [Placed | null, Placed | null, Placed | null];
      if (!is || !seen) continue;
      const read = (p: Placed): unknown => ((geometry as readonly string[]).includes(lane.key as string) ? p[lane.key as "x"] : p.values[lane.key as string]);
      this.track(path, lane.key, { pace, lane: undefined, cut: false }, now, read(seen), read(is), read(was ?? is), null);
    }
  }

  /** Drops all movement: what is shown is the target. */
  stop(): void {
    this.held.drop();
    for (const map of [this.tracks, this.leaving, this.dissolves, this.restacks]) map.clear();
  }

  /** Replaces the target without any movement of its own, keeping what is in motion (an edit while running). */
  replace(next: Placed, subject: string): void {
    this.target = next;
    if (subject !== this.subject) this.stop();
    this.subject = subject;
  }

  private *spans(): Generator<{ readonly span: Span; readonly endless?: boolean }> {
    for (const layer of this.tracks.values()) yield* layer.values();
    for (const list of this.leaving.values()) yield* list;
    yield* this.dissolves.values();
    yield* this.restacks.values();
  }

  /** The time at which all present movement will have ended, but for what never does; 0 when nothing moves. */
  endsAt(): number {
    let end = 0;
    for (const { span, endless } of this.spans()) if (span.hand === null && !endless) end = Math.max(end, span.end);
    return end;
  }

  /** Whether what is shown changes by itself after a time. */
  movesAfter(now: number): boolean {
    for (const { span } of this.spans()) if (span.hand === null && span.end > now) return true;
    return false;
  }

  /** What is on screen at a time; null before the first target. The target itself (same identity) when nothing moves. */
  sample(now: number): Placed | null {
    if (!this.target) return null;
    this.prune(now);
    if (this.tracks.size + this.leaving.size + this.dissolves.size + this.restacks.size === 0) return this.target;
    return this.at(this.target, this.target.layer.id, now);
  }

  private prune(now: number): void {
    if (now < this.nextEnd) return;
    this.nextEnd = Infinity;
    const done = (span: Span): boolean => {
      if (now >= span.end) return true;
      this.nextEnd = Math.min(this.nextEnd, span.end);
      return false;
    };
    for (const [path, layer] of this.tracks) {
      for (const [key, t] of layer) if (done(t.span)) layer.delete(key);
      if (layer.size === 0) this.tracks.delete(path);
    }
    for (const [path, list] of this.leaving) {
      const rest = list.filter((l) => !done(l.span));
      if (rest.length) this.leaving.set(path, rest); else this.leaving.delete(path);
    }
    for (const map of [this.restacks, this.dissolves]) for (const [path, d] of map) if (done(d.span)) map.delete(path);
  }

  private at(p: Placed, path: string, now: number): Placed {
    const prefix = path.slice(0, path.length - p.layer.id.length);
    let children: readonly Placed[] = p.children;
    let moved: Placed[] | null = null;
    for (let i = 0; i < p.children.length; i++) {
      const c = p.children[i] as Placed;
      const next = this.at(c, prefix + c.layer.id, now);
      if (next !== c) (moved ??= p.children.slice())[i] = next;
    }
    if (moved) children = moved;
    const restack = this.restacks.size > 0 ? this.restacks.get(path) : undefined;
    if (restack && restack.span.progressAt(now) < restack.at) {
      const rank = (c: Placed) => { const i = restack.order.indexOf(c.layer.id); return i < 0 ? restack.order.length : i; };
      children = [...children].sort((a, b) => rank(a) - rank(b));
    }
    const gone = this.leaving.size > 0 ? this.leaving.get(path) : undefined;
    if (gone) children = [...children, ...gone.map((l) => awayFrom(l, now))].sort((a, b) => (a.values.stack as number) - (b.values.stack as number) || byOrder(a.layer, b.layer));
    const nested = p.nested && this.at(p.nested, `${path}/${p.nested.layer.id}`, now);
    const tracks = this.tracks.get(path);
    const dissolve = this.dissolves.size > 0 ? this.dissolves.get(path) : undefined;
    if (!tracks && !dissolve && children === p.children && nested === p.nested) return p;
    // written out, since this is what motion does most: a spread with a key more is several times slower
    const out = { layer: p.layer, values: p.values, x: p.x, y: p.y, width: p.width, height: p.height, lines: p.lines, children, nested, presence: p.presence, dissolve: p.dissolve, shapes: p.values as Values | null };
    if (tracks) {
      let values: Record<string, Value> | null = null;
      for (const [key, t] of tracks) {
        const value = t.at(now);
        if (key === "x" || key === "y" || key === "width" || key === "height" || key === "presence") out[key] = value as number;
        else if (key === "lines") out.lines = value as readonly Line[];
        else {
          (values ??= { ...p.values })[key] = value as Value;
          if (!placingKeys.has(key)) out.shapes = null;
        }
      }
      if (values) out.values = values;
    }
    if (dissolve) {
      const { from, follows, way, to } = dissolve;
      const slack = p.values.alignText === "centre" ? 0.5 : p.values.alignText === "end" ? 1 : 0;
      const base = follows ? { ...from, shapes: from.values, x: out.x + (out.width - from.width) * slack, y: out.y } : from;
      out.dissolve = { from: base, progress: dissolve.span.progressAt(now), ...(way ? { way: way as "slide", to: to ?? "left" } : {}) };
    }
    return out;
  }

  private walk(old: Placed, next: Placed, shown: Placed, parentPath: string, around: How, now: number): void {
    if (old === next && shown === next) return;
    const path = parentPath + next.layer.id;
    let how: How = { ...around, lane: around.pace.ofLayer(path) ?? around.lane };
    if (path === how.fading && !how.cut) {
      this.dissolves.set(path, { span: how.pace.base, from: frozen(shown), follows: false });
      how = { ...how, cut: true, fading: null };
    }
    if (old.values.component !== next.values.component) {
      this.forget(path);
      if (!how.cut) this.dissolves.set(path, { span: how.pace.span(how.lane), from: frozen(shown), follows: true });
      this.geometry(old, next, shown, path, how, now);
      return;
    }
    if (old !== next) {
      this.geometry(old, next, shown, path, how, now);
      this.values(old, next, shown, path, how, now);
      this.children(old, next, shown, path, parentPath, how, now);
    }
    if (old.nested && next.nested && shown.nested && old.nested !== next.nested) this.walk(old.nested, next.nested, shown.nested, `${path}/`, how, now);
  }

  /** One property sets out from what is shown, in the time of its lane; numbers take along the velocity they have. */
  private track(path: string, key: string, how: Omit<How, "fading">, now: number, from: unknown, to: unknown, rest: unknown, mix: Mix<unknown> | null): void {
    let layer = this.tracks.get(path);
    if (how.cut) {
      layer?.delete(key);
      return;
    }
    const { pace } = how, lane = pace.ofKey(path, key) ?? how.lane, span = pace.span(lane), a = numbersIn(from), b = numbersIn(to);
    const velocity = layer?.get(key)?.velocityAt(now) ?? [];
    if (!layer) this.tracks.set(path, layer = new Map());
    this.nextEnd = Math.min(this.nextEnd, span.end);
    if (lane && lane.key === key && isPosed(lane)) layer.set(key, new Posed(span, lane, key, from, rest, to, velocity[0] ?? 0));
    else if (a && b && a.length === b.length) layer.set(key, new Glide(span, key, a, b, to, velocity.length === a.length && velocity.some((v) => v !== 0) ? velocity : []));
    else if (mix) layer.set(key, new Blend(span, mix));
  }

  private geometry(old: Placed, next: Placed, shown: Placed, path: string, how: How, now: number): void {
    for (const key of geometry) if (old[key] !== next[key]) this.track(path, key, how, now, shown[key], next[key], old[key], null);
  }

  private values(old: Placed, next: Placed, shown: Placed, path: string, how: How, now: number): void {
    let dissolves = !sameWords(old.lines, next.lines);
    for (const { key, mixing } of old.values === next.values ? [] : mixableOf(next)) {
      const to = next.values[key] as Value;
      if (equal(old.values[key], to)) continue;
      const [a, b] = mixing === "corners" ? [visibleCorners(shown), visibleCorners(next)] : [shown.values[key] as Value, to];
      const mix = mixOf(mixing, a, b);
      if (!mix) dissolves = true;
      else if (mixing === "corners") this.track(path, key, how, now, null, null, null, mix);
      else this.track(path, key, how, now, a, to, old.values[key], mix);
    }
    if (dissolves) {
      this.tracks.get(path)?.delete("lines");
      if (how.cut) this.dissolves.delete(path);
      else this.dissolves.set(path, { span: how.pace.span(how.lane), from: { ...frozen(shown), children: [], nested: null }, follows: true });
    } else if (old.lines !== next.lines && !equal(old.lines, next.lines)) {
      this.track(path, "lines", how, now, null, null, null, mixLines(shown.lines, next.lines));
    }
  }

  private children(old: Placed, next: Placed, shown: Placed, path: string, prefix: string, how: How, now: number): void {
    if (old.children === next.children) return;
    const before = byId(old.children), after = byId(next.children), seen = byId(shown.children), { pace } = how;
    const common = (list: readonly Placed[]) => list.flatMap((c) => (before.has(c.layer.id) && after.has(c.layer.id) ? [c.layer.id] : []));
    const at = { start: 0, middle: 0.5, end: 1 }[pace.motion.restacks ?? "middle"];
    if (common(old.children).join() === common(next.children).join() || how.cut || at === 0) this.restacks.delete(path);
    else this.restacks.set(path, { span: pace.span(how.lane), order: shown.children.map((c) => c.layer.id), at });
    for (const child of next.children) {
      const was = before.get(child.layer.id), ghost = seen.get(child.layer.id);
      if (was) this.walk(was, child, ghost ?? was, prefix, how, now);
      else this.appear(child, ghost, path, prefix, how, now);
    }
    for (const child of old.children) {
      if (after.has(child.layer.id)) continue;
      const gone = prefix + child.layer.id;
      this.forget(gone);
      if (how.cut) continue;
      const placed = frozen(seen.get(child.layer.id) ?? child), list = (this.leaving.get(path) ?? []).filter((l) => l.placed.layer.id !== child.layer.id);
      this.leaving.set(path, [...list, { placed, span: pace.span(pace.ofKey(gone, "presence") ?? pace.ofLayer(gone) ?? how.lane), by: appearing(pace.motion, placed) }]);
    }
  }

  /** A layer that comes back while it is still on its way out goes on from where it is. */
  private appear(child: Placed, ghost: Placed | undefined, parent: string, prefix: string, around: How, now: number): void {
    const path = prefix + child.layer.id, how: How = { ...around, lane: around.pace.ofLayer(path) ?? around.lane };
    const list = this.leaving.get(parent)?.filter((l) => l.placed.layer.id !== child.layer.id);
    if (list) this.leaving.set(parent, list);
    if (how.cut) return;
    if (ghost) this.geometry(ghost, child, ghost, path, how, now);
    if (ghost) this.values(ghost, child, ghost, path, how, now);
    const by = appearing(how.pace.motion, child);
    if (by && !ghost) {
      if (by[0]) this.track(path, "x", how, now, child.x + by[0], child.x, child.x, null);
      if (by[1]) this.track(path, "y", how, now, child.y + by[1], child.y, child.y, null);
      return;
    }
    this.track(path, "presence", how, now, ghost?.presence ?? 0, 1, 0, null);
  }

  private forget(path: string): void {
    for (const map of [this.tracks, this.leaving, this.dissolves, this.restacks]) {
      for (const key of map.keys()) if (key === path || key.startsWith(`${path}/`)) map.delete(key);
    }
  }
}
