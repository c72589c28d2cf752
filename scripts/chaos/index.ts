// Kills everything and single parts again and again while several clients save and listen, with a full disk, jumping clocks
// and cut connections between; then compares what was acknowledged with what is there. Exits with 1 if anything is not.
import { chmodSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { parseArgs } from "node:util";
import { emptyProject } from "../../core/edit/index.ts";
import { newId } from "../../core/project/index.ts";
import type { Token } from "../../core/project/index.ts";
import { openDatabase, ProjectLog } from "../../server/index.ts";
import { freePort, startPostgres } from "../run/postgres.ts";
import { audit } from "./audit.ts";
import { Reader, Writer } from "./clients.ts";
import { SmallDisk } from "./disk.ts";
import { Instance } from "./instance.ts";
import type { Part } from "./instance.ts";
import { Proxy } from "./proxy.ts";
import { Random, sleep } from "./random.ts";

const YEARS = 10 * 365.25 * 86_400_000;
const CLIENTS = ["north", "south", "east", "west"];

const { values } = parseArgs({ options: { whole: { type: "string", default: "300" }, single: { type: "string", default: "700" }, seed: { type: "string", default: String(Date.now() % 1e6) } } });
const [whole, single, seed] = [Number(values.whole), Number(values.single), Number(values.seed)];
const random = new Random(seed);
console.log(`chaos: ${whole} kills of the whole, ${single} of single processes, seed ${seed}`);

const home = mkdtempSync(join(tmpdir(), "nubble-chaos-"));
chmodSync(home, 0o755);
const disk = SmallDisk.make(join(home, "data"), 900);
if (!disk) console.log("chaos: no disk of its own can be mounted here, so it is not filled");
const port = await freePort(26_000 + Math.floor(Math.random() * 2000));
const nubble = new Instance(join(home, "data"), port);
/** Leaves nothing behind, neither processes nor files. */
const cleanUp = async (): Promise<void> => {
  await nubble.stop();
  nubble.killAll();
  await sleep(500);
  disk?.remove();
  rmSync(home, { recursive: true, force: true });
};

await nubble.start().catch(async (error: unknown) => {
  await cleanUp();
  throw error;
});

/** The database as the supervisor runs it: taken over, not started again. */
const databaseUrl = async (): Promise<string> => (await startPostgres(join(home, "data/postgres"))).url;

const projectId = newId();
const db = openDatabase(await databaseUrl());
const tokens = Object.fromEntries(CLIENTS.map((client, i): [string, Token] => [`count${client}`, { id: `count${client}`, type: "number", name: client, group: "", order: `a${i}`, value: 1 }]));
await new ProjectLog(db).create(projectId, { ...emptyProject("Chaos harbour"), tokens });
await db.close();

const proxy = new Proxy(port);
const proxyPort = await proxy.listen();
const host = `127.0.0.1:${port}`;
const writers = CLIENTS.map((client) => new Writer(client, { port: proxyPort, host, projectId }));
const readers = [0, 1, 2].map(() => new Reader({ port: proxyPort, host, projectId }));
const acknowledged = (): number => writers.reduce((n, w) => n + w.acknowledged.length, 0);

const slow: string[] = [];
/** Waits until saving goes on by itself; how long it took, ms. */
const recovered = async (what: string): Promise<number> => {
  const before = acknowledged();
  const began = Date.now();
  while (acknowledged() < before + 2) {
    if (Date.now() - began > 120_000) throw new Error(`saving did not go on after ${what}:\n${nubble.said}`);
    await sleep(20);
  }
  return Date.now() - began;
};

const waits: number[] = [];
const done = { whole: 0, server: 0, postgres: 0, backend: 0, start: 0, full: 0, jumps: 0 };

/** Other things that go wrong meanwhile. */
const disturb = async (): Promise<void> => {
  const what = random.next();
  if (what < 0.25) proxy.cut();
  else if (what < 0.4) {
    nubble.setClock(random.one([-YEARS, 0, YEARS]));
    done.jumps++;
  } else if (what < 0.43 && disk) {
    disk.fill();
    done.full++;
    await sleep(random.between(300, 2500));
    disk.free();
  }
};

const killWhole = async (): Promise<void> => {
  // the power also fails while the disk is full
  const full = disk !== null && random.next() < 0.04;
  if (full) {
    disk.fill();
    done.full++;
    await sleep(random.between(50, 800));
  }
  nubble.killAll();
  if (full) disk.free();
  done.whole++;
  await sleep(random.between(0, 300));
  await nubble.start();
};

const killPart = async (): Promise<void> => {
  const part: Part = random.one(["server", "server", "server", "server", "postgres", "postgres", "postgres", "backend", "backend", "start"]);
  if (!nubble.kill(part)) return;
  done[part]++;
  if (part !== "start") return;
  // the server ends with it; PostgreSQL is taken over by the next start
  await sleep(random.between(0, 400));
  await nubble.start();
};

let failure: unknown = null;
try {
  const began = Date.now();
  while (done.whole < whole || done.server + done.postgres + done.backend + done.start < single) {
    const singles = done.server + done.postgres + done.backend + done.start;
    await disturb();
    await sleep(random.between(20, 500));
    const wantsWhole = done.whole < whole && (singles >= single || random.next() < whole / (whole + single));
    if (wantsWhole) await killWhole();
    else await killPart();
    const ms = await recovered(wantsWhole ? "a kill of the whole" : "a kill of one process");
    waits.push(ms);
    if (ms > 30_000) slow.push(`${ms} ms`);
    if ((done.whole + singles) % 50 === 0) console.log(`  ${Math.round((Date.now() - began) / 1000)} s: ${JSON.stringify(done)}, ${proxy.cuts} cuts, ${acknowledged()} acknowledged`);
  }
} catch (error) {
  failure = error;
}
nubble.setClock(0);
if (!failure) {
  await Promise.all(writers.map((w) => w.end()));
  const result = await audit(await databaseUrl(), projectId, writers, await (async () => {
    await Promise.all(readers.map((r) => r.end(Math.max(...writers.map((w) => w.acknowledged.at(-1)?.seq ?? 0)))));
    return readers;
  })());
  waits.sort((a, b) => a - b);
  console.log(`chaos: ${JSON.stringify({ ...done, cuts: proxy.cuts })}`);
  console.log(`chaos: back by itself after ${waits[Math.floor(waits.length / 2)]} ms in the middle, ${waits.at(-1)} ms at most; slower than 30 s: ${slow.length}`);
  console.log(`chaos: ${result.acknowledged} acknowledged (${writers.reduce((n, w) => n + w.tries, 0)} tries), ${result.logged} in the log; lost ${result.lost.length}, doubled ${result.doubled.length}, gaps ${result.gaps.length}, wrong ${result.wrong.length}`);
  for (const line of [...result.lost, ...result.doubled, ...result.gaps, ...result.wrong].slice(0, 20)) console.log(`  ${line}`);
  if (result.lost.length + result.doubled.length + result.gaps.length + result.wrong.length > 0) failure = new Error("not everything is as it was acknowledged");
}
proxy.close();
await cleanUp();
if (failure) console.error(failure);
process.exit(failure ? 1 : 0);
