import { advance, start, step } from "../../machine";
import type { Input, State } from "../../machine";
import type { Piece, Project, Step } from "../../project";
import { Grounds } from "./ground";
import { perform } from "./performance";
import type { Doing, Node } from "./types";

/** A way through situations as steps of a rehearsal, on the real clock. */
class Way {
  readonly steps: Step[] = [];
  private readonly grounds: Grounds;
  private state: State;

  constructor(
    private readonly project: Project,
    piece: Piece,
  ) {
    this.grounds = new Grounds(null, project, piece);
    this.state = start(project, piece.id);
  }

  private feed(...inputs: readonly Input[]): void {
    for (const input of inputs) this.state = step(this.project, this.state, input).state;
  }

  private until(due: number): void {
    const { now } = this.state;
    if (due > now) this.steps.push({ do: "wait", ms: Math.ceil(due - now) });
    this.state = advance(this.project, this.state, Math.ceil(due)).state;
  }

  private perform(does: Doing): void {
    this.state = perform(this.project, this.state, does, this.grounds).state;
  }

  take(does: Doing): void {
    switch (does.do) {
      case "point":
        this.steps.push({ do: "point", layer: does.layer });
        return this.feed({ type: "over", layer: does.layer });
      case "press":
        this.steps.push({ do: "press" });
        return this.feed({ type: "down" });
      case "release":
        this.steps.push({ do: "release" });
        return this.feed({ type: "up" });
      case "pause":
        return this.until(this.state.now + 500);
      case "finger":
        this.steps.push({ do: "point", layer: does.layer }, { do: "press" });
        return this.feed({ type: "over", layer: does.layer }, { type: "down" });
      case "lift":
        this.steps.push({ do: "release" }, { do: "point", layer: null });
        return this.feed({ type: "up" }, { type: "over", layer: null });
      case "drag":
        this.steps.push({ do: "drag", layer: does.layer, by: does.by, ms: 300 });
        return this.perform(does);
      case "key":
        if (does.phase === "down") this.steps.push({ do: "key", key: does.key });
        return this.feed({ type: "key", key: does.key, phase: does.phase });
      case "focus":
        this.steps.push({ do: "focus", layer: does.layer });
        return this.feed({ type: "focus", layer: does.layer });
      case "show": {
        const { trait, value } = does;
        this.steps.push({ do: "show", at: "", trait, value });
        return this.feed({ type: "show", at: this.state.screen, trait, value });
      }
      case "see":
        this.steps.push({ do: "scroll", layer: does.layer, by: 10_000 });
        return this.perform(does);
      case "answer":
        this.steps.push({ do: "answer", well: does.well });
        this.feed({ type: "answer", well: does.well });
        return this.until(this.dueOf(does));
      case "wait":
      case "settle":
        return this.until(this.dueOf(does));
    }
  }

  /** When what is waited for ends; now when nothing is. */
  private dueOf(does: Extract<Doing, { do: "wait" | "settle" | "answer" }>): number {
    const { timers, forms, now } = this.state;
    if (does.do === "answer") return forms.sending[does.path]?.due ?? now;
    if (does.do === "settle") return timers.settling[does.path] ?? now;
    const { at, rule } = does.timer;
    return timers.waits.find((t) => t.at === at && t.rule === rule)?.due ?? now;
  }
}

/**
 * The shortest sequence found that leads to a situation, as a rehearsal's steps, with the real
 * waits.
 */
export const wayTo = (project: Project, piece: Piece, node: Node, last?: Doing): Step[] => {
  const list: Doing[] = last ? [last] : [];
  for (let at: Node | undefined = node; at?.from; at = at.from.node) list.unshift(at.from.does);
  const way = new Way(project, piece);
  for (const does of list) way.take(does);
  return shortened(way.steps);
};

/** Point, press and release on one layer are a click. */
const shortened = (steps: readonly Step[]): Step[] => {
  const out: Step[] = [];
  for (const s of steps) {
    const [a, b] = out.slice(-2);
    if (s.do === "release" && b?.do === "press" && a?.do === "point" && a.layer !== null)
      out.splice(-2, 2, { do: "click", layer: a.layer });
    else out.push(s);
  }
  return out;
};
