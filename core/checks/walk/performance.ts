import { advance, changed, copyOf, step } from "../../machine";
import type { Draft, Input, MachineEvent, State, Timer } from "../../machine";
import type { Project } from "../../project";
import type { Grounds } from "./ground";
import type { Doing } from "./types";
import { INSTANT } from "./waits";

/** One thing being done; inputs that belong together happen at one moment. */
class Performance {
  readonly events: MachineEvent[] = [];
  state: State;

  constructor(
    private readonly project: Project,
    before: State,
  ) {
    const begun: Draft<State> = copyOf(before);
    begun.now += INSTANT;
    this.state = begun;
  }

  private take({ state, events }: { state: State; events: readonly MachineEvent[] }): void {
    this.state = state;
    this.events.push(...events);
  }

  private feed(...inputs: readonly Input[]): void {
    for (const input of inputs) this.take(step(this.project, this.state, input));
  }

  /** Lets what is due end. */
  private end(state: State): void {
    this.take(advance(this.project, state, state.now));
  }

  private endMotion(path: string): void {
    const { timers, now } = this.state;
    this.end(changed(this.state, "timers", { settling: { ...timers.settling, [path]: now } }));
  }

  act(does: Doing): void {
    switch (does.do) {
      case "point":
        return this.feed({ type: "over", layer: does.layer });
      case "press":
        return this.feed({ type: "down" });
      case "release":
        return this.feed({ type: "up" });
      case "pause":
        this.state = changed(this.state, "pointer", { clicked: null });
        return;
      case "finger":
        return this.feed({ type: "over", layer: does.layer }, { type: "down" });
      case "lift":
        return this.feed({ type: "up" }, { type: "over", layer: null });
      case "drag":
        return this.drag(does.by);
      case "key":
        return this.key(does.key, does.phase);
      case "focus":
        return this.feed({ type: "focus", layer: does.layer });
      case "show":
        return this.feed({
          type: "show",
          at: this.state.screen,
          trait: does.trait,
          value: does.value,
        });
      case "wait":
        return this.endWait(does.timer);
      case "see":
        return this.see(does.layer);
      case "answer":
        return this.answer(does.path, does.well);
      case "settle":
        return this.endMotion(does.path);
    }
  }

  private drag([x, y]: readonly [number, number]): void {
    this.feed(
      { type: "move", x: 0, y: 0 },
      { type: "down" },
      { type: "move", x, y },
      { type: "up" },
    );
  }

  private key(key: string, phase: "down" | "up"): void {
    this.feed({ type: "key", key, phase });
    if (phase === "down" && this.state.keyboard.pressing === null)
      this.feed({ type: "key", key, phase: "up" });
  }

  private endWait(timer: Timer): void {
    const isIt = (t: Timer): boolean =>
      t.at === timer.at &&
      t.due === timer.due &&
      (t.source === undefined) === (timer.source === undefined) &&
      t.clip === timer.clip;
    const { timers, now } = this.state;
    const waits = timers.waits.map((t) => (isIt(t) ? { ...t, due: now } : t));
    this.end(changed(this.state, "timers", { waits }));
  }

  private see(layer: string): void {
    const before = this.state.scroll.inSight.map((path) =>
      path.slice(this.state.screen.length + 1),
    );
    this.feed({ type: "seen", layers: [...before, layer] });
  }

  private answer(path: string, well: boolean): void {
    const { sending } = this.state.forms;
    const form = sending[path];
    if (!form) return;
    const answered = { ...sending, [path]: { ...form, due: this.state.now } };
    this.end(changed(this.state, "forms", { answersWell: well, sending: answered }));
  }
}

/**
 * A focus that a press brought and nobody is shown. Unless somebody listens for that it makes no
 * difference until a key is pressed, and what keys do there is looked at from the keyboard's focus.
 */
const isFocusUnnoticed = ({ keyboard: { focused, shown } }: State, grounds: Grounds): boolean =>
  !shown && focused.length > 0 && !grounds.hearsFocus;

const nobody: State["writers"] = {};

/** The state without what makes no difference to anything that can happen from there. */
export const observable = (state: State, grounds: Grounds): State => {
  const next: Draft<State> = copyOf(state);
  const { pointer, keyboard } = state;
  if (isFocusUnnoticed(state, grounds)) next.keyboard = { ...keyboard, focused: [] };
  // a double click needs somebody who listens for one
  const clicked = grounds.hearsDouble ? pointer.clicked : null;
  const grip = pointer.pressed ? pointer.grip : null;
  const { over, pressed, drag, heldIn } = pointer;
  next.pointer = { over, pressed, grip, trail: [], drag, heldIn, clicked };
  // who set a trait last matters to those alone that may take it back
  if (state.reverts.length === 0) next.writers = nobody;
  return next;
};

/** Does one thing; inputs that belong together happen at one moment. */
export const perform = (
  project: Project,
  before: State,
  does: Doing,
  grounds: Grounds,
): { state: State; events: readonly MachineEvent[] } => {
  const performance = new Performance(project, before);
  performance.act(does);
  return { state: observable(performance.state, grounds), events: performance.events };
};
