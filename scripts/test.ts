import { spawnSync } from "node:child_process";
import { rmSync } from "node:fs";
import { join } from "node:path";
import { root } from "./serve.ts";

const folder = join(root, ".cache", `test-${process.pid}`);
const steps: [string, string[]][] = [
  ["Fonts and icons", ["npm", "run", "--silent", "generate"]],
  ["Format", ["npm", "run", "--silent", "format:check"]],
  ["Types", ["npm", "run", "--silent", "typecheck"]],
  ["Lint", ["npm", "run", "--silent", "lint"]],
  ["House rules", ["npm", "run", "--silent", "house"]],
  ["Unused code", ["npm", "run", "--silent", "unused"]],
  ["Unit tests", ["npm", "run", "--silent", "unit"]],
  ["Build", ["npx", "tsx", "scripts/build-for-test.ts"]],
  ["Tests of the whole", ["npm", "run", "--silent", "whole"]],
];

const began = Date.now();
let code = 0;
for (const [title, [program = "", ...args]] of steps) {
  console.log(`\x1b[1m· ${title}\x1b[0m`);
  const env = { ...process.env, NUBBLE_BUILD: folder, FORCE_COLOR: "0" };
  const quiet = title === "Build";
  const done = spawnSync(program, args, {
    cwd: root,
    env,
    stdio: quiet ? "pipe" : "inherit",
    encoding: "utf8",
  });
  if (done.status !== 0) {
    if (quiet) console.error(done.stdout, done.stderr);
    console.error(`nubble: “${title}” failed`);
    code = 1;
    break;
  }
}
rmSync(folder, { recursive: true, force: true });
console.log(
  code === 0
    ? `\x1b[1m· All tests passed in ${Math.round((Date.now() - began) / 1000)} s\x1b[0m`
    : "",
);
process.exit(code);
