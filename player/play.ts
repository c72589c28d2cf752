import { Run } from "#core/behaviour";
import type { Happening } from "#core/behaviour";
import { hitTest } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { paint } from "#core/paint";
import type { Id, Project } from "#core/project";
import { Drawing } from "./draw";

export interface PlayOptions {
  readonly env: LayoutEnv;
  readonly project: Project;
  readonly piece: Id;
  /** px on screen per px of the piece */
  readonly scale?: number;
  /** room around the piece inside the host, px of the piece, so that shadows and touch areas beyond the edge are there */
  readonly margin?: number;
  readonly onHappening?: (h: Happening) => void;
  /** after every step that changed traits or the shown screen */
  readonly onChange?: (run: Run) => void;
  readonly name?: string;
}

/** How much time may pass in one frame; after a longer pause (a hidden tab) waits still fire at their own times. */
const LONGEST_FRAME = 60_000;

/**
 * Runs a piece inside an element: an SVG for the scene, pointer events for input, animation frames for the clock.
 * Frames are only asked for while something moves; a single timeout wakes it for the next wait.
 */
export class Player {
  private run: Run;
  private readonly svg: SVGSVGElement;
  private readonly drawing: Drawing;
  private project: Project;
  private scale: number;
  private origin: number;
  private frame = 0;
  private timeout = 0;
  private lastTraits: unknown;
  private readonly off = new AbortController();

  constructor(host: HTMLElement, private readonly options: PlayOptions) {
    this.project = options.project;
    this.scale = options.scale ?? 1;
    this.svg = document.createElementNS("http://www.w3.org/2000/svg", "svg");
    this.svg.setAttribute("role", "img");
    this.svg.style.cssText = "display:block;touch-action:none;user-select:none;-webkit-user-select:none;cursor:default;overflow:visible";
    host.append(this.svg);
    this.drawing = new Drawing(this.svg);
    this.origin = performance.now();
    this.run = this.begin();
    this.listen();
    this.show();
  }

  /** The running machine, to be read. */
  get machine(): Run { return this.run; }

  private begin(): Run {
    this.origin = performance.now();
    this.lastTraits = undefined;
    return new Run(this.options.env, this.project, this.options.piece, this.options.onHappening);
  }

  /** Starts again from the resting variant. */
  restart(): void {
    this.run = this.begin();
    this.show();
  }

  /** Takes an edited project and goes on where it is. */
  update(project: Project): void {
    if (project === this.project) return;
    this.project = project;
    this.tick();
    this.run.update(project);
    this.show();
  }

  setScale(scale: number): void {
    this.scale = scale;
    this.show();
  }

  /** Sets a trait from outside. `at` is a path as the run's copies have it. */
  set(at: string, trait: Id, value: Id): void {
    this.tick();
    this.run.input({ type: "show", at, trait, value });
    this.show();
  }

  goTo(screen: Id): void {
    this.tick();
    this.run.input({ type: "screen", screen });
    this.show();
  }

  destroy(): void {
    this.off.abort();
    cancelAnimationFrame(this.frame);
    clearTimeout(this.timeout);
    this.svg.remove();
  }

  private tick(): void { this.run.advanceTo(Math.min(performance.now() - this.origin, this.run.now + LONGEST_FRAME)); }

  private listen(): void {
    const signal = this.off.signal;
    const place = (e: PointerEvent): [number, number] => {
      const box = this.svg.getBoundingClientRect();
      const margin = this.options.margin ?? 0;
      return [(e.clientX - box.left) / this.scale - margin, (e.clientY - box.top) / this.scale - margin];
    };
    const feed = (kind: "move" | "down" | "up" | "cancel") => (e: PointerEvent) => {
      if (!e.isPrimary || (kind === "down" && e.button !== 0) || (kind === "up" && e.button !== 0)) return;
      if (kind === "down") this.svg.setPointerCapture(e.pointerId);
      this.tick();
      this.run.pointer(kind, ...place(e), e.pointerType === "touch");
      this.show();
      this.svg.style.cursor = this.clickable(...place(e)) ? "pointer" : "default";
    };
    this.svg.addEventListener("pointermove", feed("move"), { signal });
    this.svg.addEventListener("pointerdown", feed("down"), { signal });
    this.svg.addEventListener("pointerup", feed("up"), { signal });
    this.svg.addEventListener("pointercancel", feed("cancel"), { signal });
    this.svg.addEventListener("pointerleave", () => {
      this.tick();
      this.run.input({ type: "over", layer: null });
      this.show();
    }, { signal });
  }

  /** Whether a click here would be answered: the pointer says so, as browsers do for links. */
  private clickable(x: number, y: number): boolean {
    const scene = this.run.scene();
    const hit = scene && hitTest(scene, x, y);
    if (!hit) return false;
    const over = new Set(this.run.inside.over);
    return this.run.copies().some(({ path, piece }) => Object.values(piece.rules).some((r) =>
      r.on && (r.trigger.type === "click" || r.trigger.type === "press" || r.trigger.type === "release") && over.has(`${path}/${r.source ?? "root"}`)));
  }

  private show(): void {
    const scene = this.run.scene();
    const margin = this.options.margin ?? 0;
    const w = (scene?.width ?? 0) + 2 * margin, h = (scene?.height ?? 0) + 2 * margin;
    this.svg.setAttribute("viewBox", `${-margin} ${-margin} ${w} ${h}`);
    this.svg.setAttribute("width", String(w * this.scale));
    this.svg.setAttribute("height", String(h * this.scale));
    this.svg.setAttribute("aria-label", this.project.pieces[this.run.screen]?.name ?? this.options.name ?? "");
    this.drawing.draw(scene && paint(scene));
    const { traits, screen } = this.run.inside;
    if (this.lastTraits !== traits || this.svg.dataset.screen !== screen) {
      this.lastTraits = traits;
      this.svg.dataset.screen = screen;
      this.options.onChange?.(this.run);
    }
    this.plan();
  }

  private plan(): void {
    cancelAnimationFrame(this.frame);
    clearTimeout(this.timeout);
    const wake = this.run.wakesAt();
    const next = () => {
      this.tick();
      this.show();
    };
    if (wake <= this.run.now) this.frame = requestAnimationFrame(next);
    else if (wake < Infinity) this.timeout = window.setTimeout(next, Math.min(wake - this.run.now, 2 ** 30));
  }
}
