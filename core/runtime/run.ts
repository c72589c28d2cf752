import type { Id } from "../basics";
import type { Hit, LayoutBox, LayoutEnv } from "../layout";
import { Resolver } from "../looks";
import {
  advance,
  byHand,
  dragged,
  isEntry,
  liveCopies,
  movesOf,
  nextDue,
  nextStop,
  revise,
  rulesOf,
  shownVariant,
  start,
  step,
  usable,
  withMoments,
  withinScreen,
} from "../machine";
import type { ActiveInstance, Input, MachineEvent, State } from "../machine";
import { Mover, lengthOf } from "../motion";
import type { Motion, Project, Variant } from "../project";
import { sceneOf } from "./scene";
import { inSight, scrollerFor, scrollTo } from "./sight";
import { Touchable } from "./touchable";
import { Swipe } from "./swipe";
import type { Scrolling, Swiped } from "./swipe";

const cut: Motion = { kind: "cut", duration: 0, delay: 0, easing: "linear" };

/**
 * What a change becomes for people who asked for less motion: a short fade at most, nothing that
 * travels or goes on.
 */
const MOST_CALM = 150;
const calmed = (m: Motion): Motion =>
  m.kind === "cut"
    ? m
    : {
        kind: "fade",
        duration: Math.min(MOST_CALM, lengthOf(m)),
        delay: m.delay,
        easing: "linear",
      };

/** What decides which layers are in sight. */
interface Looked extends Pick<State, "traits" | "screen" | "options"> {
  readonly offsets: State["scroll"]["offsets"];
}

/** Where everything is when nothing moves any more, and what of it can be reached. */
export interface Goal {
  readonly scene: LayoutBox;
  isFocusable(path: string): boolean;
  takesPointer(path: string): boolean;
  /** the box that is the field of an entry, else the layer itself */
  fieldOf(path: string): string;
}

type PointerKind = "move" | "down" | "up" | "cancel";

/**
 * A piece running on a virtual clock: input and time go in, the scene at the present moment comes
 * out. Same project, same input at the same times: same scenes. All times are ms since the start.
 */
export class Run {
  #state: State;
  readonly #mover = new Mover();
  #scrolling: Motion | null = null;
  readonly #swipe = new Swipe();
  #calm = false;
  #looked: Looked | null = null;
  #touchable: {
    readonly goal: LayoutBox;
    readonly project: Project;
    readonly it: Touchable;
  } | null = null;

  /**
   * A resolver that has resolved the piece before makes a beginning cheaper; one run at a time may
   * use it.
   */
  constructor(
    private readonly env: LayoutEnv,
    private project: Project,
    readonly piece: Id,
    private readonly happened: (event: MachineEvent) => void = () => undefined,
    private readonly resolver = new Resolver(),
  ) {
    this.#state = start(project, piece);
    this.#aim(this.#state, null, 0);
    this.advanceTo(0);
  }

  get now(): number {
    return this.#state.now;
  }
  get screen(): Id {
    return this.#state.screen;
  }
  get history(): readonly Id[] {
    return this.#state.history;
  }

  /**
   * For people who asked for less motion: changes only fade from now on, and what is moving, also
   * for ever, stands still at its end.
   */
  setCalm(calm: boolean): void {
    this.#calm = calm;
    if (calm) this.#mover.stop();
  }

  /** The discrete state, for whoever wants to look closely. */
  get inside(): State {
    return this.#state;
  }

  /** The traits of the shown piece. */
  variant(): Variant {
    return shownVariant(this.project, this.#state);
  }

  /** The shown piece and its visible copies with their traits. */
  copies(): readonly ActiveInstance[] {
    return liveCopies(this.project, this.#state);
  }

  /** The scene now; null when the shown piece does not exist. */
  scene(): LayoutBox | null {
    const scene = this.#mover.sample(this.#state.now);
    return scene && withMoments(scene, this.#state);
  }

  /**
   * When something will happen by itself: now while anything moves, the next wait otherwise;
   * Infinity if nothing will.
   */
  wakesAt(): number {
    if (
      this.#mover.movesAfter(this.#state.now) ||
      Object.values(this.#state.clips).some((c) => c.playing)
    )
      return this.#state.now;
    return nextDue(this.#state);
  }

  /** Until when something is in motion. */
  movesUntil(): number {
    return this.#mover.endsAt();
  }

  /** Lets time pass; never goes back. */
  advanceTo(now: number): void {
    const result = advance(this.project, this.#state, now);
    this.#take(result);
  }

  input(input: Input): void {
    this.#take(step(this.project, this.#state, input));
  }

  /**
   * A pointer at a place of the scene (px); a touch has no hover, so it only enters when it presses
   * and leaves when it lifts. A touch that wanders scrolls what is under it, unless a rule takes it
   * for a drag: then what it scrolled in all is told.
   */
  pointer(kind: PointerKind, x: number, y: number, touch = false): Swiped | null {
    if (touch && this.#swipe.scrolls) return this.#swiping(kind, x, y);
    // a second finger presses nothing while the first one does
    if (kind === "down" && this.#state.pointer.pressed) return null;
    if (touch) return this.#touched(kind, x, y);
    if (kind === "cancel") this.input({ type: "cancel" });
    else {
      this.input({ type: "move", x, y });
      this.#over(x, y);
      if (kind !== "move") this.input({ type: kind });
    }
    // a screen that has just come up lies under a pointer that has not moved
    if (kind === "up") this.#over(x, y);
    return null;
  }

  #touched(kind: PointerKind, x: number, y: number): Swiped | null {
    if (kind === "down") this.#scrollAs(this.#swipe.down([x, y], this.now));
    if (kind === "up") this.#swipe.up(this.now);
    if (kind === "cancel") this.input({ type: "cancel" });
    else {
      this.input({ type: "move", x, y });
      if (kind === "down" || this.#state.pointer.pressed) this.#over(x, y);
      if (kind !== "move") this.input({ type: kind });
    }
    if (kind === "up" || kind === "cancel") this.input({ type: "over", layer: null });
    const mayScroll = kind === "move" && this.#state.pointer.pressed && !this.#state.pointer.drag;
    const scene = mayScroll ? this.scene() : null;
    if (!scene || !this.#swipe.begins(scene, [x, y], this.now, (at) => this.hit(...at)))
      return null;
    this.input({ type: "cancel" });
    this.input({ type: "over", layer: null });
    return this.#swiping("move", x, y);
  }

  #swiping(kind: PointerKind, x: number, y: number): Swiped | null {
    if (kind === "move") this.#scrollAs(this.#swipe.move([x, y], this.now));
    const end = kind === "up" || kind === "cancel" ? this.#swipe.up(this.now) : null;
    this.#scrollAs(end?.coast ?? null);
    return end?.swiped ?? null;
  }

  #scrollAs(scrolling: Scrolling | null): void {
    if (!scrolling) return;
    this.#scrolling = scrolling.motion;
    this.input({ type: "scroll", layer: scrolling.layer, to: scrolling.to });
    this.#scrolling = null;
  }

  /**
   * Moves the keyboard's focus to the next or the previous stop; false past either end, where the
   * focus leaves the piece.
   */
  tab(by: 1 | -1): boolean {
    const stop = this.nextStop(by);
    this.input({ type: "focus", layer: stop });
    return stop !== null;
  }

  /** The stop that the Tab key leads to; null past either end. */
  nextStop(by: 1 | -1): string | null {
    const touch = this.#touch();
    return nextStop(this.project, this.#state, by, (path) => touch?.isFocusable(path) ?? true);
  }

  /**
   * Whether the keyboard has anything to do here: something to stop at, or keys of the whole piece.
   */
  usable(): boolean {
    return usable(this.project, this.#state);
  }

  /** A key; says whether the piece took it, so that the page around knows what is left for it. */
  key(key: string, phase: "down" | "up"): boolean {
    const before = this.#state;
    const result = step(this.project, before, { type: "key", key, phase });
    this.#take(result);
    return result.events.length > 0 || this.#state.pointer.pressed !== before.pointer.pressed;
  }

  /**
   * Whether what is focused is being filled in: then one must see where, however the focus came.
   */
  filling(): boolean {
    return isEntry(this.project, this.#state, this.#state.keyboard.focused[0]);
  }

  /**
   * The focused layer within the shown piece, where it is on screen; null when nothing is focused.
   */
  focus(): string | null {
    return this.#state.keyboard.focused[0]?.slice(this.#state.screen.length + 1) ?? null;
  }

  /**
   * What a pointer at a place of the scene meets: where things are now, by what can be seen of them
   * once they have come to rest. px
   */
  hit(x: number, y: number): Hit | null {
    const scene = this.scene();
    return scene && (this.#touch()?.hit(scene, x, y) ?? null);
  }

  /**
   * The scene that is being gone to, and what of it takes the pointer or can have the keyboard's
   * focus. The same object as long as both are the same.
   */
  goal(): Goal | null {
    return this.#touch();
  }

  #touch(): Touchable | null {
    const goal = this.#mover.target;
    if (!goal) return null;
    const { project } = this;
    const known = this.#touchable;
    if (known?.goal === goal && known.project === project) return known.it;
    const it = new Touchable(project, this.#state, goal);
    this.#touchable = { goal, project, it };
    return it;
  }

  #over(x: number, y: number): void {
    this.input({ type: "over", layer: this.hit(x, y)?.path ?? null });
  }

  /** Takes an edited project and goes on where it is. */
  update(project: Project): void {
    this.project = project;
    const dragging = this.#state.pointer.drag !== null;
    this.#state = revise(project, this.#state);
    const target = this.#target(this.#state);
    if (!target) return;
    // a drag whose rule is gone goes back by itself
    if (dragging && !this.#state.pointer.drag) {
      this.#mover.letGo(byHand, this.#state.now);
      this.#mover.retarget(target, byHand, this.#state.now, this.#state.screen);
    } else this.#mover.replace(target, this.#state.screen);
  }

  /** Scrolls what is under a place; true when there was something to scroll. px */
  wheel(x: number, y: number, dx: number, dy: number): boolean {
    const scene = this.scene();
    const hit = this.hit(x, y);
    if (!scene || !hit) return false;
    let did = false;
    for (const [across, by] of [
      [false, dy],
      [true, dx],
    ] as const) {
      const s = by === 0 ? null : scrollerFor(scene, hit.path, across);
      const to = s && Math.min(s.room, Math.max(0, s.by + by));
      if (!s || to === null || to === s.by) continue;
      this.input({ type: "scroll", layer: s.path, to });
      did = true;
    }
    if (did) this.#over(x, y);
    return did;
  }

  /**
   * Tells the machine which layers that listen for it are in sight, when what is shown has changed.
   */
  #look(): void {
    const { traits, scroll, screen, options } = this.#state;
    const { offsets } = scroll;
    const before = this.#looked;
    if (
      before &&
      before.traits === traits &&
      before.offsets === offsets &&
      before.screen === screen &&
      before.options === options
    )
      return;
    this.#looked = { traits, offsets, screen, options };
    const target = this.#target(this.#state);
    const seen = target
      ? inSight(this.project, this.#state, target).map((p) => `${screen}/${p}`)
      : [];
    if (
      seen.length !== this.#state.scroll.inSight.length ||
      seen.some((p) => !this.#state.scroll.inSight.includes(p))
    )
      this.input({ type: "seen", layers: seen.map((p) => p.slice(screen.length + 1)) });
  }

  #take(result: { state: State; events: MachineEvent[] }): void {
    this.#state = result.state;
    for (const event of result.events) {
      if (event.type === "dragging") this.#follow(event);
      else if (event.type === "dropped") this.#drop(event);
      else if (event.type === "filled") this.#aim(event.state, null, event.at, event.path);
      else if (event.type === "shown") this.#aim(event.state, event.motion, event.at, event.path);
      else if (event.type === "scrolled") this.#aim(event.state, this.#scrolling, event.at);
      for (const move of movesOf(event, result.events))
        this.#aim(move.state, move.motion, event.at, move.path);
      this.happened(event);
      if (event.type === "scrollTo") {
        const target = this.#target(this.#state);
        const to =
          target &&
          scrollTo(target, `${event.path}/${event.layer}`.slice(this.#state.screen.length + 1));
        this.#scrollAs(to && { layer: to.path, to: to.to, motion: event.motion });
      }
    }
    if (this.#listens) this.#look();
    this.#letGoOfHidden();
  }

  /** The keyboard's focus does not stay on what cannot be seen any more. */
  #letGoOfHidden(): void {
    const focus = this.focus();
    if (focus !== null && this.#touch()?.isFocusable(focus) === false)
      this.input({ type: "focus", layer: null });
  }

  /**
   * Whether any rule of the project listens for layers that come into sight: most do not, and then
   * nobody looks.
   */
  get #listens(): boolean {
    return liveCopies(this.project, this.#state).some((l) =>
      rulesOf(this.project, l.piece).some((r) => r.trigger.type === "seen"),
    );
  }

  #follow(event: Extract<MachineEvent, { type: "dragging" }>): void {
    const target = this.#target(event.state);
    const { carries } = event;
    if (carries)
      this.#mover.carry(withinScreen(carries.source), carries.by, carries.lean, event.at);
    if (target)
      this.#mover.drag(
        target,
        event.motion,
        event.at,
        event.progress,
        `${event.path} ${event.rule}`,
        withinScreen(event.path),
      );
  }

  #drop(event: Extract<MachineEvent, { type: "dropped" }>): void {
    const flight = event.done ? event.carries?.motion : undefined;
    if (flight) this.#mover.throwOff(this.#calm ? calmed(flight) : flight, event.at);
    this.#mover.letGo(event.motion, event.at);
    if (!event.done)
      this.#aim(
        event.state,
        event.motion.kind === "fade" ? { ...event.motion, kind: "tween" } : event.motion,
        event.at,
      );
  }

  #target(now: State): LayoutBox | null {
    return sceneOf(this.env, this.project, this.resolver, dragged(this.project, now));
  }

  #aim(state: State, motion: Motion | null, at: number, path = ""): void {
    const target = this.#target(state);
    if (!target) return;
    const shown = motion && this.#calm ? calmed(motion) : motion;
    this.#mover.retarget(target, shown ?? cut, at, state.screen, withinScreen(path));
  }
}
