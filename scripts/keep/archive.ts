import { execFileSync, spawn } from "node:child_process";
import { createHash } from "node:crypto";
import {
  createReadStream,
  mkdtempSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { dirname, join, resolve } from "node:path";
import { pipeline } from "node:stream/promises";
import { z } from "zod";
import { binaries } from "../run/postgres.ts";

/** What a backup says of itself. */
const manifestSchema = z.object({
  nubble: z.literal("backup"),
  /** of this file */
  version: z.literal(1),
  /** the format of projects */
  format: z.int().min(1),
  madeAt: z.iso.datetime(),
  projects: z.int().min(0),
  changes: z.int().min(0),
  files: z.int().min(0),
  /** SHA-256 of the dump */
  digest: z.string().regex(/^[0-9a-f]{64}$/),
});
export type Manifest = z.infer<typeof manifestSchema>;

const DUMP = "database.dump";
const MANIFEST = "manifest.json";

const digestOf = async (path: string): Promise<string> => {
  const hash = createHash("sha256");
  await pipeline(createReadStream(path), hash);
  return hash.digest("hex");
};

/**
 * Runs a program of PostgreSQL on a database; rejects with the last line it says when it fails. The
 * password is not among its words, which every user of the machine can read.
 */
const run = (program: string, url: string, args: readonly string[]): Promise<void> =>
  new Promise((done, fail) => {
    const at = new URL(url);
    const { password } = at;
    at.password = "";
    const child = spawn(join(binaries(), program), [...args, `--dbname=${at.href}`], {
      stdio: ["ignore", "ignore", "pipe"],
      env: { ...process.env, PGPASSWORD: decodeURIComponent(password) },
    });
    let said = "";
    child.stderr.on("data", (part: Buffer) => (said = (said + part.toString()).slice(-2000)));
    child.on("error", fail);
    child.on("close", (code) => {
      if (code === 0) done();
      else fail(new Error(`${program} failed: ${said.trim().split("\n").at(-1) ?? ""}`));
    });
  });

/**
 * Writes all that a database holds into a file: a tar archive (POSIX ustar) of PostgreSQL's own dump
 * and a manifest. The file is there whole or not at all.
 */
export const writeArchive = async (
  url: string,
  file: string,
  about: Omit<Manifest, "digest">,
): Promise<Manifest> => {
  const target = resolve(file);
  const folder = mkdtempSync(join(dirname(target), ".nubble-backup-"));
  try {
    await run("pg_dump", url, ["--format=custom", "--no-owner", `--file=${join(folder, DUMP)}`]);
    const manifest: Manifest = { ...about, digest: await digestOf(join(folder, DUMP)) };
    writeFileSync(join(folder, MANIFEST), `${JSON.stringify(manifest, null, 2)}\n`);
    const half = join(folder, "archive");
    execFileSync("tar", ["--format=ustar", "-cf", half, "-C", folder, MANIFEST, DUMP]);
    renameSync(half, target);
    return manifest;
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
};

/**
 * Unpacks a file that `writeArchive` wrote, next to it, and hands over its dump. Throws a sentence
 * for what is none, or is not what was written.
 */
export const withArchive = async <T>(
  file: string,
  work: (manifest: Manifest, dump: string) => Promise<T>,
): Promise<T> => {
  const folder = mkdtempSync(join(dirname(resolve(file)), ".nubble-restore-"));
  try {
    try {
      execFileSync("tar", ["-xf", resolve(file), "-C", folder, MANIFEST, DUMP], {
        stdio: ["ignore", "ignore", "pipe"],
      });
    } catch {
      throw new Error(`${file} is not a backup, or it is damaged`);
    }
    const text = readFileSync(join(folder, MANIFEST), "utf8");
    const read = manifestSchema.safeParse(asJson(text));
    if (!read.success) throw new Error(`${file} is a backup that this Nubble cannot read`);
    const dump = join(folder, DUMP);
    if ((await digestOf(dump)) !== read.data.digest)
      throw new Error(`${file} is damaged: its contents are not what was written`);
    return await work(read.data, dump);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
};

const asJson = (text: string): unknown => {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
};

/** Puts a dump in the place of all that a database holds: all of it, or nothing. */
export const restoreDump = (url: string, dump: string): Promise<void> =>
  run("pg_restore", url, [
    "--clean",
    "--if-exists",
    "--no-owner",
    "--single-transaction",
    "--exit-on-error",
    dump,
  ]);
