import { execFileSync, spawn, spawnSync } from "node:child_process";
import { createHash, randomBytes } from "node:crypto";
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from "node:fs";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { LogFile } from "./logs.ts";
import { commandOf, endProcess, isAlive, processesIn, waitUntil } from "./processes.ts";

const HOST = "127.0.0.1";
const isRoot = process.getuid?.() === 0;
/**
 * Where its port is looked for: below those the system gives to connections (32768 and up on
 * Linux), which could take it while it is being started again; somewhere in a wide range, so that
 * two that start at once seldom choose the same.
 */
const FIRST_PORT = 16_000;
const PORTS = 4000;
const MOST_TRIES = 3;
/** How long PostgreSQL may take to answer, ms: after a crash it first reads its own log. */
const START_PATIENCE = 60_000;
const STOP_PATIENCE = 20_000;

interface Account {
  readonly uid?: number;
  readonly gid?: number;
}

/** PostgreSQL refuses to run as root, so root lends it to the user Debian's package makes. */
const account = (): Account => {
  if (!isRoot) return {};
  const id = (flag: string): number =>
    Number(execFileSync("id", [flag, "postgres"], { encoding: "utf8" }));
  return { uid: id("-u"), gid: id("-g") };
};

/** Where the programs of the newest PostgreSQL are. */
export const binaries = (): string => {
  const home = "/usr/lib/postgresql";
  const versions = existsSync(home)
    ? readdirSync(home).filter((v) => existsSync(join(home, v, "bin/postgres")))
    : [];
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
  if (!newest) throw new Error("PostgreSQL is not installed: apt-get install postgresql");
  return join(home, newest, "bin");
};

const tryPort = (port: number): Promise<number | null> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once("error", () => resolve(null));
    probe.listen(port, HOST, () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === "object" && address ? address.port : null));
    });
  });

/** A free port on loopback: the wanted one, or the next free one after it. */
export const freePort = async (wanted = 0, tries = 30): Promise<number> => {
  for (let port = wanted; port <= wanted + tries; port++) {
    const found = await tryPort(port);
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
  const other = join(
    tmpdir(),
    `nubble-${createHash("sha256").update(wanted).digest("hex").slice(0, 12)}`,
  );
  mkdirSync(other, { recursive: true });
  chownSync(other, uid, gid);
  console.log(
    `  the user postgres cannot reach the project's folder, so the data is kept in ${other}`,
  );
  return other;
};

const isOurs = (pid: number, data: string): boolean => {
  const command = commandOf(pid);
  return /postgres$/.test(command[0] ?? "") && command.includes(data);
};

/**
 * The PostgreSQL that runs on a data folder, left by a start that could not stop it: its number and
 * port.
 */
const runningOn = (data: string): { pid: number; port: number } | null => {
  const file = join(data, "postmaster.pid");
  if (!existsSync(file)) return null;
  const lines = readFileSync(file, "utf8").split("\n");
  const pid = Number(lines[0]);
  const port = Number(lines[3]);
  return pid > 0 && port > 0 && isAlive(pid) && isOurs(pid, data) ? { pid, port } : null;
};

/**
 * Takes away the mark of a PostgreSQL that is not there any more. Its number may belong to somebody
 * else by now, and then PostgreSQL would refuse to start for ever. Nothing is taken away while any
 * process still works in the folder.
 */
const clearStaleMark = async (data: string): Promise<void> => {
  const file = join(data, "postmaster.pid");
  if (!existsSync(file) || runningOn(data)) return;
  if (!(await waitUntil(() => processesIn(data).length === 0, 15_000))) {
    throw new Error(
      `processes of an earlier PostgreSQL still work in ${data}: ${processesIn(data).join(", ")}`,
    );
  }
  rmSync(file, { force: true });
};

/** Makes a database cluster in one go: one that was made by half is never taken for whole. */
const makeCluster = (bin: string, who: Account, folder: string, secret: string): void => {
  const half = join(folder, "data.new");
  rmSync(half, { recursive: true, force: true });
  writeFileSync(secret, randomBytes(18).toString("base64url"), { mode: 0o600 });
  if (who.uid !== undefined && who.gid !== undefined) chownSync(secret, who.uid, who.gid);
  const made = spawnSync(
    join(bin, "initdb"),
    [
      "-D",
      half,
      "-U",
      "nubble",
      "--auth=scram-sha-256",
      `--pwfile=${secret}`,
      "-E",
      "UTF8",
      "--locale=C.UTF-8",
      "--no-instructions",
    ],
    { ...who, encoding: "utf8", cwd: "/" },
  );
  if (made.status !== 0) {
    rmSync(half, { recursive: true, force: true });
    throw new Error(`initdb failed: ${made.stderr || made.stdout}`);
  }
  renameSync(half, join(folder, "data"));
};

const settings = (port: number, isThrowaway: boolean): string[] => {
  const all = {
    listen_addresses: HOST,
    unix_socket_directories: "",
    logging_collector: "off",
    max_connections: 60,
    log_line_prefix: "%m [%p] ",
    // what is thrown away need not outlive the machine, only the processes
    fsync: isThrowaway ? "off" : "on",
    port,
  };
  return Object.entries(all).flatMap(([name, value]) => ["-c", `${name}=${value}`]);
};

/**
 * A PostgreSQL of our own in a folder, on loopback only, with a password only the folder's owner
 * can read.
 */
export class Postgres {
  private readonly bin = binaries();
  private readonly owner = account();
  private readonly data: string;
  private readonly log: LogFile;
  private readonly password: string;
  private pid = 0;
  private boundPort = 0;
  /** it was running already when it was asked for */
  ranBefore = false;

  private constructor(
    folder: string,
    onTrouble: ((reason: string) => void) | undefined,
    private readonly isThrowaway: boolean,
  ) {
    const secret = join(folder, "password");
    this.data = join(folder, "data");
    this.log = new LogFile(join(folder, "postgres.log"), onTrouble);
    if (!existsSync(join(this.data, "PG_VERSION")))
      makeCluster(this.bin, this.owner, folder, secret);
    chmodSync(secret, 0o600);
    this.password = readFileSync(secret, "utf8");
  }

  /**
   * Starts the PostgreSQL of a folder, or takes over the one that runs there; makes its database if
   * there is none. A throwaway one does not wait for disks.
   */
  static async start(
    folder: string,
    onTrouble?: (reason: string) => void,
    isThrowaway = false,
  ): Promise<Postgres> {
    const postgres = new Postgres(folder, onTrouble, isThrowaway);
    await postgres.launch(MOST_TRIES);
    await postgres.makeDatabase();
    return postgres;
  }

  get port(): number {
    return this.boundPort;
  }
  get url(): string {
    return `postgres://nubble:${this.password}@${HOST}:${this.port}/nubble`;
  }
  get isRunning(): boolean {
    return isAlive(this.pid);
  }

  /** Ends it should be: everything is written, connections are closed. */
  stop(): Promise<void> {
    return endProcess(this.pid, "SIGINT", STOP_PATIENCE, "SIGQUIT");
  }

  /** Ends it as a crash would. */
  kill(): Promise<void> {
    return endProcess(this.pid, "SIGQUIT", STOP_PATIENCE);
  }

  /** Starts it again on the same port; nothing happens when it runs. */
  async restart(): Promise<void> {
    if (!this.isRunning) await this.launch(1);
  }

  private async launch(tries: number): Promise<void> {
    await clearStaleMark(this.data);
    const running = runningOn(this.data);
    this.ranBefore = running !== null;
    this.boundPort =
      running?.port ??
      (this.port || (await freePort(FIRST_PORT + Math.floor(Math.random() * PORTS))));
    this.pid = running?.pid ?? this.spawn();
    if (await this.comesUp()) return;
    if (this.isRunning) await this.kill();
    // somebody else may have taken the port between asking and starting
    const isTaken = (await tryPort(this.port)) === null;
    if (tries <= 1 || !isTaken)
      throw new Error(`PostgreSQL did not start. Its log is in ${this.log.path}`);
    this.boundPort = 0;
    await this.launch(tries - 1);
  }

  private spawn(): number {
    const child = spawn(
      join(this.bin, "postgres"),
      ["-D", this.data, ...settings(this.port, this.isThrowaway)],
      {
        ...this.owner,
        detached: true,
        stdio: ["ignore", "ignore", "pipe"],
        cwd: "/",
      },
    );
    child.on("error", (error) => this.log.write(`${error.message}\n`));
    this.log.follow(child.stderr);
    child.unref();
    return child.pid ?? 0;
  }

  private async comesUp(): Promise<boolean> {
    await waitUntil(() => this.isReady() || !this.isRunning, START_PATIENCE, 100);
    return this.isRunning && this.isReady();
  }

  private isReady(): boolean {
    return (
      spawnSync(join(this.bin, "pg_isready"), ["-q", "-h", HOST, "-p", String(this.port)])
        .status === 0
    );
  }

  private async makeDatabase(): Promise<void> {
    if (this.ask("select 1 from pg_database where datname = 'nubble'").stdout.trim() === "1")
      return;
    const made = this.ask("create database nubble");
    if (made.status === 0) return;
    await this.stop();
    throw new Error(`the database could not be made: ${made.stderr}`);
  }

  private ask(sql: string) {
    const way = ["-h", HOST, "-p", String(this.port), "-U", "nubble", "-d", "postgres"];
    const env = { ...process.env, PGPASSWORD: this.password };
    return spawnSync(join(this.bin, "psql"), [...way, "-Atqc", sql], { env, encoding: "utf8" });
  }
}
