import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { setTimeout as sleep } from "node:timers/promises";
import { afterAll, beforeAll, describe, expect, inject, it, vi } from "vitest";
import type { Sequelize } from "sequelize";
import { FORMAT, newId, set } from "#core/project";
import { openDatabase, ProjectLog } from "#server";
import { kelpwayKit } from "../../demo/index";
import { prepareDatabase } from "../../scripts/database";
import { Editor, Reader } from "../../scripts/load/editor";
import { LogFile } from "../../scripts/run/logs";
import { databaseFolder, freePort, Postgres } from "../../scripts/run/postgres";
import { childrenOf, waitUntil } from "../../scripts/run/processes";
import { serve } from "../../scripts/serve";
import type { Served } from "../../scripts/serve";
import { Random } from "../../scripts/chaos/random";
import { startDeaf } from "../support/servers/deaf";

const SEED = 20_265;
const EDITORS = 50;
const READERS = 50;
const path = ["pieces", "alert-switch", "looks", "base", "changes", "knob"];

let home: string;
let postgres: Postgres;
let served: Served;
let db: Sequelize;
beforeAll(async () => {
  home = mkdtempSync(join(tmpdir(), "nubble-processes-"));
  postgres = await Postgres.start(databaseFolder(join(home, "postgres")), undefined, true);
  // two starts at once: one of them makes the tables, the other waits
  const did = await Promise.all([prepareDatabase(postgres.url), prepareDatabase(postgres.url)]);
  expect(did.map((steps) => steps.length > 0).sort()).toEqual([false, true]);
  served = await serve({
    build: inject("build"),
    port: await freePort(27_000),
    databaseUrl: postgres.url,
    log: new LogFile(join(home, "server.log")),
    processes: 2,
  });
  db = openDatabase(postgres.url);
});
afterAll(async () => {
  await db.close();
  await served.stop();
  await postgres.stop();
  rmSync(home, { recursive: true, force: true });
});

const workers = (): number[] => childrenOf(served.child.pid ?? 0);
const seqs = async (id: string): Promise<number[]> => {
  const [rows] = (await db.query("select seq from changes where project_id = :id order by seq", {
    replacements: { id },
  })) as [{ seq: number }[], unknown];
  return rows.map(({ seq }) => seq);
};

describe("two processes on one port", () => {
  it(`${EDITORS} editors and ${READERS} readers have the same in the end, though processes are killed`, async () => {
    const id = newId();
    await new ProjectLog(db).create(id, kelpwayKit());
    const work = { address: served.address, project: id, format: FORMAT, path };
    const readers = Array.from(
      { length: EDITORS + READERS },
      () => new Reader(served.address, id, 0),
    );
    await Promise.all(readers.map((reader) => reader.open()));
    const editors = readers.slice(0, EDITORS).map((reader) => new Editor(work, reader));
    const working = editors.map((editor) => editor.run(20));
    const chance = new Random(SEED);
    for (let kill = 0; kill < 4; kill++) {
      await sleep(chance.between(1500, 3000));
      await waitUntil(() => workers().length === 2, 10_000);
      const victim = chance.one(workers());
      process.kill(victim, "SIGKILL");
    }
    await sleep(2000);
    for (const editor of editors) editor.stop();
    await Promise.all(working);
    const kept = editors.flatMap((editor) => editor.kept);
    const inLog = await seqs(id);
    const newest = inLog.length;
    // no gap and no doubling in the log, in what was acknowledged, and in any stream
    expect(inLog).toEqual(inLog.map((_, i) => i + 1));
    expect(new Set(kept).size).toBe(kept.length);
    expect(kept.length).toBeGreaterThan(EDITORS * 4);
    expect(editors.map((editor) => editor.failures)).toEqual(editors.map(() => 0));
    expect(await waitUntil(() => readers.every(({ seq }) => seq === newest), 20_000)).toBe(true);
    expect(readers.map(({ gaps }) => gaps)).toEqual(readers.map(() => 0));
    for (const reader of readers) reader.close();
    // each process answers with the same project
    const answers = new Set<string>();
    for (let i = 0; i < 12; i++)
      answers.add(await (await fetch(`${served.address}/projects/${id}/snapshot`)).text());
    expect(answers.size).toBe(1);
    expect(await new ProjectLog(db).read(id)).toEqual(JSON.parse([...answers][0] ?? ""));
  }, 90_000);

  it("a project made anew under the same id is served by both, and its windows hear of it", async () => {
    const id = newId();
    const log = new ProjectLog(db);
    await log.create(id, kelpwayKit());
    const ask = async (i: number) =>
      (await fetch(`${served.address}/projects/${id}/snapshot?${i}`, {
        headers: { Connection: "close" },
      }).then((r) => r.json())) as { generation: string; project: { name: string } };
    const before = await ask(0);
    for (let i = 0; i < 8; i++) await ask(i);
    const stream = await fetch(`${served.address}/live?watch=${id}:0:${before.generation}`);
    const reader = stream.body?.pipeThrough(new TextDecoderStream()).getReader();
    await log.destroy(id);
    await log.create(id, { ...kelpwayKit(), name: "Made anew" });
    let heard = "";
    while (!heard.includes("event: replaced")) heard += (await reader?.read())?.value ?? "";
    await reader?.cancel();
    for (let i = 0; i < 8; i++) expect((await ask(i)).project.name).toBe("Made anew");
    const body = JSON.stringify({
      changeId: newId(),
      clientId: "window",
      since: 0,
      base: 0,
      late: false,
      format: FORMAT,
      generation: before.generation,
      change: { label: "Move", ops: [set([...path, "x"], 3)] },
    });
    const answer = await fetch(`${served.address}/projects/${id}/changes`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body,
    });
    expect(await answer.json()).toMatchObject({ kind: "outdated" });
    expect(await seqs(id)).toEqual([]);
  });
});

describe("what one process accepts", () => {
  /** Two processes; the second hears of a project what comes over a way to the database. */
  const pair = async (way: string) => {
    const [one, two] = [new ProjectLog(db), new ProjectLog(db)];
    const id = newId();
    await one.create(id, kelpwayKit());
    await two.hearOthers(way);
    const head = await two.head(id);
    if (!head) throw new Error("the project is gone");
    const heard: number[] = [];
    const stop = two.listen(head, (news) => {
      if (news.kind === "changes") heard.push(...news.changes.map(({ seq }) => seq));
    });
    const save = (n: number) =>
      one.append(id, {
        format: FORMAT,
        changeId: newId(),
        clientId: "other",
        since: n,
        base: n,
        late: false,
        change: { label: "Move", ops: [set([...path, "x"], n)] },
      });
    const hears = (all: readonly number[]) =>
      vi.waitFor(() => expect(heard).toEqual(all), { timeout: 20_000, interval: 100 });
    const end = async () => {
      stop();
      await two.close();
    };
    return { save, hears, end };
  };

  it("others hear, also what came while the connection to the database was cut", async () => {
    const { save, hears, end } = await pair(postgres.url);
    await save(0);
    await hears([1]);
    await db.query(
      "select pg_terminate_backend(pid) from pg_stat_activity where application_name = 'nubble-bell'",
    );
    await save(1);
    await save(2);
    await hears([1, 2, 3]);
    await end();
  });

  it("others hear a little later over a way that loses what processes tell one another", async () => {
    const deaf = await startDeaf(postgres.url);
    const { save, hears, end } = await pair(deaf.url);
    await save(0);
    await hears([1]);
    await save(1);
    await hears([1, 2]);
    await end();
    deaf.close();
  });
});
