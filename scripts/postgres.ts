import { execFileSync, spawn, spawnSync } from "node:child_process";
import { randomBytes } from "node:crypto";
import { chmodSync, chownSync, existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { createHash } from "node:crypto";
import { join } from "node:path";

const HOST = "127.0.0.1";
const isRoot = process.getuid?.() === 0;

/** PostgreSQL refuses to run as root, so root lends it to the user Debian's package makes. */
const account = (): { uid?: number; gid?: number } =>
  isRoot ? { uid: Number(execFileSync("id", ["-u", "postgres"], { encoding: "utf8" })), gid: Number(execFileSync("id", ["-g", "postgres"], { encoding: "utf8" })) } : {};

const binaries = (): string => {
  const home = "/usr/lib/postgresql";
  const version = existsSync(home) ? readdirSync(home).filter((v) => existsSync(join(home, v, "bin/postgres"))).sort((a, b) => Number(b) - Number(a))[0] : undefined;
  if (!version) throw new Error("PostgreSQL is not installed: apt-get install postgresql");
  return join(home, version, "bin");
};

/** A free port on loopback: the wanted one, or the next free one after it. */
export const freePort = async (wanted = 0, tries = 30): Promise<number> => {
  for (let port = wanted; port <= wanted + tries; port++) {
    const found = await new Promise<number | null>((resolve) => {
      const probe = createServer();
      probe.once("error", () => resolve(null));
      probe.listen(port, HOST, () => {
        const address = probe.address();
        probe.close(() => resolve(typeof address === "object" && address ? address.port : null));
      });
    });
    if (found !== null) return found;
  }
  throw new Error(`no free port from ${wanted} on`);
};

/** The folder the database may live in: the wanted one, unless its user cannot get there. */
export const databaseFolder = (wanted: string): string => {
  mkdirSync(wanted, { recursive: true });
  if (!isRoot) return wanted;
  const { uid = 0, gid = 0 } = account();
  chownSync(wanted, uid, gid);
  if (spawnSync("test", ["-w", wanted], { uid, gid }).status === 0) return wanted;
  const other = join(tmpdir(), `nubble-${createHash("sha256").update(wanted).digest("hex").slice(0, 12)}`);
  mkdirSync(other, { recursive: true });
  chownSync(other, uid, gid);
  console.log(`  the user postgres cannot reach the project's folder, so the data is kept in ${other}`);
  return other;
};

export interface Postgres { readonly url: string; readonly port: number; stop(): Promise<void>; kill(): Promise<void>; restart(): Promise<void> }

const alive = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === "EPERM";
  }
};

const gone = async (pid: number): Promise<void> => {
  for (let i = 0; i < 600 && alive(pid); i++) await new Promise((r) => setTimeout(r, 50));
};

const ready = (bin: string, port: number): boolean => spawnSync(join(bin, "pg_isready"), ["-q", "-h", HOST, "-p", String(port)]).status === 0;

/** The server that already runs on a data folder, after a start that was ended without being able to stop it. */
const runningOn = (data: string): { pid: number; port: number } | null => {
  const file = join(data, "postmaster.pid");
  if (!existsSync(file)) return null;
  const lines = readFileSync(file, "utf8").split("\n");
  const pid = Number(lines[0]), port = Number(lines[3]);
  return pid > 0 && port > 0 && alive(pid) ? { pid, port } : null;
};

/** Starts a PostgreSQL of our own in a folder, on loopback only, with a password only the folder's owner can read. */
export const startPostgres = async (folder: string): Promise<Postgres> => {
  const bin = binaries();
  const who = account();
  const data = join(folder, "data"), secret = join(folder, "password"), log = join(folder, "postgres.log");
  if (!existsSync(join(data, "PG_VERSION"))) {
    writeFileSync(secret, randomBytes(18).toString("base64url"), { mode: 0o600 });
    if (who.uid !== undefined && who.gid !== undefined) chownSync(secret, who.uid, who.gid);
    const made = spawnSync(join(bin, "initdb"), ["-D", data, "-U", "nubble", "--auth=scram-sha-256", `--pwfile=${secret}`, "-E", "UTF8", "--locale=C.UTF-8", "--no-instructions"], { ...who, encoding: "utf8", cwd: "/" });
    if (made.status !== 0) throw new Error(`initdb failed: ${made.stderr || made.stdout}`);
  }
  chmodSync(secret, 0o600);
  const password = readFileSync(secret, "utf8");
  let pid = 0, port = 0;
  const launch = async () => {
    const running = runningOn(data);
    if (running) ({ pid, port } = running);
    else {
      port ||= await freePort(54_310);
      const child = spawn(join(bin, "postgres"), ["-D", data, "-p", String(port), "-c", `listen_addresses=${HOST}`, "-c", "unix_socket_directories=", "-c", "logging_collector=off", "-c", "max_connections=60"], { ...who, detached: true, stdio: ["ignore", "ignore", "pipe"], cwd: "/" });
      child.stderr.on("data", (chunk: Buffer) => writeFileSync(log, chunk, { flag: "a" }));
      child.unref();
      pid = child.pid ?? 0;
    }
    for (let i = 0; i < 300; i++) {
      if (ready(bin, port)) return;
      if (!alive(pid)) break;
      await new Promise((r) => setTimeout(r, 100));
    }
    throw new Error(`PostgreSQL did not start; its own words are in ${log}`);
  };
  const end = async (signal: NodeJS.Signals) => {
    if (pid && alive(pid)) process.kill(pid, signal);
    await gone(pid);
  };
  await launch();
  const env = { ...process.env, PGPASSWORD: password };
  const psql = (sql: string) => spawnSync(join(bin, "psql"), ["-h", HOST, "-p", String(port), "-U", "nubble", "-d", "postgres", "-Atqc", sql], { env, encoding: "utf8" });
  if (psql("select 1 from pg_database where datname = 'nubble'").stdout.trim() !== "1") {
    const made = psql("create database nubble");
    if (made.status !== 0) throw new Error(`the database could not be made: ${made.stderr}`);
  }
  return {
    url: `postgres://nubble:${password}@${HOST}:${port}/nubble`, port,
    stop: () => end("SIGINT"),
    kill: () => end("SIGQUIT"),
    restart: launch,
  };
};
