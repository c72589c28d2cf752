import { advance, step } from "#core/machine";
import type { Input, MachineEvent, State } from "#core/machine";
import type { Project } from "#core/project";

/** Feeds a machine inputs, and lets so many ms pass for each number; with all that happened. */
export const feed = (
  project: Project,
  state: State,
  ...inputs: readonly (Input | number)[]
): { state: State; events: MachineEvent[] } =>
  inputs.reduce<{ state: State; events: MachineEvent[] }>(
    (r, i) => {
      const next =
        typeof i === "number"
          ? advance(project, r.state, r.state.now + i)
          : step(project, r.state, i);
      return { state: next.state, events: [...r.events, ...next.events] };
    },
    { state, events: [] },
  );
export const on = (layer: string | null): Input => ({ type: "over", layer });
export const click: readonly Input[] = [{ type: "down" }, { type: "up" }];
