// Kills everything and single parts again and again while several clients save and listen, with a
// full disk, jumping clocks and cut connections between; then compares what was acknowledged with
// what is there. Exits with 1 if anything is not.
import { rmSync } from "node:fs";
import { join } from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { parseArgs } from "node:util";
import { emptyProject } from "../../core/edit/index.ts";
import { newId } from "../../core/project/index.ts";
import type { Token } from "../../core/project/index.ts";
import { openDatabase, ProjectLog } from "../../server/index.ts";
import { freePort, Postgres } from "../run/postgres.ts";
import { audit, faultsOf } from "./audit.ts";
import { Reader, Writer } from "./clients.ts";
import { SmallDisk } from "./disk.ts";
import { Instance } from "./instance.ts";
import { Proxy } from "./proxy.ts";
import { Random } from "./random.ts";
import { Storm } from "./storm.ts";
import { makeScratch } from "../run/scratch.ts";

const CLIENTS = ["north", "south", "east", "west"];
const READERS = 3;
const DISK_MB = 900;

const { values } = parseArgs({
  options: {
    whole: { type: "string", default: "300" },
    single: { type: "string", default: "700" },
    seed: { type: "string", default: String(Date.now() % 1e6) },
  },
});
const whole = Number(values.whole);
const single = Number(values.single);
const seed = Number(values.seed);
console.log(`chaos: ${whole} kills of the whole, ${single} of single processes, seed ${seed}`);

const home = makeScratch("chaos");
const data = join(home, "data");
const disk = SmallDisk.make(data, DISK_MB);
if (!disk) console.log("chaos: no disk of its own can be mounted here, so it is not filled");
const port = await freePort(26_000 + Math.floor(Math.random() * 2000));
const nubble = new Instance(data, port);

/** Leaves nothing behind, neither processes nor files. */
const cleanUp = async (): Promise<void> => {
  await nubble.stop();
  nubble.killAll();
  await sleep(500);
  disk?.remove();
  rmSync(home, { recursive: true, force: true });
};

/** The database as the supervisor runs it: taken over, not started again. */
const databaseUrl = async (): Promise<string> => (await Postgres.start(join(data, "postgres"))).url;

const countOf = (client: string, index: number): [string, Token] => {
  const id = `count${client}`;
  return [id, { id, type: "number", name: client, group: "", order: `a${index}`, value: 1 }];
};

/** Makes a project with a place of its own for each client; returns its id. */
const makeProject = async (): Promise<string> => {
  const id = newId();
  const db = openDatabase(await databaseUrl());
  const tokens = Object.fromEntries(CLIENTS.map(countOf));
  await new ProjectLog(db).create(id, { ...emptyProject("Chaos harbour"), tokens });
  await db.close();
  return id;
};

/** Runs all of it and says how it went; whether everything is as it was acknowledged. */
const run = async (): Promise<boolean> => {
  await nubble.start();
  const projectId = await makeProject();
  const proxy = new Proxy(port);
  const way = { port: await proxy.listen(), host: `127.0.0.1:${port}`, projectId };
  const writers = CLIENTS.map((client) => new Writer(client, way));
  const readers = Array.from({ length: READERS }, () => new Reader(way));
  const acknowledged = (): number =>
    writers.reduce((sum, writer) => sum + writer.acknowledged.length, 0);
  const storm = new Storm({ nubble, disk, proxy, random: new Random(seed), acknowledged });
  try {
    await storm.rage(whole, single);
    nubble.setClock(0);
    await Promise.all(writers.map((writer) => writer.end()));
    const last = Math.max(...writers.map((writer) => writer.acknowledged.at(-1)?.seq ?? 0));
    await Promise.all(readers.map((reader) => reader.end(last)));
  } finally {
    proxy.close();
  }
  const result = await audit(await databaseUrl(), projectId, writers, readers);
  const waits = [...storm.waits].sort((a, b) => a - b);
  const tries = writers.reduce((sum, writer) => sum + writer.tries, 0);
  const { lost, doubled, gaps, wrong } = result;
  console.log(`chaos: ${JSON.stringify({ ...storm.done, cuts: proxy.cuts })}`);
  console.log(
    `chaos: back by itself after ${waits[Math.floor(waits.length / 2)]} ms in the middle, ${waits.at(-1)} ms at most; slower than 30 s: ${storm.slow}`,
  );
  console.log(
    `chaos: ${result.acknowledged} acknowledged (${tries} tries), ${result.logged} in the log; lost ${lost.length}, doubled ${doubled.length}, gaps ${gaps.length}, wrong ${wrong.length}`,
  );
  const faults = faultsOf(result);
  for (const fault of faults.slice(0, 20)) console.log(`  ${fault}`);
  return faults.length === 0;
};

const sound = await run().catch((error: unknown) => {
  console.error(error);
  return false;
});
await cleanUp();
process.exit(sound ? 0 : 1);
