import { spawn } from "node:child_process";
import { rmSync } from "node:fs";
import { join } from "node:path";
import { failedFiles } from "./run/failed.ts";
import { root } from "./serve.ts";

interface Step {
  readonly title: string;
  readonly command: readonly [string, ...string[]];
  /** what it prints is of interest only when it fails */
  readonly isQuiet?: boolean;
  /** where it writes which files failed: few of them get a second try, alone */
  readonly report?: string;
}
/** Steps one after the other; the first that fails ends them. */
type Lane = readonly Step[];

const folder = join(root, ".cache", `test-${process.pid}`);
const report = join(folder, "whole.json");

const script = (title: string, name: string): Step => ({
  title,
  command: ["npm", "run", "--silent", name],
});

/** What stands below needs what stands above; lanes beside one another share the processors. */
const floors: readonly (readonly Lane[])[] = [
  [[script("Fonts and icons", "generate")]],
  [
    [
      script("Format", "format:check"),
      script("Types", "typecheck"),
      script("Lint", "lint"),
      script("House rules", "house"),
      script("Unused code", "unused"),
    ],
    [
      { title: "Build", command: ["npx", "tsx", "scripts/build-for-test.ts"], isQuiet: true },
      script("Unit tests", "unit"),
    ],
  ],
  [
    [
      {
        title: "Tests of the whole",
        command: [
          "npm",
          "run",
          "--silent",
          "whole",
          "--",
          "--reporter=default",
          "--reporter=json",
          `--outputFile.json=${report}`,
        ],
        report,
      },
    ],
  ],
];

const env = { ...process.env, NUBBLE_BUILD: folder, FORCE_COLOR: "0" };
const began = Date.now();
const seconds = (since: number): number => Math.round((Date.now() - since) / 1000);

/**
 * Runs a step. What it says is printed once it has ended, so that lanes do not mix; at once where
 * it runs alone.
 */
const run = ({ title, command, isQuiet = false }: Step, isAlone: boolean): Promise<boolean> =>
  new Promise((resolve) => {
    const [program, ...args] = command;
    const since = Date.now();
    const child = spawn(program, args, { cwd: root, env });
    const said: Buffer[] = [];
    for (const stream of [child.stdout, child.stderr])
      stream.on("data", (chunk: Buffer) => {
        if (isAlone) process.stdout.write(chunk);
        else said.push(chunk);
      });
    child.on("error", (error) => said.push(Buffer.from(error.message)));
    child.on("close", (code) => {
      const passed = code === 0;
      console.log(`\x1b[1m· ${title}\x1b[0m (${seconds(since)} s)`);
      if (!passed || !isQuiet) process.stdout.write(Buffer.concat(said));
      if (!passed) console.error(`nubble: “${title}” failed`);
      resolve(passed);
    });
  });

/** The files of a step that failed, once more by themselves: what fails again fails. */
const runAgain = async ({ title, report }: Step): Promise<boolean> => {
  const files = report === undefined ? [] : await failedFiles(report);
  if (files.length === 0) return false;
  console.log(`nubble: failed at the first try, tried again:\n  ${files.join("\n  ")}`);
  const command = ["npm", "run", "--silent", "whole", "--", ...files] as const;
  return run({ title: `${title}, again`, command }, true);
};

const runLane = async (lane: Lane, isAlone: boolean): Promise<boolean> => {
  for (const step of lane) if (!(await run(step, isAlone)) && !(await runAgain(step))) return false;
  return true;
};

const runAll = async (): Promise<boolean> => {
  for (const floor of floors) {
    const passed = await Promise.all(floor.map((lane) => runLane(lane, floor.length === 1)));
    if (passed.includes(false)) return false;
  }
  return true;
};

const passed = await runAll();
rmSync(folder, { recursive: true, force: true });
if (passed) console.log(`\x1b[1m· All tests passed in ${seconds(began)} s\x1b[0m`);
process.exit(passed ? 0 : 1);
