import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { newId, set } from "#core/project";
import type { Change } from "#core/project";
import { openDatabase, ProjectLog } from "#server";
import type { Logged } from "#server";
import { kelpwayKit } from "../demo/index";
import type { Sequelize } from "sequelize";

let db: Sequelize;
beforeAll(() => { db = openDatabase(inject("databaseUrl")); });
afterAll(() => db.close());

const fresh = async (): Promise<{ log: ProjectLog; id: string }> => {
  const log = new ProjectLog(db);
  const id = newId();
  await log.create(id, kelpwayKit());
  return { log, id };
};
const at = ["pieces", "alert-switch", "looks", "base", "changes", "knob"];
const move = (x: number): Change => ({ label: "Move", ops: [set([...at, "x"], x)] });

describe("the project log", () => {
  it("numbers changes, and another server process reads the same project from the database", async () => {
    const { log, id } = await fresh();
    for (let i = 1; i <= 120; i++) expect(await log.append(id, newId(), "w", i - 1, move(i))).toEqual({ kind: "kept", seq: i, missed: [] });
    const other = await new ProjectLog(db).read(id);
    expect(other?.seq).toBe(120);
    expect(other).toEqual(await log.read(id));
    expect(other?.project.pieces["alert-switch"]?.looks.base?.changes.knob?.x).toBe(120);
    expect((await log.since(id, 117))?.map((c) => c.seq)).toEqual([118, 119, 120]);
  });

  it("keeps a change sent twice once, and answers with its number", async () => {
    const { log, id } = await fresh();
    const changeId = newId();
    await log.append(id, changeId, "w", 0, move(9));
    await log.append(id, newId(), "w", 1, move(10));
    expect(await log.append(id, changeId, "w", 0, move(9))).toMatchObject({ kind: "kept", seq: 1 });
    expect((await log.read(id))?.seq).toBe(2);
  });

  it("gives what others did meanwhile, and tells listeners once", async () => {
    const { log, id } = await fresh();
    const heard: Logged[] = [];
    const stop = log.listen(id, (c) => heard.push(c));
    await log.append(id, newId(), "other", 0, move(9));
    const answer = await log.append(id, newId(), "w", 0, { label: "y", ops: [set([...at, "y"], 3)] });
    expect(answer).toMatchObject({ kind: "kept", seq: 2, missed: [{ seq: 1, clientId: "other" }] });
    stop();
    await log.append(id, newId(), "w", 2, move(1));
    expect(heard.map((h) => h.seq)).toEqual([1, 2]);
  });

  it("changes sent at the same moment by two processes get different numbers, and none is lost", async () => {
    const { log, id } = await fresh();
    const other = new ProjectLog(db);
    const answers = await Promise.all(Array.from({ length: 24 }, (_, i) => (i % 2 ? log : other).append(id, newId(), "w", 0, { label: "n", ops: [set([...at, i % 2 ? "x" : "y"], i)] })));
    expect(answers.map((a) => (a.kind === "kept" ? a.seq : 0)).sort((a, b) => a - b)).toEqual(Array.from({ length: 24 }, (_, i) => i + 1));
    const [one, two] = [await log.read(id), await other.read(id)];
    expect(one).toEqual(two);
  });

  it("refuses what would break the project, with the reason, and writes nothing", async () => {
    const { log, id } = await fresh();
    const answer = await log.append(id, newId(), "w", 0, { label: "x", ops: [set(["name"], "Renamed"), set([...at, "x"], "wide")] });
    expect(answer).toMatchObject({ kind: "refused" });
    expect((await log.read(id))?.seq).toBe(0);
    expect((await log.read(id))?.project.name).toBe("Kelpway kit");
    expect(await log.append("nowhere", newId(), "w", 0, move(1))).toEqual({ kind: "unknown" });
  });
});

describe("the route that saves", () => {
  const post = async (path: string, body: string, type = "application/json") => {
    const response = await fetch(`${inject("address")}${path}`, { method: "POST", body, headers: { "Content-Type": type } });
    return { status: response.status, answer: (await response.json()) as Record<string, unknown> };
  };

  it("answers malformed, over-large, wrong and homeless changes with the reason", async () => {
    const { id } = await fresh();
    const path = `/projects/${id}/changes`;
    expect(await post(path, "{ not json")).toMatchObject({ status: 400, answer: { kind: "refused" } });
    expect(await post(path, JSON.stringify({ changeId: newId(), clientId: "window", since: 0, change: { label: "x", ops: [{ op: "set", path: ["__proto__"], value: 1 }] } }))).toMatchObject({ status: 400 });
    expect(await post(path, JSON.stringify({ pad: "x".repeat(1_100_000) }))).toMatchObject({ status: 413, answer: { reason: expect.stringContaining("1 MB") as string } });
    const wrong = await post(path, JSON.stringify({ changeId: newId(), clientId: "window", since: 0, change: { label: "x", ops: [set([...at, "x"], "wide")] } }));
    expect(wrong).toMatchObject({ status: 422, answer: { kind: "refused", reason: expect.stringContaining("number") as string } });
    expect(await post("/projects/nowhere/changes", JSON.stringify({ changeId: newId(), clientId: "window", since: 0, change: move(3) }))).toMatchObject({ status: 404, answer: { kind: "unknown" } });
    expect(await post(path, JSON.stringify({ changeId: newId(), clientId: "window", since: 0, change: move(3) }), "text/plain")).toMatchObject({ status: 415 });
    expect((await new ProjectLog(db).read(id))?.seq).toBe(0);
  });
});
