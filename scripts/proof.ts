// The long proofs in full; ./nubble test runs a seeded sample of each.
import { spawnSync } from "node:child_process";
import { root } from "./serve.ts";

const proofs: [string, Record<string, string>, string[]][] = [
  [
    "Two windows, a third person, and whatever breaks",
    { PROOF_RUNS: "20000" },
    ["npx", "vitest", "run", "--project", "unit", "app/session/interleaving"],
  ],
  [
    "2000 editions, each reported just as brute force finds it",
    { PROOF_RUNS: "2000" },
    ["npx", "vitest", "run", "--project", "unit", "core/system/report/iff"],
  ],
  [
    "A million inputs, each taken by tables just as by the readable machine",
    { PROOF_RUNS: "5000" },
    ["npx", "vitest", "run", "--project", "unit", "core/machine/compiled/same"],
  ],
  [
    "200 components, all situations as a search finds them that joins none",
    { PROOF_RUNS: "200" },
    ["npx", "vitest", "run", "--project", "unit", "core/checks/walk/brute"],
  ],
  [
    "5000 requests that nobody means well by",
    { FUZZ_REQUESTS: "5000" },
    ["npx", "vitest", "run", "--project", "whole", "tests/files/fuzz.test.ts"],
  ],
  [
    "Three published sets of tokens, to a parser that is not ours",
    {},
    ["npm", "run", "--silent", "sets"],
  ],
  ["1000 kills", {}, ["npm", "run", "--silent", "chaos"]],
];

for (const [title, env, [program = "", ...args]] of proofs) {
  console.log(`\x1b[1m· ${title}\x1b[0m`);
  const done = spawnSync(program, args, {
    cwd: root,
    env: { ...process.env, ...env },
    stdio: "inherit",
  });
  if (done.status !== 0) process.exit(1);
}
