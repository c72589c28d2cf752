import type { Project } from "../../project";
import type { Emit, MachineEvent } from "../events";
import { takeDirect } from "../input/direct";
import { changed } from "../state";
import type { State } from "../state";
import { readableFiring, runDue } from "../time/wait";
import type { Input } from "../types";
import { cancel, clickOn, keyDown, keyUp, lift, moveFocus, moveOver, press } from "./contact";

const take = (project: Project, state: State, input: Input, emit: Emit): State => {
  switch (input.type) {
    case "over":
      return moveOver(project, state, input.layer, emit);
    case "down":
      return press(project, state, state.pointer.over, null, emit);
    case "up":
      return state.keyboard.pressing === null ? lift(project, state, emit) : state;
    case "cancel":
      return cancel(project, state, emit);
    case "focus":
      return moveFocus(project, state, input.layer, emit);
    case "key":
      return input.phase === "down"
        ? keyDown(project, state, input.key, emit)
        : keyUp(project, state, input.key, emit);
    case "click":
      return clickOn(project, state, input.layer, emit);
    case "move":
    case "fill":
    case "scroll":
    case "seen":
    case "answer":
    case "show":
    case "screen":
    case "overlay":
    case "back":
      return takeDirect(project, state, input, emit);
  }
};

/** The keyboard's focus goes back to where it was before an overlay. */
const refocus = (project: Project, state: State, emit: Emit): State => {
  const { refocus: layer } = state.keyboard;
  return layer === null
    ? state
    : moveFocus(project, changed(state, "keyboard", { refocus: null }), layer, emit);
};

/** Feeds one input. Same state and input give the same result, always. */
export const stepReadably = (
  project: Project,
  state: State,
  input: Input,
): { state: State; events: MachineEvent[] } => {
  const events: MachineEvent[] = [];
  const emit: Emit = (event) => events.push(event);
  const taken = refocus(project, take(project, state, input, emit), emit);
  return {
    state: refocus(project, runDue(project, taken, taken.now, readableFiring, emit), emit),
    events,
  };
};

/** Lets time pass until `until` (ms), firing waits at the very moment they are due. */
export const advanceReadably = (
  project: Project,
  state: State,
  until: number,
): { state: State; events: MachineEvent[] } => {
  const events: MachineEvent[] = [];
  const emit: Emit = (event) => events.push(event);
  const next = refocus(
    project,
    runDue(project, state, Math.max(until, state.now), readableFiring, emit),
    emit,
  );
  return { state: { ...next, now: Math.max(next.now, until) }, events };
};
