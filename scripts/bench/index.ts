// Speed and size of what must feel instant. Prints rates and times per operation; nothing here is a
// pass or a fail.
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { LayoutEnv } from "../../core/layout/index.ts";
import { readFileSync } from "node:fs";
import { root } from "../serve.ts";
import { behaviour } from "./behaviour.ts";
import { cards } from "./cards.ts";
import { frames } from "./frames.ts";
import { machine } from "./machine.ts";
import { motion } from "./motion.ts";
import { playerSize } from "./size.ts";
import { saving } from "./saving.ts";
import { gather } from "./gather.ts";
import { stage } from "./stage.ts";

const env: LayoutEnv = {
  fonts: JSON.parse(readFileSync(join(root, "generated/fonts.json"), "utf8")) as LayoutEnv["fonts"],
};
const line = (name: string, value: string) => console.log(`${name.padEnd(64)} ${value}`);

// `npm run bench stage` measures the stage alone, `npm run bench map` the map, `npm run bench
// motion` movement, `npm run bench behaviour` rules and checks
const only = process.argv[2];
if (only === "behaviour") behaviour(env, line);
else if (only === "motion") {
  motion(env, line);
  await frames(env, line);
} else if (only !== "stage" && only !== "map") {
  cards(env, line);
  machine(env, line);
  behaviour(env, line);
  motion(env, line);
  await frames(env, line);
  gather(line);
  await playerSize(line);
  const home = mkdtempSync(join(tmpdir(), "nubble-bench-"));
  try {
    await saving(home, line);
  } finally {
    rmSync(home, { recursive: true, force: true });
  }
}
if (only !== "behaviour" && only !== "motion") await stage(line, only === "map");
