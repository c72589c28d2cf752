// Three sets of tokens that others publish: read, taken over, written, and compared token by token
// by a parser that is not ours. Exits with 1 if any token is another afterwards.
import { spawnSync } from "node:child_process";
import { existsSync, mkdirSync } from "node:fs";
import { join } from "node:path";
import { root } from "../serve.ts";
import { compareSet } from "./compare.ts";
import { tokenFilesIn } from "./files.ts";

interface Published {
  readonly name: string;
  readonly version: string;
  /** where its token files are */
  readonly folder: string;
  /** a type whose tokens that parser refuses in this set: their parts link to tokens of other types */
  readonly leavesOut?: string;
}

const sets: readonly Published[] = [
  { name: "@gitlab/ui", version: "137.2.6", folder: "src/tokens", leavesOut: "typography" },
  { name: "@primer/primitives", version: "11.10.0", folder: "src/tokens" },
  { name: "@haiilo/catalyst-tokens", version: "10.15.0", folder: "dist/export" },
];

const run = (command: string, args: readonly string[], cwd: string): void => {
  const done = spawnSync(command, args, { cwd, encoding: "utf8" });
  if (done.status !== 0) throw new Error(`${command} failed: ${done.stderr}`);
};

/** Where a set lies, fetched once. */
const fetched = ({ name, version }: Published): string => {
  const archive = `${name.replace("@", "").replace("/", "-")}-${version}`;
  const folder = join(root, ".cache/sets", archive);
  if (existsSync(join(folder, "package"))) return join(folder, "package");
  mkdirSync(folder, { recursive: true });
  run("npm", ["pack", "--silent", `${name}@${version}`], folder);
  run("tar", ["-xzf", `${archive}.tgz`], folder);
  return join(folder, "package");
};

let isSound = true;
for (const set of sets) {
  const files = tokenFilesIn(join(fetched(set), set.folder));
  const { tokens, compared, others, problems } = await compareSet(files, set.leavesOut);
  console.log(
    `${set.name} ${set.version}: ${files.length} files, ${tokens} tokens, ${compared} of them compared; others afterwards: ${others.length}`,
  );
  for (const id of others.slice(0, 20)) console.log(`  another: ${id}`);
  for (const { file, path, reason } of problems)
    console.log(`  not taken: ${file} ${path} ${reason}`);
  isSound &&= others.length === 0;
}
process.exit(isSound ? 0 : 1);
