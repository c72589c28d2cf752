import fc from "fast-check";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import type { Sequelize } from "sequelize";
import { FORMAT, newId, readProject } from "#core/project";
import { openDatabase, ProjectLog } from "#server";
import { kelpwayKit } from "../../demo/index";
import { launch, Person } from "../support/browser";
import { requests } from "../support/chance/hostile";
import type { Asked } from "../support/chance/hostile";

const COUNT = Number(process.env.FUZZ_REQUESTS ?? 300);
const SEED = Number(process.env.FUZZ_SEED ?? 20_261);
/** How many requests are under way at once. */
const AT_ONCE = 8;
/** Of how many requests one project takes the changes. */
const PER_PROJECT = 250;

let db: Sequelize;
let log: ProjectLog;
beforeAll(() => {
  db = openDatabase(inject("databaseUrl"));
  log = new ProjectLog(db);
});
afterAll(() => db.close());

const answerTo = async ({ method, path, headers, body }: Asked): Promise<number> => {
  const response = await fetch(`${inject("address")}${path}`, {
    method,
    headers,
    body: body as BodyInit | null,
    signal: AbortSignal.timeout(20_000),
    redirect: "manual",
  });
  await response.arrayBuffer();
  return response.status;
};

/** Whether a request comes from a newer build than the server, which is told to come back later. */
const isAhead = ({ body }: Asked): boolean =>
  typeof body === "string" && body.includes(`"format":${FORMAT + 1},`);

/** Sends requests, several at once; gives those that were answered as they must not be. */
const send = async (list: readonly Asked[]): Promise<string[]> => {
  const wrong: string[] = [];
  const waiting = [...list];
  const one = async () => {
    for (let asked = waiting.pop(); asked; asked = waiting.pop()) {
      const status = await answerTo(asked).catch(
        (error: unknown) => `no answer (${String(error)})`,
      );
      const isLater = status === 503 && isAhead(asked);
      if (typeof status === "string" || (status >= 500 && !isLater))
        wrong.push(
          `${status}: ${asked.method} ${asked.path.slice(0, 80)} ${typeof asked.body === "string" ? asked.body.slice(0, 300) : ""}`,
        );
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, one));
  return wrong;
};

describe(`${COUNT} requests that nobody means well by`, () => {
  it("are all answered, none with a fault; nothing is kept by half, and every project opens afterwards", async () => {
    const ids: string[] = [];
    for (let n = 0; n < COUNT; n += PER_PROJECT) {
      const id = newId();
      await log.create(id, kelpwayKit());
      ids.push(id);
      const list = fc.sample(requests(id), {
        numRuns: Math.min(PER_PROJECT, COUNT - n),
        seed: SEED + n,
      });
      expect(await send(list)).toEqual([]);
    }
    let kept = 0;
    const { browser, close } = await launch();
    try {
      for (const id of ids) {
        const [rows] = (await db.query(
          "select seq from changes where project_id = :id order by seq",
          { replacements: { id } },
        )) as [{ seq: number }[], unknown];
        expect(rows.map((r) => r.seq)).toEqual(rows.map((_, i) => i + 1));
        kept += rows.length;
        const state = await new ProjectLog(db).read(id);
        expect(state?.seq).toBe(rows.length);
        // what was accepted one change at a time is valid as a whole
        const read = readProject(state?.project);
        expect(read.ok ? "" : read.error).toBe("");
        const pieces = Object.keys(state?.project.pieces ?? {});
        const views = [
          "",
          "/system",
          "/system/tokens",
          "/system/editions",
          "/system/adopted",
          "/system/components/alert-switch",
          "/play",
          "/pieces/alert-switch",
          `/pieces/${pieces.find((p) => p !== "alert-switch") ?? ""}`,
        ];
        for (const view of views) {
          const me = await Person.open(browser, `${inject("address")}/projects/${id}${view}`);
          await me.until(async () => expect(await me.text("body")).not.toBe(""));
          const text = await me.text("body");
          expect(text, view).not.toMatch(/Something went wrong|cannot be read/);
          expect(
            me.complaints.filter((c) => !/404|status of 4/.test(c)),
            view,
          ).toEqual([]);
          await me.page.close();
        }
      }
    } finally {
      await close();
    }
    expect(kept).toBeGreaterThan(COUNT / 40);
    expect((await fetch(`${inject("address")}/`)).status).toBe(200);
  }, 3_000_000);
});
