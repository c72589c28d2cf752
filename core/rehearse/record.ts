import type { Step } from "../project";

/**
 * What a person did with a running piece; `layer` is what was under the pointer, times in ms of the
 * piece's clock, places in px.
 */
export type Act =
  | {
      readonly type: "move" | "down" | "up";
      readonly at: number;
      readonly layer: string | null;
      readonly x: number;
      readonly y: number;
      readonly touch: boolean;
    }
  /** what is under the pointer was scrolled, by a wheel or a finger; px */
  | { readonly type: "scroll"; readonly at: number; readonly layer: string; readonly by: number }
  | { readonly type: "key"; readonly at: number; readonly key: string }
  | { readonly type: "fill"; readonly at: number; readonly layer: string; readonly text: string }
  | { readonly type: "tab"; readonly at: number; readonly back: boolean }
  | {
      readonly type: "show";
      readonly at: number;
      readonly copy: string;
      readonly trait: string;
      readonly value: string;
    };

/** Shorter pauses than this are part of the hand's own slowness and are left out; ms. */
const NOTICED = 60;
/** A press that lasts no longer is a click; ms. */
const QUICK = 400;
/** Turns of a wheel no further apart are one scroll; ms. */
const ONE_TURN = 400;
/** A press that goes further is a drag; px. */
const FAR = 4;

/** Turns what someone does in Try into the steps of a rehearsal. */
export class Recorder {
  private steps: Step[] = [];
  private last = 0;
  /** how it was before the last entry, to take it back */
  private before = { steps: 0, last: 0 };
  private over: string | null = null;
  private pressed: {
    readonly at: number;
    readonly layer: string | null;
    readonly x: number;
    readonly y: number;
  } | null = null;

  /** The steps so far. */
  get recorded(): readonly Step[] {
    return this.steps;
  }

  take(act: Act): void {
    switch (act.type) {
      case "move":
        this.move(act.layer, act.at);
        break;
      case "down":
        this.pressed = { at: act.at, layer: act.layer, x: act.x, y: act.y };
        break;
      case "up":
        this.up(act);
        break;
      case "scroll":
        this.scroll(act.layer, act.by, act.at);
        break;
      case "key":
        this.add(act.at, { do: "key", key: act.key });
        break;
      case "fill":
        this.fill(act.layer, act.text, act.at);
        break;
      case "tab":
        this.add(act.at, { do: "tab", back: act.back });
        break;
      case "show":
        this.add(act.at, { do: "show", at: act.copy, trait: act.trait, value: act.value });
        break;
    }
  }

  /** Something is expected at this moment. */
  expect(step: Step, at: number): void {
    this.add(at, step);
  }

  private move(layer: string | null, at: number): void {
    if (this.pressed || layer === this.over) return;
    this.over = layer;
    // gliding over something on the way to something else is one movement
    const before = this.steps.at(-1);
    if (before?.do === "point" && at - this.last < NOTICED) this.takeBack();
    this.add(at, { do: "point", layer });
  }

  private scroll(layer: string, by: number, at: number): void {
    this.pressed = null;
    const last = this.steps.at(-1);
    if (last?.do !== "scroll" || last.layer !== layer || at - this.last > ONE_TURN) {
      this.add(at, { do: "scroll", layer, by: Math.round(by) });
      return;
    }
    this.steps[this.steps.length - 1] = { ...last, by: last.by + Math.round(by) };
    this.last = at;
  }

  /** What is typed letter by letter is one step. */
  private fill(layer: string, text: string, at: number): void {
    const last = this.steps.at(-1);
    if (last?.do !== "fill" || last.layer !== layer) {
      this.add(at, { do: "fill", layer, text });
      return;
    }
    this.steps[this.steps.length - 1] = { ...last, text };
    this.last = at;
  }

  private up({ at, layer, x, y, touch }: Extract<Act, { type: "move" | "down" | "up" }>): void {
    const from = this.pressed;
    this.pressed = null;
    if (!from || from.layer === null) return;
    this.over = touch ? null : layer;
    const last = this.steps.at(-1);
    // the way to what is clicked belongs to the click
    if (last?.do === "point" && last.layer === from.layer) this.takeBack();
    const far = Math.hypot(x - from.x, y - from.y) > FAR;
    if (far && layer !== from.layer) {
      this.add(from.at, { do: "point", layer: from.layer }, { do: "press" });
      this.add(at, { do: "point", layer }, { do: "release" });
    } else if (far)
      this.add(from.at, {
        do: "drag",
        layer: from.layer,
        by: [Math.round(x - from.x), Math.round(y - from.y)],
        ms: Math.round(at - from.at),
      });
    else if (at - from.at <= QUICK)
      this.add(from.at, { do: touch ? "tap" : "click", layer: from.layer });
    else {
      this.add(from.at, { do: "point", layer: from.layer }, { do: "press" });
      this.add(at, { do: "release" });
    }
    this.last = at;
  }

  private takeBack(): void {
    this.steps.length = this.before.steps;
    this.last = this.before.last;
  }

  private add(at: number, ...steps: Step[]): void {
    this.before = { steps: this.steps.length, last: this.last };
    const pause = Math.round((at - this.last) / 10) * 10;
    if (pause >= NOTICED) this.steps.push({ do: "wait", ms: pause });
    this.steps.push(...steps);
    this.last = at;
  }
}
