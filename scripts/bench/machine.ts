import { createActor, createMachine } from "xstate";
import type { LayoutEnv } from "../../core/layout/index.ts";
import { start, step, stepReadably } from "../../core/machine/index.ts";
import type { Input } from "../../core/machine/index.ts";
import { Run } from "../../core/runtime/index.ts";
import { kelpwayKit } from "../../demo/index.ts";
import { compared, rateOf, said } from "./apart.ts";
import type { Line } from "./support.ts";

const project = kelpwayKit();

/** The four switches of a screen, pointed at and clicked one after the other. */
const tour: readonly Input[] = [
  "dock/knob",
  "delays/track",
  "bicycle/square",
  "weather/knob",
].flatMap((layer): Input[] => [{ type: "over", layer }, { type: "down" }, { type: "up" }]);

const inputAt = (list: readonly Input[], i: number): Input =>
  list[i % list.length] ?? { type: "up" };

/** The Alert switch pressed and let go: one click for each call. */
const presses = (take: typeof stepReadably) => {
  let { state } = take(project, start(project, "alert-switch"), { type: "over", layer: "knob" });
  return (): void => {
    state = take(project, state, { type: "down" }).state;
    state = take(project, state, { type: "up" }).state;
  };
};

const screen = (take: typeof stepReadably) => {
  let state = start(project, "trip-settings");
  return (i: number): void => {
    state = take(project, state, inputAt(tour, i)).state;
  };
};

/**
 * The Alert switch in a general state-machine library: pressed while held, on and off with a click.
 * What is pressed and let go sends the three events that this comes to.
 */
const generalPresses = () => {
  const machine = createMachine({
    type: "parallel",
    states: {
      alerts: {
        initial: "off",
        states: { off: { on: { click: "on" } }, on: { on: { click: "off" } } },
      },
      pressed: {
        initial: "no",
        states: { no: { on: { press: "yes" } }, yes: { on: { letgo: "no" } } },
      },
    },
  });
  const actor = createActor(machine).start();
  return (): void => {
    actor.send({ type: "press" });
    actor.send({ type: "click" });
    actor.send({ type: "letgo" });
  };
};

const workloads: Readonly<Record<string, () => (i: number) => void>> = {
  presses: () => presses(step),
  "presses-general": generalPresses,
  screen: () => screen(step),
  "screen-readably": () => screen(stepReadably),
};

/** The rate of one workload, for a process that measures nothing else. */
export const rateOfWorkload = (name: string): number => {
  const make = workloads[name];
  if (!make) throw new Error(`no workload ${name}`);
  return rateOf(make());
};

/** The machine against a general one and against its readable twin; and a run with its scene. */
export const machine = (env: LayoutEnv, line: Line): void => {
  const one = compared("presses", "presses-general");
  const [ours, general] = one.rates;
  if (ours && general)
    line(
      "machine: presses of the Alert switch, traits only",
      `${said(ours)}/s, a general state-machine library ${said(general)}`,
    );
  for (const ratio of one.ratios) line("", `${said(ratio, 1)} times as many`);
  const four = compared("screen", "screen-readably");
  const [byTables, readably] = four.rates;
  if (byTables && readably)
    line(
      "machine: pointer events on a screen of four nested copies",
      `${said(byTables)}/s, the readable machine ${said(readably)}`,
    );
  for (const ratio of four.ratios) line("", `${said(ratio, 1)} times as many`);
  const run = new Run(env, project, "trip-settings");
  line(
    "machine: the same with layout and motion of the scene",
    `${Math.round(rateOf((i) => run.input(inputAt(tour, i)))).toLocaleString("en")} events/s`,
  );
};
