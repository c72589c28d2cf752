import type { Project, Step } from "#core/project";
import { Rehearser } from "#core/rehearse";
import type { Run } from "#core/runtime";

interface Stage {
  /** lets time of the piece pass and shows it */ pass(ms: number): void;
  show(): void;
  onStep?: (step: number) => void;
}

/** How long the hand takes from one thing to the next, ms of the world. */
const REACH = 320;
const FRAME = 1000 / 60;

/** Does a rehearsal's steps before one's eyes, with a hand that can be seen. */
export class Showing {
  #stopped = false;
  readonly #hand: SVGGElement;
  #at: readonly [number, number] = [-20, -20];
  readonly #it: Rehearser;

  constructor(
    private readonly run: Run,
    project: Project,
    private readonly svg: SVGSVGElement,
    private readonly stage: Stage,
  ) {
    this.#it = new Rehearser(run, project);
    this.#hand = document.createElementNS("http://www.w3.org/2000/svg", "g");
    this.#hand.setAttribute("class", "showing-hand");
    this.#hand.setAttribute("pointer-events", "none");
    this.#hand.innerHTML =
      '<circle r="11" fill="#d9622b2e" stroke="#d9622b" stroke-width="2"/><circle r="2.5" fill="#d9622b"/>';
    svg.append(this.#hand);
    this.#put(this.#at);
  }

  stop(): void {
    this.#stopped = true;
    this.#hand.remove();
  }

  /** Plays all; the step that failed and why, or null. */
  async play(steps: readonly Step[]): Promise<{ step: number; why: string } | null> {
    for (const [i, step] of steps.entries()) {
      if (this.#stopped) return null;
      this.stage.onStep?.(i);
      const why = await this.#one(step);
      this.stage.show();
      if (why !== null && !this.#stopped) {
        this.stop();
        return { step: i, why };
      }
    }
    await this.#pause(REACH);
    if (!this.#stopped) this.stop();
    return null;
  }

  async #one(step: Step): Promise<string | null> {
    if (step.do === "wait") {
      await this.#pass(step.ms);
      return null;
    }
    if (step.do === "settle") {
      for (
        let i = 0;
        i < 1200 &&
        !this.#stopped &&
        (this.run.movesUntil() > this.run.now || this.run.inside.timers.waits.length > 0);
        i++
      )
        await this.#pass(FRAME);
      return null;
    }
    const aim = this.#it.aim(step);
    if (aim) await this.#go(aim);
    else if (step.do === "point" && step.layer === null) await this.#go([-20, -20]);
    else await this.#pause(REACH / 2);
    if (this.#stopped) return null;
    if (step.do === "drag")
      return aim ? this.#drag(aim, step.by, step.ms) : "the layer is not there";
    return this.#it.step(step);
  }

  /** A drag takes its own time, seen all the way. */
  async #drag(
    from: readonly [number, number],
    by: readonly [number, number],
    ms: number,
  ): Promise<null> {
    this.run.pointer("move", ...from);
    this.run.pointer("down", ...from);
    for (let t = 0; t < ms && !this.#stopped;) {
      const part = Math.min(FRAME, ms - t);
      await this.#pass(part);
      t += part;
      const to: readonly [number, number] = [
        from[0] + (by[0] * t) / ms,
        from[1] + (by[1] * t) / ms,
      ];
      this.run.pointer("move", ...to);
      this.#put(to);
      this.stage.show();
    }
    this.#it.where = [from[0] + by[0], from[1] + by[1]];
    this.run.pointer("up", ...this.#it.where);
    return null;
  }

  /** The hand glides; the piece's time stands still. */
  async #go(to: readonly [number, number]): Promise<void> {
    const from = this.#at;
    const began = performance.now();
    for (let t = 0; t < 1 && !this.#stopped;) {
      await this.#frame();
      t = Math.min(1, (performance.now() - began) / REACH);
      const s = t * t * (3 - 2 * t);
      this.#put([from[0] + (to[0] - from[0]) * s, from[1] + (to[1] - from[1]) * s]);
    }
  }

  async #pass(ms: number): Promise<void> {
    const began = performance.now();
    for (let gone = 0; gone < ms && !this.#stopped;) {
      await this.#frame();
      const now = Math.min(ms, performance.now() - began);
      this.stage.pass(now - gone);
      gone = now;
    }
  }

  #put(at: readonly [number, number]): void {
    this.#at = at;
    this.#hand.setAttribute("transform", `translate(${at[0]} ${at[1]})`);
    if (this.svg.lastChild !== this.#hand) this.svg.append(this.#hand);
  }

  #frame(): Promise<void> {
    return new Promise((r) => requestAnimationFrame(() => r()));
  }
  #pause(ms: number): Promise<void> {
    return new Promise((r) => setTimeout(r, ms));
  }
}
