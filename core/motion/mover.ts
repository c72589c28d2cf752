import { entryOf, isOneOf, present } from "../basics";
import { boxAt, chainTo, spotAt, wayInto, withBox } from "../layout";
import type { LayoutBox } from "../layout";
import { ROOT, byOrder } from "../project";
import type { Motion } from "../project";
import type { Pair } from "../properties";
import { Carried, flightOf } from "./carried";
import { Scrubber } from "./scrubber";
import { isPosed, ChangeTiming } from "./change-timing";
import { paired } from "./pairing";
import {
  appearing,
  byId,
  comingFrom,
  equal,
  frozen,
  geometry,
  goingTo,
  inPose,
  mixableOf,
  mixLines,
  posedKeys,
  sameWords,
  visibleCorners,
} from "./boxes";
import { mixOf } from "./mix";
import type { Mix } from "./mix";
import { Span } from "./span";
import { lengthOf } from "./timing";
import { MixTrack, NumberTrack, numbersIn, KeyframeTrack } from "./track";
import { ActiveAnimations } from "./active-animations";
import type { Dissolving } from "./active-animations";

/**
 * How a change goes on down the tree: whether it is at once, what of it dissolves, with which
 * timings, and in which lane.
 */
interface How {
  readonly cut: boolean;
  readonly fading: string | null;
  readonly timing: ChangeTiming;
  readonly lane: ReturnType<ChangeTiming["ofLayer"]>;
}

const passing = ["slide", "push", "rise"] as const;

/**
 * Shows a placed tree and, when the tree changes, moves from what is on screen to what shall be.
 * Each property of each layer moves on its own, so several changes compose and each can be
 * interrupted where it is; numbers keep the velocity they have. The end of every movement is
 * exactly the target. Time is given by the caller, in ms, and never goes back.
 */
export class Mover {
  #target: LayoutBox | null = null;
  #subject = "";
  readonly #animations = new ActiveAnimations();
  #held = new Scrubber();
  #carried: Carried | null = null;
  /** the layer that was thrown: it comes anew where it is next */
  #thrown: { readonly path: string; readonly span: Span } | null = null;

  /**
   * Sets a new target. `subject` names what is shown (another subject is another scene, which comes
   * as the motion says); `within` is the path of the instance whose traits changed ("" for the
   * piece itself): a fade dissolves that part, lanes are of its layers, and layers around it that
   * are pushed aside move there in the same time.
   */
  retarget(next: LayoutBox, motion: Motion, now: number, subject: string, within = ""): void {
    this.#turn(next, new ChangeTiming(motion, now, within), now, subject);
  }

  /**
   * A hand moves what is shown towards a target, through the poses of lanes if there are any:
   * `progress` (0–1) says how far. `what` names the drag; another one begins anew.
   */
  drag(
    next: LayoutBox,
    motion: Motion,
    now: number,
    progress: number,
    what: string,
    within = "",
  ): void {
    if (motion.kind === "cut") return;
    const span = this.#held.take(what, now);
    if (span)
      this.#turn(
        this.#holding(next),
        new ChangeTiming({ ...motion, kind: "tween", duration: Infinity }, now, within, span),
        now,
        this.#subject,
      );
    this.#held.move(progress, now);
  }

  /**
   * A hand carries a layer freely: so far (px of the scene) it has come, and it leans so far at
   * most (degrees).
   */
  carry(path: string, by: Pair, lean: number, now: number): void {
    if (this.#carried?.path !== path || this.#carried.endsBack) {
      const from = this.#carried?.path === path ? this.#carried.at(now) : null;
      this.#carried = new Carried(path, lean, from, now);
    }
    const around = this.#target && spotAt(this.#target, path)?.parent;
    this.#carried.move(around ? wayInto(around, ...by) : by, now);
  }

  /**
   * What a hand moved goes on to its target by itself, from where it is and as fast as the hand
   * was. What it carried goes back to its place.
   */
  letGo(motion: Motion, now: number): void {
    const end = this.#held.letGo(motion, now);
    if (end !== null) this.#animations.until(end);
    this.#carried?.goBack(new Span(now, now, now + lengthOf(motion), motion.easing), now);
  }

  /**
   * What a hand carried flies off the way it was thrown, out of the scene; the next target shows it
   * anew. For people who asked for less motion it fades where it is.
   */
  throwOff(motion: Motion, now: number): void {
    const carried = this.#carried;
    const scene = this.sample(now);
    this.#carried = null;
    if (!carried || !scene) return;
    const way = chainTo(scene, carried.path);
    const thrown = way.at(-1)?.placed;
    const parent = way.at(-2)?.path;
    if (!thrown || parent === undefined) return;
    const length = lengthOf(motion);
    const flight =
      motion.kind === "fade"
        ? null
        : flightOf(scene, thrown, carried.at(now), carried.speedAt(now), length);
    const span = new Span(now, now, now + (flight?.ms ?? length), "linear");
    this.#thrown = { path: carried.path, span };
    this.#animations.leaving.set(parent, [
      ...(this.#animations.leaving.get(parent) ?? []),
      { placed: frozen(thrown), span, by: null, to: flight?.to ?? null },
    ]);
    this.#animations.until(span.end);
  }

  /** A target in which what is carried has its present place and depth still. */
  #holding(next: LayoutBox): LayoutBox {
    const path = this.#carried?.path;
    const held = path !== undefined && this.#target && boxAt(this.#target, path);
    if (!held) return next;
    const parent = chainTo(next, path).at(-2)?.path;
    return parent === undefined
      ? next
      : withBox(next, parent, (p) => ({
          ...p,
          children: p.children
            .map((c) => (c.layer.id === held.layer.id ? held : c))
            .sort((a, b) => a.values.stack - b.values.stack || byOrder(a.layer, b.layer)),
        }));
  }

  #turn(next: LayoutBox, timing: ChangeTiming, now: number, subject: string): void {
    const { motion, within } = timing;
    const shown = this.#uncarried(now);
    const other = this.#subject !== subject;
    const cut =
      motion.kind === "cut" ||
      (motion.duration + motion.delay <= 0 && !motion.lanes?.length && !timing.base.springs);
    let old = this.#target;
    this.#target = next;
    this.#subject = subject;
    this.#animations.until(timing.base.end);
    if (!old || !shown || (other && (cut || motion.kind !== "tween"))) {
      this.stop();
      if (shown && !cut)
        this.#animations.dissolves.set(next.layer.id, {
          span: timing.base,
          from: frozen(shown),
          follows: false,
          ...(isOneOf(passing, motion.kind) ? { way: motion.kind, to: motion.to } : {}),
        });
      return;
    }
    let seen = shown;
    if (other) {
      // what both scenes have moves over; the rest comes and goes
      this.stop();
      seen = paired(shown, next);
      old = seen;
    }
    const root = within ? `${within}/${ROOT}` : ROOT;
    const fading = motion.kind === "fade" ? root : null;
    this.#walk(old, next, seen, "", { cut, fading, timing, lane: undefined }, now);
    if (!cut) this.#animateLanes(old, next, seen, timing, now);
    this.#comeAnew(cut);
  }

  /** What was thrown comes where it is now, while it flies off: nothing of it moves there. */
  #comeAnew(cut: boolean): void {
    const thrown = this.#thrown;
    this.#thrown = null;
    if (!thrown || cut) return;
    const { path, span } = thrown;
    this.#animations.forget(path);
    const presence = new NumberTrack(span, "presence", [0], [1], 1, []);
    this.#animations.tracks.set(path, new Map([["presence", presence]]));
  }

  /** Lanes of what does not change otherwise: they go through their poses and come back. */
  #animateLanes(
    old: LayoutBox,
    next: LayoutBox,
    shown: LayoutBox,
    timing: ChangeTiming,
    now: number,
  ): void {
    for (const [name, lane] of timing.lanes) {
      const { key } = lane;
      if (key === null || !isPosed(lane)) continue;
      const path = name.slice(0, name.length - key.length - 1);
      const span = timing.span(lane);
      if (this.#animations.tracks.get(path)?.get(key)?.span === span) continue;
      const is = boxAt(next, path);
      const was = boxAt(old, path);
      const seen = boxAt(shown, path);
      if (!is || !seen) continue;
      const read = (p: LayoutBox): unknown => (isOneOf(geometry, key) ? p[key] : p.values[key]);
      this.#track(
        path,
        key,
        { timing, lane: undefined, cut: false },
        now,
        read(seen),
        read(is),
        read(was ?? is),
        null,
      );
    }
  }

  /** What is gone to; null before the first target. */
  get target(): LayoutBox | null {
    return this.#target;
  }

  /** Drops all movement: what is shown is the target. */
  stop(): void {
    this.#held.drop();
    this.#carried = null;
    this.#thrown = null;
    this.#animations.clear();
  }

  /**
   * Replaces the target without any movement of its own, keeping what is in motion (an edit while
   * running).
   */
  replace(next: LayoutBox, subject: string): void {
    this.#target = this.#holding(next);
    if (subject !== this.#subject) this.stop();
    this.#subject = subject;
  }

  /**
   * The time at which all present movement will have ended, but for what never does; 0 when nothing
   * moves.
   */
  endsAt(): number {
    const back = this.#carried?.endsBack === true ? this.#carried.endsAt() : 0;
    return Math.max(back, this.#animations.endsAt());
  }

  /** Whether what is shown changes by itself after a time. */
  movesAfter(now: number): boolean {
    const isCarried = this.#carried !== null && this.#carried.endsAt() > now;
    return isCarried || this.#animations.movesAfter(now);
  }

  /**
   * What is on screen at a time; null before the first target. The target itself (same identity)
   * when nothing moves.
   */
  sample(now: number): LayoutBox | null {
    const scene = this.#uncarried(now);
    if (this.#carried?.isBack(now)) this.#carried = null;
    if (!scene || !this.#carried) return scene;
    const { x, y, rotation } = this.#carried.at(now);
    return withBox(scene, this.#carried.path, (p) => ({
      ...p,
      shapes: p.shapes === undefined ? p.values : p.shapes,
      x: p.x + x,
      y: p.y + y,
      values: { ...p.values, rotation: p.values.rotation + rotation },
    }));
  }

  #uncarried(now: number): LayoutBox | null {
    return this.#target && this.#animations.sample(this.#target, now);
  }

  #walk(
    old: LayoutBox,
    next: LayoutBox,
    shown: LayoutBox,
    parentPath: string,
    around: How,
    now: number,
  ): void {
    if (old === next && shown === next) return;
    const path = parentPath + next.layer.id;
    let how: How = { ...around, lane: around.timing.ofLayer(path) ?? around.lane };
    if (path === how.fading && !how.cut) {
      this.#dissolve(path, { span: how.timing.base, from: frozen(shown), follows: false }, how);
      how = { ...how, cut: true, fading: null };
    }
    if (old.values.component !== next.values.component) {
      this.#animations.forget(path);
      this.#dissolve(
        path,
        { span: how.timing.span(how.lane), from: frozen(shown), follows: true },
        how,
      );
      this.#geometry(old, next, shown, path, how, now);
      return;
    }
    if (old !== next) {
      this.#geometry(old, next, shown, path, how, now);
      this.#values(old, next, shown, path, how, now);
      this.#children(old, next, shown, path, parentPath, how, now);
    }
    if (old.nested && next.nested && shown.nested && old.nested !== next.nested)
      this.#walk(old.nested, next.nested, shown.nested, `${path}/`, how, now);
  }

  /** What cannot be mixed gives way to what it is now. */
  #dissolve(path: string, made: Dissolving, { cut }: How): void {
    if (cut) {
      this.#animations.dissolves.delete(path);
      return;
    }
    this.#animations.dissolves.set(path, made);
    this.#animations.until(made.span.end);
  }

  /**
   * One property sets out from what is shown, in the time of its lane; numbers take along the
   * velocity they have.
   */
  #track(
    path: string,
    key: string,
    how: Omit<How, "fading">,
    now: number,
    from: unknown,
    to: unknown,
    rest: unknown,
    mix: Mix<unknown> | null,
  ): void {
    let layer = this.#animations.tracks.get(path);
    if (how.cut) {
      layer?.delete(key);
      return;
    }
    const { timing } = how;
    const lane = timing.ofKey(path, key) ?? how.lane;
    const span = timing.span(lane);
    const a = numbersIn(from);
    const b = numbersIn(to);
    const velocity = layer?.get(key)?.velocityAt(now) ?? [];
    layer ??= entryOf(this.#animations.tracks, path, () => new Map());
    this.#animations.until(span.end);
    if (lane && lane.key === key && isPosed(lane))
      layer.set(
        key,
        new KeyframeTrack(span, lane, key, from, rest, to, velocity[0] ?? 0, timing.driven),
      );
    else if (a && b && a.length === b.length)
      layer.set(
        key,
        new NumberTrack(
          span,
          key,
          a,
          b,
          to,
          velocity.length === a.length && velocity.some((v) => v !== 0) ? velocity : [],
        ),
      );
    else if (mix) layer.set(key, new MixTrack(span, mix));
  }

  #geometry(
    old: LayoutBox,
    next: LayoutBox,
    shown: LayoutBox,
    path: string,
    how: How,
    now: number,
  ): void {
    for (const key of geometry)
      if (old[key] !== next[key])
        this.#track(path, key, how, now, shown[key], next[key], old[key], null);
  }

  #values(
    old: LayoutBox,
    next: LayoutBox,
    shown: LayoutBox,
    path: string,
    how: How,
    now: number,
  ): void {
    let dissolves = !sameWords(old.lines, next.lines);
    for (const { key, mixing } of old.values === next.values ? [] : mixableOf(next)) {
      const to = present(next.values[key]);
      if (equal(old.values[key], to)) continue;
      const [a, b] =
        mixing === "corners"
          ? [visibleCorners(shown), visibleCorners(next)]
          : [present(shown.values[key]), to];
      const mix = mixOf(mixing, a, b);
      if (!mix) dissolves = true;
      else if (mixing === "corners") this.#track(path, key, how, now, null, null, null, mix);
      else this.#track(path, key, how, now, a, to, old.values[key], mix);
    }
    if (dissolves) {
      this.#animations.tracks.get(path)?.delete("lines");
      this.#dissolve(
        path,
        {
          span: how.timing.span(how.lane),
          from: { ...frozen(shown), children: [], nested: null },
          follows: true,
          own: true,
        },
        how,
      );
    } else if (old.lines !== next.lines && !equal(old.lines, next.lines)) {
      this.#track(path, "lines", how, now, null, null, null, mixLines(shown.lines, next.lines));
    }
  }

  #children(
    old: LayoutBox,
    next: LayoutBox,
    shown: LayoutBox,
    path: string,
    prefix: string,
    how: How,
    now: number,
  ): void {
    if (old.children === next.children) return;
    const before = byId(old.children);
    const after = byId(next.children);
    const seen = byId(shown.children);
    const { timing } = how;
    const common = (list: readonly LayoutBox[]) =>
      list.flatMap((c) => (before.has(c.layer.id) && after.has(c.layer.id) ? [c.layer.id] : []));
    const at = { start: 0, middle: 0.5, end: 1 }[timing.motion.restacks ?? "middle"];
    if (common(old.children).join() === common(next.children).join() || how.cut || at === 0)
      this.#animations.restacks.delete(path);
    else
      this.#animations.restacks.set(path, {
        span: timing.span(how.lane),
        order: shown.children.map((c) => c.layer.id),
        at,
      });
    for (const child of next.children) {
      const was = before.get(child.layer.id);
      const ghost = seen.get(child.layer.id);
      if (was) this.#walk(was, child, ghost ?? was, prefix, how, now);
      else this.#appear(child, ghost, path, prefix, how, now);
    }
    for (const child of old.children) {
      if (after.has(child.layer.id)) continue;
      const gone = prefix + child.layer.id;
      this.#animations.forget(gone);
      if (how.cut) continue;
      const placed = frozen(seen.get(child.layer.id) ?? child);
      const by = appearing(timing.motion, placed);
      const pose = by ? null : goingTo(child);
      const list = (this.#animations.leaving.get(path) ?? []).filter(
        (l) => l.placed.layer.id !== child.layer.id,
      );
      this.#animations.leaving.set(path, [
        ...list,
        {
          placed,
          span: timing.span(timing.ofKey(gone, "presence") ?? timing.ofLayer(gone) ?? how.lane),
          by,
          to: pose && inPose(child, pose),
        },
      ]);
    }
  }

  /** A layer comes from a pose to how it is: in the time its appearing has, where it has one. */
  #comeFrom(away: LayoutBox, here: LayoutBox, path: string, around: How, now: number): void {
    const how: How = { ...around, lane: around.timing.ofKey(path, "presence") ?? around.lane };
    this.#geometry(away, here, away, path, how, now);
    for (const key of posedKeys) {
      const [from, to] = [away.values[key], here.values[key]];
      if (!equal(from, to)) this.#track(path, key, how, now, from, to, from, null);
    }
  }

  /** A layer that comes back while it is still on its way out goes on from where it is. */
  #appear(
    child: LayoutBox,
    ghost: LayoutBox | undefined,
    parent: string,
    prefix: string,
    around: How,
    now: number,
  ): void {
    const path = prefix + child.layer.id;
    const how: How = { ...around, lane: around.timing.ofLayer(path) ?? around.lane };
    const list = this.#animations.leaving
      .get(parent)
      ?.filter((l) => l.placed.layer.id !== child.layer.id);
    if (list) this.#animations.leaving.set(parent, list);
    if (how.cut) return;
    if (ghost) this.#geometry(ghost, child, ghost, path, how, now);
    if (ghost) this.#values(ghost, child, ghost, path, how, now);
    const by = appearing(how.timing.motion, child);
    if (by && !ghost) {
      if (by[0]) this.#track(path, "x", how, now, child.x + by[0], child.x, child.x, null);
      if (by[1]) this.#track(path, "y", how, now, child.y + by[1], child.y, child.y, null);
      return;
    }
    const pose = by ? null : comingFrom(child);
    if (pose && !ghost) this.#comeFrom(inPose(child, pose), child, path, how, now);
    else if (!pose || (ghost && ghost.presence < 1))
      this.#track(path, "presence", how, now, ghost?.presence ?? 0, 1, 0, null);
  }
}
