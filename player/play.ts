import type { Id } from "#core/basics";
import type { LayoutEnv } from "#core/layout";
import { isPressed, withinScreen } from "#core/machine";
import type { Input, MachineEvent, State } from "#core/machine";
import { paint } from "#core/paint";
import type { Project, Step } from "#core/project";
import type { Act } from "#core/rehearse";
import { Run } from "#core/runtime";
import type { Presented } from "#core/runtime";
import type { Access } from "./access";
import { Clock } from "./clock";
import { Drawing } from "./draw";
import { Frame } from "./frame";
import { keep } from "./keep";
import type { Showing } from "./show";

export interface PlayOptions {
  readonly env: LayoutEnv;
  readonly project: Project;
  readonly piece: Id;
  /** px on screen per px of the piece */
  readonly scale?: number;
  /**
   * room around the piece inside the host, px of the piece, so that shadows and touch areas beyond
   * the edge are there
   */
  readonly margin?: number;
  readonly onHappening?: (event: MachineEvent) => void;
  /** after every step that changed traits or the shown screen */
  readonly onChange?: (run: Run) => void;
  /** what people do with it, as it happens */
  readonly onAct?: (act: Act) => void;
  readonly name?: string;
  /** a click or tap that nothing answered; how many layers answer one, which are lit for a moment */
  readonly onMissed?: (answering: number) => void;
}

/** What a finger covers, for a pointer that stands for one. */
const finger = `url("data:image/svg+xml,${encodeURIComponent('<svg xmlns="http://www.w3.org/2000/svg" width="32" height="32"><circle cx="16" cy="16" r="14" fill="#20302e33" stroke="#20302e99" stroke-width="1.500"/></svg>')}") 16 16, pointer`;

/**
 * Time passes in slices of so many ms, for so many ms of work a frame: what was hidden for long
 * catches up, and is drawn when it has.
 */
const SLICE = 1000;
const WORK = 8;

/**
 * Runs a piece inside an element: an SVG for the scene, real elements for assistive technology and
 * the keyboard, pointer events for input, animation frames for the clock. Frames are only asked for while something moves; a single timeout wakes it for the
 * next wait.
 */
export class Player {
  #run: Run;
  readonly #frame = new Frame();
  readonly #svg = this.#frame.svg;
  /** it comes a moment after the first picture */
  #access: Access | null = null;
  readonly #drawing: Drawing;
  /** whether anything has happened since the pointer pressed */
  #answered = false;
  #project: Project;
  #scale: number;
  readonly #clock = new Clock();
  /** how the page's focus came here: by a pointer that pressed, or by the keyboard */
  #pointing = false;
  #keyed = false;
  #touch = false;
  #calm = false;
  #showing: Showing | null = null;
  #request = 0;
  #timeout = 0;
  #last: Pick<State, "traits" | "screen" | "overlays"> | null = null;
  readonly #off = new AbortController();

  constructor(
    host: HTMLElement,
    private readonly options: PlayOptions,
  ) {
    this.#project = options.project;
    this.#scale = options.scale ?? 1;
    host.append(this.#frame.element);
    this.#drawing = new Drawing(this.#svg);
    this.#run = this.#begin();
    this.#listen();
    this.#show();
    void this.#attach();
  }

  /** Adds what assistive technology and fields need: nobody waits for it to see the piece. */
  async #attach(): Promise<void> {
    const { Access } = await import("./access");
    const { signal } = this.#off;
    if (signal.aborted) return;
    this.#access = new Access(this.#frame, signal, {
      run: () => this.#run,
      did: (act) => {
        this.#tick();
        act();
        this.#show();
      },
      told: (act) => this.options.onAct?.(act),
      pointing: () => this.#pointing,
      keyed: (keyed) => {
        this.#keyed = keyed;
        if (!keyed) this.#pointing = false;
      },
      shown: () => ({ project: this.#project, run: this.#run }),
      place: (touch) => this.#place(touch),
      clicked: (path) => this.#click(path),
      filled: (path, text) => this.#fill(path, text),
    });
    this.#show();
  }

  /** The running machine, to be read. */
  get machine(): Run {
    return this.#run;
  }

  #begin(): Run {
    this.#clock.restart();
    this.#last = null;
    const run = new Run(this.options.env, this.#project, this.options.piece, (event) => {
      if (event.type !== "missed" && event.type !== "leftPressed") this.#answered = true;
      this.options.onHappening?.(event);
    });
    run.setCalm(this.#calm);
    return run;
  }

  /** Starts again from the resting variant. */
  restart(): void {
    const { answersWell } = this.#run.inside.forms;
    this.#showing?.stop();
    this.#run = this.#begin();
    if (!answersWell) this.#run.input({ type: "answer", well: false });
    this.#show();
  }

  /** Takes an edited project and goes on where it is. */
  update(project: Project): void {
    if (project === this.#project) return;
    this.#project = project;
    this.#tick();
    this.#run.update(project);
    this.#show();
  }

  setScale(scale: number): void {
    this.#scale = scale;
    this.#show();
  }

  /** Sets a trait from outside. `at` is a path as the run's copies have it. */
  set(at: string, trait: Id, value: Id): void {
    this.#tick();
    this.options.onAct?.({ type: "show", at: this.#run.now, copy: withinScreen(at), trait, value });
    this.#run.input({ type: "show", at, trait, value });
    this.#show();
    const set = this.#run.copies().find((c) => c.path === at)?.piece.traits[trait];
    if (set) this.#frame.say(`${set.name}: ${set.values[value]?.name ?? ""}`);
  }

  /** Tells what stands for the receiver of forms whether they succeed. */
  answer(well: boolean): void {
    this.#run.input({ type: "answer", well });
  }

  goTo(screen: Id): void {
    this.#present({ type: "screen", screen });
  }

  /** Opens a screen over the shown one. */
  openOver(screen: Id): void {
    this.#present({ type: "overlay", screen });
  }

  /** Goes back: out of the front overlay, else to the screen before. */
  back(): void {
    this.#present({ type: "back" });
  }

  #present(input: Input): void {
    this.#tick();
    this.#run.input(input);
    this.#show();
  }

  /** Shows a screen with what lies over it and the states of all, at once. */
  present({ screen, overlays, traits }: Presented): void {
    this.#tick();
    for (const _ of this.#run.inside.overlays) this.#run.input({ type: "back" });
    this.#run.input({ type: "screen", screen });
    for (const over of overlays) this.#run.input({ type: "overlay", screen: over });
    // what is around comes first: it decides which copies there are
    for (const { at, trait, value } of traits) {
      const path = at === "" ? screen : `${screen}/${at}`;
      this.#run.input({ type: "show", at: path, trait, value });
    }
    this.#show();
  }

  /** Lights up everything that answers, and says how much that is. */
  lightUp(): number {
    return this.#access?.lightUp(this.#project, this.#run) ?? 0;
  }

  /**
   * Shows steps being done: time stands still while the hand goes from one to the next, so that one
   * sees each and all happen at their own times. Answers with the step that failed and why, null
   * when all went well; restarting or another showing ends it. How it is done is given along: what
   * only plays has no need of it.
   */
  async demonstrate(
    Shows: typeof Showing,
    steps: readonly Step[],
    onStep?: (step: number) => void,
  ): Promise<{ step: number; why: string } | null> {
    this.restart();
    const showing = (this.#showing = new Shows(this.#run, this.#project, this.#svg, {
      pass: (ms) => {
        this.#clock.skip(ms);
        this.#tick();
        this.#show();
      },
      show: () => this.#show(),
      ...(onStep ? { onStep } : {}),
    }));
    const rate = this.#clock.rate;
    this.setRate(0);
    const failed = await showing.play(steps);
    if (this.#showing === showing) {
      this.#showing = null;
      this.setRate(rate || 1);
    }
    return failed;
  }

  destroy(): void {
    this.#showing?.stop();
    this.#access?.clear();
    this.#off.abort();
    cancelAnimationFrame(this.#request);
    clearTimeout(this.#timeout);
    this.#frame.element.remove();
  }

  /**
   * How many ms of the piece pass in a ms of the world; 0 is a pause. What is under way goes on
   * from where it is.
   */
  setRate(rate: number): void {
    this.#tick();
    this.#clock.setRate(rate);
    this.#plan();
  }

  /** Lets a little time pass in a piece that is paused, ms. */
  stepBy(ms: number): void {
    this.#clock.skip(ms);
    this.#tick();
    this.#show();
  }

  /**
   * For people who asked for less motion (the media feature prefers-reduced-motion): changes only
   * fade.
   */
  setCalm(calm: boolean): void {
    this.#tick();
    this.#calm = calm;
    this.#run.setCalm(calm);
    this.#show();
  }

  /** Takes the pointer for a finger: nothing is hovered. */
  setTouch(touch: boolean): void {
    this.#tick();
    this.#run.pointer("cancel", 0, 0);
    this.#run.input({ type: "over", layer: null });
    this.#touch = touch;
    this.#show();
  }

  #tick(): void {
    const enough = performance.now() + WORK;
    do this.#run.advanceTo(Math.min(this.#clock.now(), this.#run.now + SLICE));
    while (this.#late && performance.now() < enough);
  }

  /** Whether more time has passed than could be made up for yet. */
  get #late(): boolean {
    return this.#clock.now() - this.#run.now >= SLICE;
  }

  /** Where an event is, px of the shown piece. */
  #place(e: Pick<MouseEvent, "clientX" | "clientY">): [number, number] {
    const box = this.#svg.getBoundingClientRect();
    const margin = this.options.margin ?? 0;
    return [
      (e.clientX - box.left) / this.#scale - margin,
      (e.clientY - box.top) / this.#scale - margin,
    ];
  }

  #listen(): void {
    const signal = this.#off.signal;
    const frame = this.#frame.element;
    for (const kind of ["move", "down", "up", "cancel"] as const)
      frame.addEventListener(`pointer${kind}`, (e) => this.#pointer(kind, e), { signal });
    frame.addEventListener("wheel", (e) => this.#wheel(e), { signal, passive: false });
    frame.addEventListener("pointerleave", () => this.#leave(), { signal });
  }

  #pointer(kind: "move" | "down" | "up" | "cancel", e: PointerEvent): void {
    const isButton = kind === "down" || kind === "up";
    if (!e.isPrimary || (isButton && e.button !== 0)) return;
    const place = this.#place(e);
    const field = this.#fieldUnder(e, place);
    if (kind === "down") {
      this.#pointing = true;
      this.#keyed = false;
      this.#answered = false;
      // a field marks its own text
      if (!field) this.#frame.element.setPointerCapture(e.pointerId);
    }
    // a list of choices opens by itself
    if (this.#showing || (isButton && field instanceof HTMLSelectElement)) return;
    this.#tick();
    const byTouch = this.#touch || e.pointerType === "touch";
    const act = this.#actOf(kind, ...place, byTouch);
    const swiped = this.#run.pointer(kind, ...place, byTouch);
    const did: Act | null = swiped ? { type: "scroll", at: this.#run.now, ...swiped } : act;
    if (did) this.options.onAct?.(did);
    this.#show();
    if (kind === "up" && !did?.type.startsWith("scroll")) this.#judge();
    const cursor = this.#clickable(...place) ? "pointer" : "default";
    this.#frame.element.style.cursor = this.#touch ? finger : cursor;
  }

  /** The field an event is on; what is painted over a field takes the pointer before it. */
  #fieldUnder(e: Event, place: readonly [number, number]): Element | null {
    const node = this.#access?.nodeAt(e.target);
    if (!node?.field) return null;
    const isFree = this.#under(...place) === node.path;
    this.#frame.letThrough(isFree);
    // nodes stand for elements
    return isFree ? (e.target as Element) : null;
  }

  /** Assistive technology clicks a layer, without any pointer. */
  #click(layer: string): void {
    if (this.#showing) return;
    this.#tick();
    const about = { at: this.#run.now, layer, x: 0, y: 0, touch: false };
    this.options.onAct?.({ type: "down", ...about });
    this.options.onAct?.({ type: "up", ...about });
    this.#run.input({ type: "click", layer });
    this.#show();
  }

  #fill(layer: string, text: string): void {
    this.#tick();
    this.options.onAct?.({ type: "fill", at: this.#run.now, layer, text });
    this.#run.input({ type: "fill", layer, text });
    this.#show();
  }

  /** A press that nothing answered shows what would have. */
  #judge(): void {
    if (!this.options.onMissed || this.#answered || this.#run.filling()) return;
    this.options.onMissed(this.lightUp());
  }

  #wheel(e: WheelEvent): void {
    if (e.ctrlKey || e.metaKey || this.#showing) return;
    this.#tick();
    const place = this.#place(e);
    const layer = this.#under(...place);
    // what one sees goes as far as the wheel says, however large it is shown
    const [dx, dy] = [e.deltaX / this.#scale, e.deltaY / this.#scale];
    if (this.#run.wheel(...place, dx, dy)) {
      e.preventDefault();
      const by = dy || dx;
      if (layer !== null) this.options.onAct?.({ type: "scroll", at: this.#run.now, layer, by });
    }
    this.#show();
  }

  #leave(): void {
    this.#tick();
    this.#run.input({ type: "over", layer: null });
    this.#show();
  }

  #actOf(
    kind: "move" | "down" | "up" | "cancel",
    x: number,
    y: number,
    touch: boolean,
  ): Act | null {
    if (!this.options.onAct || kind === "cancel" || (touch && kind === "move")) return null;
    return { type: kind, at: this.#run.now, layer: this.#under(x, y), x, y, touch };
  }

  /** The layer under a place, as rehearsals name it. */
  #under(x: number, y: number): string | null {
    return this.#run.hit(x, y)?.path ?? null;
  }

  /** Whether a click here would be answered: the pointer says so, as browsers do for links. */
  #clickable(x: number, y: number): boolean {
    if (!this.#run.hit(x, y)) return false;
    const over = new Set(this.#run.inside.pointer.over);
    return this.#run
      .copies()
      .some(({ path, piece }) =>
        Object.values(piece.rules).some(
          (r) => r.on && isPressed(r) && over.has(`${path}/${r.source ?? "root"}`),
        ),
      );
  }

  #show(): void {
    const scene = this.#run.scene();
    const margin = this.options.margin ?? 0;
    const w = (scene?.width ?? 0) + 2 * margin;
    const h = (scene?.height ?? 0) + 2 * margin;
    keep(this.#svg, "viewBox", `${-margin} ${-margin} ${w} ${h}`);
    keep(this.#svg, "width", String(w * this.#scale));
    keep(this.#svg, "height", String(h * this.#scale));
    keep(this.#frame.element, "aria-label", this.#nameOf(this.#run.screen));
    const about = { project: this.#project, run: this.#run, scene, margin, scale: this.#scale };
    this.#access?.show({ ...about, keyed: this.#keyed }, this.#showing === null);
    const seen = scene && this.#access ? this.#access.withoutFilled(scene) : scene;
    this.#drawing.draw(seen && paint(seen));
    const { traits, screen, overlays } = this.#run.inside;
    const before = this.#last;
    if (before?.traits !== traits || before.screen !== screen || before.overlays !== overlays) {
      this.#last = { traits, screen, overlays };
      this.#svg.dataset.screen = screen;
      if (before && (before.screen !== screen || before.overlays !== overlays))
        this.#frame.say(this.#nameOf(overlays.at(-1)?.screen ?? screen));
      this.options.onChange?.(this.#run);
    }
    this.#plan();
  }

  #nameOf(screen: Id): string {
    return this.#project.pieces[screen]?.name ?? this.options.name ?? "";
  }

  #plan(): void {
    cancelAnimationFrame(this.#request);
    clearTimeout(this.#timeout);
    const wake = this.#run.wakesAt();
    const next = () => {
      this.#tick();
      if (this.#late) this.#request = requestAnimationFrame(next);
      else this.#show();
    };
    if (this.#clock.rate === 0) return;
    if (wake <= this.#run.now) this.#request = requestAnimationFrame(next);
    else if (wake < Infinity)
      this.#timeout = window.setTimeout(next, Math.min(this.#clock.until(wake), 2 ** 30));
  }
}
