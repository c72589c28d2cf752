import type { Line } from "../layout/text";
import type { Placed } from "../layout/types";
import { byOrder } from "../project/ids";
import { ROOT } from "../project/types";
import type { Motion } from "../project/types";
import { propertiesOf } from "../properties/registry";
import type { Four, Mixing, Value } from "../properties/types";
import { curveOf } from "./easing";
import type { Curve } from "./easing";
import { mixOf } from "./mix";
import type { Mix } from "./mix";

/** When a change runs: it waits until `begin`, then takes until `end`; ms on the machine's clock. All tracks of one change share it. */
class Span {
  private at = NaN;
  private progress = 0;
  private from = 0;
  constructor(public begin: number, public end: number, private curve: Curve, /** how far it is while a hand moves it */ public hand: number | null = null) {}

  /** Goes on by itself from where a hand let it go. */
  letGo(begin: number, end: number, curve: Curve): void {
    Object.assign(this, { begin, end, curve, from: this.hand ?? 0, hand: null, at: NaN });
  }

  /** How far the change is at a time; kept, since many tracks ask for the same moment. */
  progressAt(now: number): number {
    if (this.hand !== null) return this.hand;
    if (now === this.at) return this.progress;
    this.at = now;
    const through = now >= this.end ? 1 : now <= this.begin ? 0 : this.curve((now - this.begin) / (this.end - this.begin));
    return (this.progress = this.from + (1 - this.from) * through);
  }
}
interface Track { readonly span: Span; readonly mix: Mix<unknown> }
interface Leaving { readonly placed: Placed; readonly track: Track }
interface Dissolving { readonly span: Span; readonly from: Placed; readonly follows: boolean }

const geometry = ["x", "y", "width", "height"] as const;
const mixable = new Map<string, readonly { key: string; mixing: Mixing }[]>();
const mixableOf = (p: Placed) => {
  let list = mixable.get(p.layer.kind);
  if (!list) mixable.set(p.layer.kind, list = propertiesOf(p.layer.kind).filter((e) => e.mixing !== "layout" && e.mixing !== "step"));
  return list;
};

const equal = (a: unknown, b: unknown): boolean =>
  a === b || (typeof a === "object" && typeof b === "object" && JSON.stringify(a) === JSON.stringify(b));

const sameWords = (a: readonly Line[], b: readonly Line[]): boolean => a.length === b.length && a.every((l, i) => l.text === b[i]?.text);

const mixLines = (a: readonly Line[], b: readonly Line[]): Mix<readonly Line[]> => (t) =>
  t === 1 ? b : b.map((to, i) => {
    const from = a[i] ?? to;
    const part = (x: number, y: number) => x + (y - x) * t;
    return { text: to.text, x: part(from.x, to.x), baseline: part(from.baseline, to.baseline), width: part(from.width, to.width) };
  });

/** Corners as far as the box can show them: one that is round at any size does not begin at a radius nobody sees. */
const visibleCorners = (p: Placed): Value => {
  const limit = Math.min(p.width, p.height) / 2;
  return (p.values.radius as Four).map((c) => Math.min(c, limit)) as unknown as Four;
};

const number = (from: number, to: number): Mix<number> => (t) => (t === 0 ? from : t === 1 ? to : from + (to - from) * t);

/** Rapidly interrupted dissolves stack up; older ones than this are dropped, being nearly invisible by then. */
const DEEPEST = 4;
const shallow = (p: Placed, depth = DEEPEST): Placed => {
  if (!p.dissolve) return p;
  return depth === 0 ? { ...p, dissolve: null } : { ...p, dissolve: { ...p.dissolve, from: shallow(p.dissolve.from, depth - 1) } };
};

const byId = (list: readonly Placed[]): ReadonlyMap<string, Placed> => new Map(list.map((p) => [p.layer.id, p]));

/**
 * Shows a placed tree and, when the tree changes, moves from what is on screen to what shall be.
 * Each property of each layer moves on its own, so several changes compose and each can be interrupted where it is.
 * The end of every movement is exactly the target. Time is given by the caller, in ms, and never goes back.
 */
export class Mover {
  private target: Placed | null = null;
  private subject = "";
  private tracks = new Map<string, Map<string, Track>>();
  private leaving = new Map<string, Leaving[]>();
  private dissolves = new Map<string, Dissolving>();
  /** children that lie in another order than before: they change places half-way */
  private restacks = new Map<string, { readonly span: Span; readonly order: readonly string[] }>();
  /** what a hand is moving */
  private held: { readonly what: string; readonly span: Span } | null = null;
  /** before this nothing has come to its end */
  private nextEnd = Infinity;

  /**
   * Sets a new target. `subject` names what is shown (another subject is another scene: it dissolves or cuts);
   * `within` is the path of the instance whose traits changed ("" for the piece itself): a fade dissolves that part,
   * while layers around it that are pushed aside move there in the same time.
   */
  retarget(next: Placed, motion: Motion, now: number, subject: string, within = ""): void {
    this.turn(next, motion, new Span(now + motion.delay, now + motion.delay + motion.duration, curveOf(motion.easing)), now, subject, within);
  }

  /** A hand moves what is shown towards a target: `progress` (0–1) says how far. `what` names the drag; another one begins anew. */
  drag(next: Placed, motion: Motion, now: number, progress: number, what: string): void {
    if (motion.kind === "cut") return;
    if (this.held?.what !== what) {
      this.held = { what, span: new Span(now, Infinity, curveOf("linear"), 0) };
      this.turn(next, { ...motion, kind: "tween", duration: Infinity }, this.held.span, now, this.subject);
    }
    this.held.span.hand = progress;
  }

  /** What a hand moved goes on to its target by itself, from where it is. */
  letGo(motion: Motion, now: number): void {
    this.held?.span.letGo(now, now + motion.duration, curveOf(motion.easing));
    this.nextEnd = Math.min(this.nextEnd, now + motion.duration);
    this.held = null;
  }

  private turn(next: Placed, motion: Motion, span: Span, now: number, subject: string, within = ""): void {
    const shown = this.sample(now);
    const old = this.target;
    const cut = motion.kind === "cut" || motion.duration + motion.delay <= 0;
    this.nextEnd = Math.min(this.nextEnd, span.end);
    const other = this.subject !== subject;
    this.target = next;
    this.subject = subject;
    if (!old || !shown || other) {
      this.stop();
      if (shown && !cut) this.dissolves.set(next.layer.id, { span, from: shallow(shown), follows: false });
      return;
    }
    const fading = motion.kind === "fade" ? (within ? `${within}/${ROOT}` : ROOT) : null;
    this.walk(old, next, shown, "", { cut, fading, span });
  }

  /** Drops all movement: what is shown is the target. */
  stop(): void {
    this.held = null;
    this.tracks.clear();
    this.leaving.clear();
    this.dissolves.clear();
    this.restacks.clear();
  }

  /** Replaces the target without any movement of its own, keeping what is in motion (an edit while running). */
  replace(next: Placed, subject: string): void {
    this.target = next;
    if (subject !== this.subject) this.stop();
    this.subject = subject;
  }

  /** The time at which all present movement will have ended; 0 when nothing moves. */
  endsAt(): number {
    let end = 0;
    const note = (span: Span) => { if (span.hand === null) end = Math.max(end, span.end); };
    for (const layer of this.tracks.values()) for (const t of layer.values()) note(t.span);
    for (const list of this.leaving.values()) for (const l of list) note(l.track.span);
    for (const d of this.dissolves.values()) note(d.span);
    for (const d of this.restacks.values()) note(d.span);
    return end;
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
    for (const [path, layer] of this.tracks) {
      for (const [key, t] of layer) if (now >= t.span.end) layer.delete(key); else this.nextEnd = Math.min(this.nextEnd, t.span.end);
      if (layer.size === 0) this.tracks.delete(path);
    }
    for (const [path, list] of this.leaving) {
      const rest = list.filter((l) => now < l.track.span.end);
      for (const l of rest) this.nextEnd = Math.min(this.nextEnd, l.track.span.end);
      if (rest.length) this.leaving.set(path, rest); else this.leaving.delete(path);
    }
    for (const [path, d] of this.restacks) if (now >= d.span.end) this.restacks.delete(path); else this.nextEnd = Math.min(this.nextEnd, d.span.end);
    for (const [path, d] of this.dissolves) if (now >= d.span.end) this.dissolves.delete(path); else this.nextEnd = Math.min(this.nextEnd, d.span.end);
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
    const restack = this.restacks.get(path);
    if (restack && restack.span.progressAt(now) < 0.5) {
      const rank = (c: Placed) => { const i = restack.order.indexOf(c.layer.id); return i < 0 ? restack.order.length : i; };
      children = [...children].sort((a, b) => rank(a) - rank(b));
    }
    const gone = this.leaving.get(path);
    if (gone) {
      const fading = gone.map((l) => ({ ...l.placed, presence: l.track.mix(l.track.span.progressAt(now)) as number }));
      children = [...children, ...fading].sort((a, b) => (a.values.stack as number) - (b.values.stack as number) || byOrder(a.layer, b.layer));
    }
    const nested = p.nested && this.at(p.nested, `${path}/${p.nested.layer.id}`, now);
    const tracks = this.tracks.get(path);
    const dissolve = this.dissolves.get(path);
    if (!tracks && !dissolve && children === p.children && nested === p.nested) return p;
    const out = { ...p, children, nested };
    if (tracks) {
      let values: Record<string, Value> | null = null;
      for (const [key, t] of tracks) {
        const value = t.mix(t.span.progressAt(now));
        if (key === "x" || key === "y" || key === "width" || key === "height" || key === "presence") out[key] = value as number;
        else if (key === "lines") out.lines = value as readonly Line[];
        else (values ??= { ...p.values })[key] = value as Value;
      }
      if (values) out.values = values;
    }
    if (dissolve) {
      const { from, follows } = dissolve;
      const slack = p.values.alignText === "centre" ? 0.5 : p.values.alignText === "end" ? 1 : 0;
      const base = follows ? { ...from, x: out.x + (out.width - from.width) * slack, y: out.y } : from;
      out.dissolve = { from: base, progress: dissolve.span.progressAt(now) };
    }
    return out;
  }

  private walk(old: Placed, next: Placed, shown: Placed, parentPath: string, how: { cut: boolean; fading: string | null; span: Span }): void {
    if (old === next) return;
    const path = parentPath + next.layer.id;
    if (path === how.fading && !how.cut) {
      this.dissolves.set(path, { span: how.span, from: shallow(shown), follows: false });
      how = { ...how, cut: true, fading: null };
    }
    if (old.values.component !== next.values.component) {
      this.forget(path);
      if (!how.cut) this.dissolves.set(path, { span: how.span, from: shallow(shown), follows: true });
      this.geometry(old, next, shown, path, how);
      return;
    }
    this.geometry(old, next, shown, path, how);
    this.values(old, next, shown, path, how);
    this.children(old, next, shown, path, parentPath, how);
    if (old.nested && next.nested && shown.nested) this.walk(old.nested, next.nested, shown.nested, `${path}/`, how);
  }

  private track(path: string, key: string, how: { cut: boolean; span: Span }, mix: Mix<unknown>): void {
    let layer = this.tracks.get(path);
    if (how.cut) {
      layer?.delete(key);
      return;
    }
    if (!layer) this.tracks.set(path, layer = new Map());
    layer.set(key, { span: how.span, mix });
  }

  private geometry(old: Placed, next: Placed, shown: Placed, path: string, how: { cut: boolean; span: Span }): void {
    for (const key of geometry) if (old[key] !== next[key]) this.track(path, key, how, number(shown[key], next[key]));
  }

  private values(old: Placed, next: Placed, shown: Placed, path: string, how: { cut: boolean; span: Span }): void {
    let dissolves = !sameWords(old.lines, next.lines);
    for (const { key, mixing } of old.values === next.values ? [] : mixableOf(next)) {
      const to = next.values[key] as Value;
      if (equal(old.values[key], to)) continue;
      const mix = mixing === "corners" ? mixOf(mixing, visibleCorners(shown), visibleCorners(next)) : mixOf(mixing, shown.values[key] as Value, to);
      if (mix) this.track(path, key, how, mix);
      else dissolves = true;
    }
    if (dissolves) {
      this.tracks.get(path)?.delete("lines");
      if (how.cut) this.dissolves.delete(path);
      else this.dissolves.set(path, { span: how.span, from: { ...shallow(shown), children: [], nested: null }, follows: true });
    } else if (old.lines !== next.lines && !equal(old.lines, next.lines)) {
      this.track(path, "lines", how, mixLines(shown.lines, next.lines));
    }
  }

  private children(old: Placed, next: Placed, shown: Placed, path: string, prefix: string, how: { cut: boolean; fading: string | null; span: Span }): void {
    if (old.children === next.children) return;
    const before = byId(old.children), after = byId(next.children), seen = byId(shown.children);
    const common = (list: readonly Placed[]) => list.flatMap((c) => (before.has(c.layer.id) && after.has(c.layer.id) ? [c.layer.id] : []));
    if (common(old.children).join() === common(next.children).join() || how.cut) this.restacks.delete(path);
    else this.restacks.set(path, { span: how.span, order: shown.children.map((c) => c.layer.id) });
    for (const child of next.children) {
      const was = before.get(child.layer.id);
      const now = seen.get(child.layer.id);
      if (was) this.walk(was, child, now ?? was, prefix, how);
      else this.appear(child, now, path, prefix, how);
    }
    for (const child of old.children) {
      if (after.has(child.layer.id)) continue;
      this.forget(prefix + child.layer.id);
      if (how.cut) continue;
      const placed = seen.get(child.layer.id) ?? child;
      const list = (this.leaving.get(path) ?? []).filter((l) => l.placed.layer.id !== child.layer.id);
      this.leaving.set(path, [...list, { placed, track: { span: how.span, mix: number(placed.presence, 0) } }]);
    }
  }

  /** A layer that comes back while it is still on its way out goes on from where it is. */
  private appear(child: Placed, ghost: Placed | undefined, parent: string, prefix: string, how: { cut: boolean; span: Span }): void {
    const path = prefix + child.layer.id;
    const list = this.leaving.get(parent)?.filter((l) => l.placed.layer.id !== child.layer.id);
    if (list) this.leaving.set(parent, list);
    if (how.cut) return;
    if (ghost) this.geometry(ghost, child, ghost, path, how);
    if (ghost) this.values(ghost, child, ghost, path, how);
    this.track(path, "presence", how, number(ghost?.presence ?? 0, 1));
  }

  private forget(path: string): void {
    for (const map of [this.tracks, this.leaving, this.dissolves, this.restacks]) {
      for (const key of map.keys()) if (key === path || key.startsWith(`${path}/`)) map.delete(key);
    }
  }
}
