import type { Project } from "../../project";
import type { Emit, MachineEvent } from "../events";
import { takeDirect } from "../input/direct";
import type { State } from "../state";
import type { Input } from "../types";
import { clickOn, keyDown, keyUp, lift, moveFocus, moveOver, press, release } from "./contact";
import { keyboardOf, withKeyboard } from "./copies";
import { copyOf } from "../state";
import { fireDue } from "./due";
import { programOf } from "./program";
import type { Program } from "./program";

const take = (program: Program, state: State, input: Input, emit: Emit): State => {
  switch (input.type) {
    case "over":
      return moveOver(program, state, input.layer, emit);
    case "down":
      return press(program, state, state.pointer.over, null, emit);
    case "up":
      return state.keyboard.pressing === null ? lift(program, state, emit) : state;
    case "cancel":
      return release(program, state, emit);
    case "focus":
      return moveFocus(program, state, input.layer, emit);
    case "key":
      return input.phase === "down"
        ? keyDown(program, state, input.key, emit)
        : keyUp(program, state, input.key, emit);
    case "click":
      return clickOn(program, state, input.layer, emit);
    case "move":
    case "fill":
    case "scroll":
    case "seen":
    case "answer":
    case "show":
    case "screen":
    case "overlay":
    case "back":
      return takeDirect(program.project, state, input, emit);
  }
};

/** The keyboard's focus goes back to where it was before an overlay. */
const refocus = (program: Program, state: State, emit: Emit): State => {
  const { refocus: layer } = state.keyboard;
  if (layer === null) return state;
  const keyboard = keyboardOf(state);
  keyboard.refocus = null;
  return moveFocus(program, withKeyboard(state, keyboard), layer, emit);
};

/** A state, and what happened on the way to it. */
export interface Stepped {
  readonly state: State;
  readonly events: MachineEvent[];
}

/** Feeds one input. Same state and input give the same result, always. */
export const step = (project: Project, state: State, input: Input): Stepped => {
  const program = programOf(project);
  const events: MachineEvent[] = [];
  const emit: Emit = (event) => events.push(event);
  const taken = refocus(program, take(program, state, input, emit), emit);
  return { state: refocus(program, fireDue(program, taken, taken.now, emit), emit), events };
};

/** Lets time pass until `until` (ms), firing waits at the very moment they are due. */
export const advance = (project: Project, state: State, until: number): Stepped => {
  const program = programOf(project);
  const events: MachineEvent[] = [];
  const emit: Emit = (event) => events.push(event);
  const due = fireDue(program, state, Math.max(until, state.now), emit);
  const next = copyOf(refocus(program, due, emit));
  next.now = Math.max(next.now, until);
  return { state: next, events };
};
