import type { LayoutEnv } from "../../core/layout/index.ts";
import { start, step } from "../../core/machine/index.ts";
import type { Input } from "../../core/machine/index.ts";
import { Run } from "../../core/runtime/index.ts";
import { kelpwayKit } from "../../demo/index.ts";
import type { Line } from "./support.ts";

/** Events per second of the machine alone, and of a run with its scene. */
export const machine = (env: LayoutEnv, line: Line): void => {
  const project = kelpwayKit();
  const tour: Input[] = ["dock/knob", "delays/track", "bicycle/square", "weather/knob"].flatMap(
    (layer): Input[] => [{ type: "over", layer }, { type: "down" }, { type: "up" }],
  );
  const rate = (feed: (input: Input) => void): number => {
    for (let i = 0; i < 2000; i++) feed(tour[i % tour.length] as Input);
    const begin = performance.now();
    let n = 0;
    while (performance.now() - begin < 700)
      for (let i = 0; i < 120; i++, n++) feed(tour[i % tour.length] as Input);
    return n / ((performance.now() - begin) / 1000);
  };
  let state = start(project, "trip-settings");
  line(
    "machine: pointer events on a screen of four nested copies",
    `${Math.round(
      rate((i) => {
        state = step(project, state, i).state;
      }),
    ).toLocaleString("en")} events/s`,
  );
  const run = new Run(env, project, "trip-settings");
  line(
    "machine: the same with layout and motion of the scene",
    `${Math.round(rate((i) => run.input(i))).toLocaleString("en")} events/s`,
  );
};
