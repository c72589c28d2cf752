import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { parseArgs } from "node:util";
import { build } from "./build.ts";
import { prepareDatabase } from "./database.ts";
import { databaseFolder, freePort, startPostgres } from "./postgres.ts";
import type { Postgres } from "./postgres.ts";
import { root, serve } from "./serve.ts";
import type { Served } from "./serve.ts";

const say = (text: string) => console.log(`\x1b[1m· ${text}\x1b[0m`);
const data = join(root, ".data");
const runningFile = join(data, "running.json");

const readOptions = () => {
  try {
    const { values } = parseArgs({ options: { port: { type: "string" }, reset: { type: "boolean", default: false } } });
    const port = values.port === undefined ? undefined : Number(values.port);
    if (port !== undefined && !(Number.isInteger(port) && port > 0 && port < 65_536)) throw new Error(`--port takes a port number, not “${values.port}”`);
    return { port, reset: values.reset };
  } catch (error) {
    console.error(`nubble: ${(error as Error).message}`);
    process.exit(2);
  }
};

const alreadyRunning = (): string | null => {
  if (!existsSync(runningFile)) return null;
  try {
    const { pid, address } = JSON.parse(readFileSync(runningFile, "utf8")) as { pid: number; address: string };
    process.kill(pid, 0);
    return address;
  } catch {
    return null;
  }
};

const options = readOptions();
mkdirSync(data, { recursive: true });
const other = alreadyRunning();
if (other && !process.env.DATABASE_URL) {
  console.log(`Nubble is running already: ${other}  (stop it with Ctrl-C where it was started)`);
  process.exit(0);
}

let postgres: Postgres | undefined, served: Served | undefined, stopping = false;
const stop = async (code: number) => {
  if (stopping) return;
  stopping = true;
  say("Stopping");
  await served?.stop().catch(() => undefined);
  await postgres?.stop().catch(() => undefined);
  rmSync(runningFile, { force: true });
  process.exit(code);
};
process.on("SIGINT", () => void stop(0));
process.on("SIGTERM", () => void stop(0));
process.on("SIGHUP", () => void stop(0));

try {
  say("Building");
  console.log(build(join(root, "build")) ? "  built" : "  up to date");
  let url = process.env.DATABASE_URL;
  if (url) say("Using the database in DATABASE_URL");
  else {
    say("Starting PostgreSQL");
    postgres = await startPostgres(databaseFolder(join(data, "postgres")));
    url = postgres.url;
    console.log(`  on 127.0.0.1:${postgres.port}`);
  }
  say("Preparing the database");
  const did = await prepareDatabase(url, options.reset);
  console.log(did.length ? did.map((d) => `  ${d}`).join("\n") : "  up to date");
  const port = options.port === undefined ? await freePort(4310) : await freePort(options.port, 0).catch(() => { throw new Error(`port ${options.port} is in use: choose another with --port`); });
  say("Starting Nubble");
  served = await serve(join(root, "build"), port, url, join(data, "server.log"));
  if (!process.env.DATABASE_URL) writeFileSync(runningFile, JSON.stringify({ pid: process.pid, address: served.address }));
  served.child.once("exit", () => {
    if (stopping) return;
    console.error(`nubble: the server ended by itself; its own words are in ${join(data, "server.log")}`);
    void stop(1);
  });
  console.log(`\nNubble is ready:  \x1b[1m${served.address}\x1b[0m\nCtrl-C stops it; everything is kept.`);
} catch (error) {
  console.error(`nubble: ${(error as Error).message}`);
  await stop(1);
}
