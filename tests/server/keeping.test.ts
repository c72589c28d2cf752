import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import type { Sequelize } from "sequelize";
import { FORMAT, newId, set } from "#core/project";
import { examine, openDatabase, ProjectLog } from "#server";
import { kelpwayKit } from "../../demo/index";
import { prepareDatabase } from "../../scripts/database";
import { backUp } from "../../scripts/keep/backup";
import { restore } from "../../scripts/keep/restore";
import { databaseFolder, Postgres } from "../../scripts/run/postgres";

let home: string;
let postgres: Postgres;
let other: Postgres;
beforeAll(async () => {
  home = mkdtempSync(join(tmpdir(), "nubble-keeping-"));
  postgres = await Postgres.start(databaseFolder(join(home, "one")), undefined, true);
  other = await Postgres.start(databaseFolder(join(home, "two")), undefined, true);
  await prepareDatabase(postgres.url);
});
afterAll(async () => {
  await postgres.stop();
  await other.stop();
  rmSync(home, { recursive: true, force: true });
});

const path = ["pieces", "alert-switch", "looks", "base", "changes", "knob", "x"];
const edit = (log: ProjectLog, id: string, n: number) =>
  log.append(id, {
    format: FORMAT,
    changeId: newId(),
    clientId: "window",
    since: n,
    base: n,
    late: false,
    change: { label: "Move", ops: [set(path, n)] },
  });
/** A project with a log of so many changes. */
const edited = async (db: Sequelize, changes: number): Promise<string> => {
  const log = new ProjectLog(db);
  const id = newId();
  await log.create(id, kelpwayKit());
  for (let n = 0; n < changes; n++) await edit(log, id, n);
  await log.settled();
  return id;
};
/** All that a database holds, table by table. */
const contents = async (url: string): Promise<unknown> => {
  const db = openDatabase(url);
  const tables = ["projects", "changes", "snapshots", "assets", "editions", "edition_contents"];
  const all: Record<string, unknown> = {};
  for (const table of [...tables, "adoptions"])
    [all[table]] = await db.query(`select * from ${table} order by 1, 2`);
  await db.close();
  return JSON.parse(JSON.stringify(all));
};

describe("a backup", () => {
  const file = () => join(home, "nubble.backup");
  const before = () => join(home, "before.backup");

  it("brings back projects, histories, files and editions exactly, in another installation", async () => {
    const db = openDatabase(postgres.url);
    await edited(db, 60);
    await db.close();
    const manifest = await backUp(postgres.url, file());
    expect(manifest.changes).toBeGreaterThanOrEqual(60);
    expect(manifest.files).toBeGreaterThan(0);
    await restore(other.url, file(), { replaces: false, before: before() });
    expect(await contents(other.url)).toEqual(await contents(postgres.url));
    const restored = openDatabase(other.url);
    expect(await examine(restored)).toEqual([]);
    await restored.close();
  }, 60_000);

  it("replaces projects only when that is asked for, and keeps what was there", async () => {
    const old = await contents(other.url);
    const db = openDatabase(other.url);
    await edited(db, 3);
    await db.close();
    const newer = await contents(other.url);
    await expect(restore(other.url, file(), { replaces: false, before: before() })).rejects.toThrow(
      "add --replace",
    );
    expect(await contents(other.url)).toEqual(newer);
    await restore(other.url, file(), { replaces: true, before: before() });
    expect(await contents(other.url)).toEqual(old);
    await restore(other.url, before(), { replaces: true, before: join(home, "again.backup") });
    expect(await contents(other.url)).toEqual(newer);
  }, 60_000);

  it("that is damaged, of a newer Nubble, or none is refused, and nothing is changed", async () => {
    const was = await contents(other.url);
    const bytes = readFileSync(file());
    const tried = async (name: string, content: Buffer | string): Promise<string> => {
      const at = join(home, name);
      writeFileSync(at, content);
      return restore(other.url, at, { replaces: true, before: before() }).then(
        () => "restored",
        (error: Error) => error.message,
      );
    };
    const damaged = Buffer.from(bytes);
    damaged.fill(7, damaged.length - 20_000, damaged.length - 15_000);
    expect(await tried("damaged", damaged)).toMatch(/is damaged/);
    expect(await tried("cut", bytes.subarray(0, bytes.length / 2))).toMatch(/damaged/);
    expect(await tried("none", "Not a backup")).toMatch(/is not a backup/);
    const folder = mkdtempSync(join(home, "newer-"));
    execFileSync("tar", ["-xf", file(), "-C", folder]);
    const manifest = join(folder, "manifest.json");
    const said = readFileSync(manifest, "utf8");
    writeFileSync(manifest, said.replace(`"format": ${FORMAT}`, `"format": ${FORMAT + 1}`));
    execFileSync("tar", [
      "-cf",
      join(home, "newer"),
      "-C",
      folder,
      "manifest.json",
      "database.dump",
    ]);
    const newer = await tried("copy", readFileSync(join(home, "newer")));
    expect(newer).toContain("newer Nubble");
    expect(await contents(other.url)).toEqual(was);
  }, 60_000);
});

describe("the doctor", () => {
  let db: Sequelize;
  let id: string;
  const run = (sql: string, more: Record<string, unknown> = {}) =>
    db.query(sql, { replacements: { id, ...more } });
  beforeAll(() => {
    db = openDatabase(postgres.url);
  });
  afterAll(() => db.close());
  beforeEach(async () => {
    id = await edited(db, 104);
  });
  const kinds = async () => (await examine(db)).map(({ kind, project }) => [kind, project]);
  const mend = async () => {
    for (const { mend: does } of await examine(db)) await does?.();
  };

  it("finds nothing where nothing is wrong", async () => {
    expect(await examine(db)).toEqual([]);
  });

  it("makes damaged and wrong snapshots again from the log", async () => {
    const before = await new ProjectLog(db).read(id);
    await run("update snapshots set body = 'x' where project_id = :id and seq = 50");
    await run(
      `update snapshots set (body, digest) =
         (select body, digest from snapshots where project_id = :id and seq = 0)
       where project_id = :id and seq = 100`,
    );
    expect(await kinds()).toEqual([
      ["snapshot", id],
      ["snapshot", id],
    ]);
    await mend();
    expect(await examine(db)).toEqual([]);
    expect(await new ProjectLog(db).read(id)).toEqual(before);
  });

  it("corrects a number that is not the log's", async () => {
    await run("update projects set seq = 99 where id = :id");
    expect(await kinds()).toEqual([["number", id]]);
    await mend();
    expect(await examine(db)).toEqual([]);
    expect((await new ProjectLog(db).read(id))?.seq).toBe(104);
  });

  it("says what only a backup can bring back, and leaves it as it is", async () => {
    await run("delete from changes where project_id = :id and seq = 70");
    await run("update assets set bytes = 'x' where hash = (select min(hash) from assets)");
    const short = await edited(db, 5);
    await db.query("update projects set seq = 9 where id = :short", { replacements: { short } });
    const found = await examine(db);
    // the damaged file is both projects', and is said of one of them
    const said = (of: string) => found.filter((f) => f.project === of && f.kind !== "asset");
    expect(said(id)).toMatchObject([
      { kind: "gap", text: "changes 70 to 70 are missing from its log" },
    ]);
    expect(said(short)).toMatchObject([
      { kind: "gap", text: "changes 6 to 9 are missing from its log" },
    ]);
    expect(found.map(({ kind }) => kind)).toContain("asset");
    expect(found.filter(({ mend: does }) => does !== null)).toEqual([]);
  });
});
