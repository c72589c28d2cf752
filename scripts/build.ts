import { spawnSync } from "node:child_process";
import { createHash } from "node:crypto";
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { root } from "./serve.ts";

const sources = [
  "core",
  "player",
  "server",
  "app",
  "demo",
  "workers",
  "scripts/fonts.ts",
  "scripts/icons",
  "scripts/run/threads.ts",
  "package-lock.json",
  "package.json",
  "vite.config.ts",
  "react-router.config.ts",
];

const filesIn = (path: string): string[] => {
  if (!existsSync(path)) {
    return [];
  }
  return statSync(path).isDirectory()
    ? readdirSync(path)
        .sort()
        .flatMap((f) => filesIn(join(path, f)))
    : [path];
};

/** A fingerprint of everything the build is made from. */
const fingerprint = (): string => {
  const hash = createHash("sha256");
  for (const file of sources.flatMap((s) => filesIn(join(root, s))))
    hash.update(file).update(readFileSync(file));
  return hash.digest("hex");
};

/**
 * Builds the application into a folder unless it is built from these very sources already; says
 * whether it had to.
 */
export const build = (folder: string): boolean => {
  const stamp = join(folder, "stamp");
  const print = fingerprint();
  if (existsSync(stamp) && readFileSync(stamp, "utf8") === print) return false;
  const done = spawnSync("npm", ["run", "build", "--silent"], {
    cwd: root,
    env: { ...process.env, NUBBLE_BUILD: folder, NODE_ENV: "production" },
    encoding: "utf8",
  });
  if (done.status !== 0) throw new Error(`the build failed\n${done.stdout}\n${done.stderr}`);
  writeFileSync(stamp, print);
  return true;
};
