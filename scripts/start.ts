import { mkdirSync } from "node:fs";
import { randomBytes } from "node:crypto";
import { networkInterfaces } from "node:os";
import { join } from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { parseArgs } from "node:util";
import { build } from "./build.ts";
import { prepareDatabase } from "./database.ts";
import { LogFile } from "./run/logs.ts";
import { databaseFolder, freePort, Postgres } from "./run/postgres.ts";
import { waitUntil } from "./run/processes.ts";
import { endLeftServer, forgetRunState, readRunState, writeRunState } from "./run/state.ts";
import { supervise } from "./run/supervise.ts";
import type { Supervised } from "./run/supervise.ts";
import { answers, root, serve } from "./serve.ts";
import type { Served, ShownAt } from "./serve.ts";

// what listens may be gone (a closed terminal): that is no reason to stop
for (const stream of [process.stdout, process.stderr]) stream.on("error", () => undefined);

const say = (text: string) => console.log(`\x1b[1m· ${text}\x1b[0m`);
const data = process.env.NUBBLE_DATA ?? join(root, ".data");
const runningFile = join(data, "running.json");
const builtIn = process.env.NUBBLE_BUILD ?? join(root, "build");
/** How often the server is asked whether it still answers, and how often it may fail to, ms. */
const HEALTH_EVERY = 5000;
const MOST_SILENCE = 6;

interface Options {
  readonly port: number | undefined;
  readonly reset: boolean;
  readonly host: string;
  readonly allowHosts: readonly string[];
  readonly playHost: string | undefined;
  readonly processes: number;
  readonly proxies: number;
}

const MOST_PROCESSES = 64;
const MOST_PROXIES = 8;

/** A whole number that an option says. */
const numberOf = (option: string, text: string, least: number, most: number): number => {
  const number = Number(text);
  if (Number.isInteger(number) && number >= least && number <= most) return number;
  throw new Error(`--${option} needs a number from ${least} to ${most}; got “${text}”`);
};

const readOptions = (): Options => {
  try {
    const { values } = parseArgs({
      options: {
        port: { type: "string" },
        reset: { type: "boolean", default: false },
        host: { type: "string", default: "127.0.0.1" },
        "allow-host": { type: "string", multiple: true, default: [] },
        "play-host": { type: "string" },
        processes: { type: "string", default: "1" },
        proxies: { type: "string", default: "0" },
      },
    });
    const port = values.port === undefined ? undefined : numberOf("port", values.port, 1, 65_535);
    const processes = numberOf("processes", values.processes, 1, MOST_PROCESSES);
    const proxies = numberOf("proxies", values.proxies, 0, MOST_PROXIES);
    const { reset, host, "allow-host": allowHosts, "play-host": playHost } = values;
    return { port, reset, host, allowHosts, playHost, processes, proxies };
  } catch (error) {
    console.error(`nubble: ${(error as Error).message}`);
    process.exit(2);
  }
};

const isFull = (reason: string): boolean => /ENOSPC|no space left/i.test(reason);

/** Says once in a while that the disk is full: it is not the moment for many words. */
const diskWarning = (): ((reason: string) => void) => {
  let saidAt = -60_000;
  return (reason) => {
    if (performance.now() - saidAt < 60_000) return;
    saidAt = performance.now();
    console.error(
      isFull(reason)
        ? "nubble: the disk is full. What was saved is safe; saving goes on by itself when there is room again."
        : `nubble: a log cannot be written: ${reason}`,
    );
  };
};

/** The first port that is tried for showing prototypes. */
const PLAY_PORT = 4320;

/** The name under which others reach an address: of all addresses, the first that leads out. */
const reachedAs = (host: string): string => {
  if (host !== "0.0.0.0" && host !== "::") return host;
  const all = Object.values(networkInterfaces()).flatMap((some) => some ?? []);
  return all.find((a) => !a.internal && a.family === "IPv4")?.address ?? "127.0.0.1";
};

/** Everything that runs, in the order in which it is started. */
class Run {
  private postgres: Postgres | undefined;
  private served: Served | undefined;
  private readonly watches: Supervised[] = [];
  private readonly warn = diskWarning();
  private readonly log = new LogFile(join(data, "server.log"), this.warn);
  private readonly mark = randomBytes(12).toString("hex");
  private readonly unwanted = new AbortController();
  private starting: Promise<string> | undefined;
  private ending: Promise<void> | undefined;
  /** where prototypes are shown; null where they are not */
  shownOrigin: string | null = null;

  constructor(private readonly options: Options) {}

  /** The address, once all runs; rejects where it was stopped meanwhile. */
  start(): Promise<string> {
    return (this.starting = this.startAll());
  }

  private async startAll(): Promise<string> {
    await this.mendEarlier();
    say("Building");
    console.log(build(builtIn) ? "  built" : "  up to date");
    const url = await this.startDatabase();
    this.unwanted.signal.throwIfAborted();
    say("Setting up the database");
    const did = await prepareDatabase(url, this.options.reset);
    this.unwanted.signal.throwIfAborted();
    console.log(did.length ? did.map((d) => `  ${d}`).join("\n") : "  up to date");
    const port = await this.choosePort();
    const shown = await this.chooseShown();
    say("Starting Nubble");
    const startServer = async () => {
      const { host, processes, proxies } = this.options;
      const allowHosts = this.options.allowHosts.map((name) =>
        name.includes(":") ? name : `${name}:${port}`,
      );
      this.served = await serve({
        build: builtIn,
        port,
        databaseUrl: url,
        log: this.log,
        host,
        allowHosts,
        processes,
        proxies,
        shown,
        run: this.mark,
        unwanted: this.unwanted.signal,
      });
      const trouble = writeRunState(runningFile, {
        run: this.mark,
        address: this.served.address,
        serverPid: this.served.child.pid ?? 0,
      });
      if (trouble) this.warn(trouble);
    };
    await startServer();
    this.watches.push(
      supervise({
        name: "The server",
        ended: () => this.serverEnded(),
        start: startServer,
        say: (text) => this.tell(text),
      }),
    );
    const { postgres } = this;
    if (postgres)
      this.watches.push(
        supervise({
          name: "PostgreSQL",
          ended: () => this.postgresEnded(postgres),
          start: () => postgres.restart(),
          say: (text) => this.tell(text),
        }),
      );
    return this.served?.address ?? "";
  }

  get isStopping(): boolean {
    return this.ending !== undefined;
  }

  /** Ends all that runs, also what is just being started. */
  stop(): Promise<void> {
    return (this.ending ??= this.stopAll());
  }

  private async stopAll(): Promise<void> {
    this.unwanted.abort();
    await this.starting?.catch(() => undefined);
    for (const watch of this.watches) watch.release();
    await this.served?.stop().catch(() => undefined);
    await this.postgres?.stop().catch(() => undefined);
    forgetRunState(runningFile);
    await this.log.close();
  }

  private tell(text: string): void {
    if (this.isStopping) return;
    console.error(`nubble: ${text}`);
    this.log.write(`${new Date().toISOString()} ${text}\n`);
  }

  /** A start that was killed leaves its server behind; PostgreSQL is taken over as it is. */
  private async mendEarlier(): Promise<void> {
    const earlier = readRunState(runningFile);
    if (!earlier) return;
    if (await endLeftServer(earlier))
      console.log("  stopped a server that an earlier start had left running");
    forgetRunState(runningFile);
  }

  private async startDatabase(): Promise<string> {
    if (process.env.DATABASE_URL) {
      say("Using the database in DATABASE_URL");
      return process.env.DATABASE_URL;
    }
    say("Starting PostgreSQL");
    this.postgres = await Postgres.start(databaseFolder(join(data, "postgres")), this.warn);
    console.log(`  on 127.0.0.1:${this.postgres.port}`);
    return this.postgres.url;
  }

  private async choosePort(): Promise<number> {
    const { port } = this.options;
    if (port === undefined) return freePort(4310);
    return freePort(port, 0).catch(() => {
      throw new Error(`port ${port} is in use. Choose another with --port`);
    });
  }

  /** Where prototypes are shown read-only, if anywhere. */
  private async chooseShown(): Promise<ShownAt | undefined> {
    const { playHost } = this.options;
    if (playHost === undefined) return undefined;
    const name = reachedAs(playHost);
    const port = await freePort(PLAY_PORT);
    const secret = randomBytes(32).toString("hex");
    this.shownOrigin = `http://${name.includes(":") ? `[${name}]` : name}:${port}`;
    return { host: playHost, origin: this.shownOrigin, secret };
  }

  /** Ends when the server did, or when it has not answered for long: then it is ended here. */
  private async serverEnded(): Promise<string> {
    const { served } = this;
    if (!served) return "is not there";
    const exited = new Promise<void>((resolve) => {
      served.child.once("exit", () => resolve());
    });
    let silent = 0;
    for (;;) {
      const { exitCode, signalCode } = served.child;
      if (exitCode !== null || signalCode !== null)
        return `stopped unexpectedly (${signalCode ?? `code ${exitCode}`})`;
      await Promise.race([sleep(HEALTH_EVERY), exited]);
      silent = (await answers(served.address)) ? 0 : silent + 1;
      if (silent < MOST_SILENCE) continue;
      await served.stop("SIGKILL");
      return "did not answer any more";
    }
  }

  private async postgresEnded(postgres: Postgres): Promise<string> {
    await waitUntil(() => !postgres.isRunning, Number.MAX_SAFE_INTEGER, 200);
    return "stopped unexpectedly";
  }
}

const run = new Run(readOptions());
const end = async (code: number) => {
  await run.stop();
  process.exit(code);
};
for (const signal of ["SIGINT", "SIGTERM", "SIGHUP"] as const)
  process.on(signal, () => {
    say("Stopping");
    void end(0);
  });
process.on("uncaughtException", (error) => {
  console.error(`nubble: ${error.stack ?? error.message}`);
  if (!isFull(error.message)) void end(1);
});

try {
  mkdirSync(data, { recursive: true, mode: 0o755 });
  const address = await run.start();
  console.log(
    `\nNubble is ready:  \x1b[1m${address}\x1b[0m\nPress Ctrl-C to stop. Your work is saved.`,
  );
  if (run.shownOrigin !== null)
    console.log(
      `Prototypes are shown at ${run.shownOrigin}, read-only, to whoever has the address in Play’s menu.`,
    );
  console.log(
    "There are no accounts: anyone who can reach this address can read and change everything (docs/security.md).",
  );
} catch (error) {
  const { message } = error as Error;
  // stopped while it started: whoever stops it says so
  if (!run.isStopping)
    console.error(`nubble: ${isFull(message) ? `the disk is full (${message})` : message}`);
  await end(run.isStopping ? 0 : 1);
}
