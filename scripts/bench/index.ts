// Speed and size of what must feel instant. Prints rates and times per operation; nothing here is a
// pass or a fail.
//
// `npm run bench` measures all; with names of sections after it only those, in the order below.
import "../../core/combine/index.ts";
import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { LayoutEnv } from "../../core/layout/index.ts";
import { root } from "../serve.ts";
import { behaviour } from "./behaviour.ts";
import { cards } from "./cards.ts";
import { crowd } from "./kept/crowd.ts";
import { editions } from "./editions.ts";
import { frames } from "./frames.ts";
import { gather } from "./gather.ts";
import { history } from "./kept/history.ts";
import { machine, rateOfWorkload } from "./machine.ts";
import { library } from "./library.ts";
import { motion } from "./motion.ts";
import { projects } from "./kept/projects.ts";
import { saving } from "./kept/saving.ts";
import { nudge } from "./nudge.ts";
import { playerSize } from "./size.ts";
import { stage } from "./stage.ts";

const env: LayoutEnv = {
  fonts: JSON.parse(readFileSync(join(root, "generated/fonts.json"), "utf8")) as LayoutEnv["fonts"],
};
const line = (name: string, value: string) => console.log(`${name.padEnd(64)} ${value}`);

const measureSaving = async (): Promise<void> => {
  const home = mkdtempSync(join(tmpdir(), "nubble-bench-"));
  try {
    await saving(home, line);
  } finally {
    rmSync(home, { recursive: true, force: true });
  }
};

type Section = () => void | Promise<void>;
const sections: Readonly<Record<string, Section>> = {
  cards: () => cards(env, line),
  machine: () => machine(env, line),
  behaviour: () => behaviour(env, line),
  motion: () => motion(env, line),
  player: () => frames(env, line),
  gather: () => gather(line),
  library: () => library(line),
  editions: () => editions(env, line),
  size: () => playerSize(line),
  saving: measureSaving,
  crowd: () => crowd(line),
  projects: () => projects(line),
  history: () => history(line),
  nudge: () => nudge(line),
  stage: () => stage(line),
  map: () => stage(line, true),
};

const [mode, workload] = process.argv.slice(2);
if (mode === "--rate") {
  console.log(rateOfWorkload(workload ?? ""));
  process.exit(0);
}

const asked = process.argv.slice(2);
const unknown = asked.filter((name) => !sections[name]);
if (unknown.length) {
  console.error(
    `No such section: ${unknown.join(", ")}. There are ${Object.keys(sections).join(", ")}.`,
  );
  process.exit(2);
}
for (const [name, section] of Object.entries(sections)) {
  // the stage measures the map as well
  const isMeasured = asked.length ? asked.includes(name) : name !== "map";
  if (isMeasured) await section();
}
