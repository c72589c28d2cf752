import { spawn } from "node:child_process";
import type { ChildProcess } from "node:child_process";
import { dirname, join } from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { fileURLToPath } from "node:url";
import type { LogFile } from "./run/logs.ts";
import { endProcess, waitUntil } from "./run/processes.ts";

export const root = join(dirname(fileURLToPath(import.meta.url)), "..");

/** How long the server may take to answer, and to end when it is asked to, ms. */
const START_PATIENCE = 40_000;
const STOP_PATIENCE = 3000;

/** Where prototypes are shown read-only to who has their address. */
export interface ShownAt {
  /** the address that is listened at */
  readonly host: string;
  /** as others reach it: `http://NAME:PORT` */
  readonly origin: string;
  /** what addresses are made unguessable with */
  readonly secret: string;
}

export interface ServeOptions {
  readonly build: string;
  readonly port: number;
  readonly databaseUrl: string;
  readonly log: LogFile;
  readonly host?: string;
  /** hosts it may be reached under beside loopback: `name:port` */
  readonly allowHosts?: readonly string[];
  /** how many processes serve */
  readonly processes?: number;
  /** how many reverse proxies stand before it: so many are believed who asks */
  readonly proxies?: number;
  /** where prototypes are shown read-only, beside the rest */
  readonly shown?: ShownAt | undefined;
  /** by which this run's processes are known */
  readonly run?: string;
  /** aborted once the server is not wanted any more, though it may not have answered yet */
  readonly unwanted?: AbortSignal;
}

export interface Served {
  readonly address: string;
  readonly child: ChildProcess;
  stop(signal?: NodeJS.Signals): Promise<void>;
}

/** Whether a server answers at an address. */
export const answers = (address: string, ms = 3000): Promise<boolean> =>
  Promise.race([
    fetch(`${address}/health`, { signal: AbortSignal.timeout(ms) })
      // read to its end, or the connection stays taken
      .then(async (response) => (await response.text()) !== "" && response.ok)
      .catch(() => false),
    // whatever becomes of the question: who watches must never wait for ever
    sleep(ms + 500, false, { ref: false }),
  ]);

/**
 * Starts the built server. It ends by itself when this process is gone, and is ended here where it
 * is not wanted any more before it answers.
 */
export const serve = async ({
  build,
  port,
  databaseUrl,
  log,
  host = "127.0.0.1",
  allowHosts = [],
  processes = 1,
  proxies = 0,
  shown,
  run = "",
  unwanted,
}: ServeOptions): Promise<Served> => {
  const child = spawn(process.execPath, [join(build, "server/index.js")], {
    cwd: root,
    stdio: ["ignore", "pipe", "pipe", "ipc"],
    detached: true,
    env: {
      ...process.env,
      NODE_ENV: "production",
      HOST: host,
      PORT: String(port),
      DATABASE_URL: databaseUrl,
      NUBBLE_ALLOW_HOSTS: allowHosts.join(","),
      NUBBLE_PROCESSES: String(processes),
      NUBBLE_PROXIES: String(proxies),
      NUBBLE_RUN: run,
      ...(shown
        ? {
            PLAY_HOST: shown.host,
            NUBBLE_PLAY_ORIGIN: shown.origin,
            NUBBLE_PLAY_SECRET: shown.secret,
          }
        : {}),
    },
  });
  child.on("error", (error) => log.write(`${error.message}\n`));
  log.follow(child.stdout);
  log.follow(child.stderr);
  const address = `http://127.0.0.1:${port}`;
  const ended = () => child.exitCode !== null || child.signalCode !== null;
  const stop = async (signal: NodeJS.Signals = "SIGTERM") => {
    // windows hold their streams open; every change is a transaction, so they may be cut off
    if (!ended() && child.pid !== undefined) await endProcess(child.pid, signal, STOP_PATIENCE);
  };
  // asked until it has answered once: a second question could fail by itself
  const came = await waitUntil(
    async () => ended() || unwanted?.aborted === true || (await answers(address)),
    START_PATIENCE,
    100,
  );
  if (ended() || unwanted?.aborted || !came) {
    await stop("SIGKILL");
    throw new Error(`the server did not start. Its log is in ${log.path}`);
  }
  return { address, child, stop };
};
