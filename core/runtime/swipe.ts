import type { Hit, LayoutBox } from "../layout";
import { SLOP } from "../machine";
import type { Path, Point } from "../machine";
import { curveOf } from "../motion";
import type { Motion } from "../project";
import { scrollerFor } from "./sight";

/** What a swipe scrolled in all, px. */
export interface Swiped {
  readonly layer: Path;
  readonly by: number;
}

/** A scroll to be made: where to, and how; null at once. */
export interface Scrolling {
  readonly layer: Path;
  readonly to: number;
  readonly motion: Motion | null;
}

/** How a layer that was flung comes to rest. */
const COAST: Motion = { kind: "tween", duration: 700, delay: 0, easing: [0.12, 0.6, 0.25, 1] };
/**
 * How far back the speed of a finger looks, ms; slower than this it does not fling, px/s; how long
 * its speed would go on, ms.
 */
const LOOK_BACK = 80;
const SLOWEST = 150;
const GLIDE = 260;

/**
 * A finger on a piece: once it wanders and no rule takes that for a drag, what lies under it
 * scrolls.
 */
export class Swipe {
  #from: Point | null = null;
  #on: {
    readonly layer: Path;
    readonly across: boolean;
    readonly room: number;
    by: number;
  } | null = null;
  #trail: { readonly at: number; readonly along: number }[] = [];
  #began = 0;
  #coasting: {
    readonly layer: Path;
    readonly from: number;
    readonly to: number;
    readonly begin: number;
  } | null = null;

  /** True while the finger scrolls: it presses nothing then. */
  get scrolls(): boolean {
    return this.#on !== null;
  }

  /** The finger comes down; what still coasts is caught where it is. */
  down(at: Point, now: number): Scrolling | null {
    this.#from = at;
    const coasting = this.#coasting;
    const through = coasting ? (now - coasting.begin) / COAST.duration : 1;
    this.#coasting = null;
    return coasting && through < 1
      ? {
          layer: coasting.layer,
          to: coasting.from + (coasting.to - coasting.from) * curveOf(COAST.easing)(through),
          motion: null,
        }
      : null;
  }

  /** Whether a finger that was pressed down begins to scroll something at this place. */
  begins(scene: LayoutBox, at: Point, now: number, hitAt: (at: Point) => Hit | null): boolean {
    if (!this.#from || this.#on) return false;
    const [dx, dy] = [at[0] - this.#from[0], at[1] - this.#from[1]];
    const across = Math.abs(dx) > Math.abs(dy);
    if (Math.hypot(dx, dy) < SLOP) return false;
    const hit = hitAt(this.#from);
    const found = hit && scrollerFor(scene, hit.path, across);
    if (!found) return false;
    this.#on = { layer: found.path, across, room: found.room, by: found.by };
    this.#began = found.by;
    this.#trail = [{ at: now, along: across ? this.#from[0] : this.#from[1] }];
    return true;
  }

  /** The finger goes on: how far what it scrolls is scrolled now. */
  move(at: Point, now: number): Scrolling | null {
    const on = this.#on;
    const last = this.#trail.at(-1);
    if (!on || !last) return null;
    const along = on.across ? at[0] : at[1];
    on.by = Math.min(on.room, Math.max(0, on.by + last.along - along));
    this.#trail = [...this.#trail.filter((t) => now - t.at <= LOOK_BACK), { at: now, along }];
    return { layer: on.layer, to: on.by, motion: null };
  }

  /**
   * The finger is lifted: a fast one lets it coast on. Says what the swipe scrolled in all; null
   * when it scrolled nothing.
   */
  up(now: number): { readonly swiped: Swiped; readonly coast: Scrolling | null } | null {
    const on = this.#on;
    const recent = this.#trail.filter((t) => now - t.at <= LOOK_BACK);
    const first = recent[0];
    const last = recent.at(-1);
    this.#from = this.#on = null;
    if (!on) return null;
    const speed =
      first && last && now > first.at ? (first.along - last.along) / (now - first.at) : 0;
    const to =
      Math.abs(speed) * 1000 < SLOWEST
        ? on.by
        : Math.min(on.room, Math.max(0, on.by + speed * GLIDE));
    if (to === on.by) return { swiped: { layer: on.layer, by: on.by - this.#began }, coast: null };
    this.#coasting = { layer: on.layer, from: on.by, to, begin: now };
    return {
      swiped: { layer: on.layer, by: to - this.#began },
      coast: { layer: on.layer, to, motion: COAST },
    };
  }
}
