import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { FORMAT, newId, remove, set } from "#core/project";
import type { Change, LoggedChange, Proposal } from "#core/project";
import { listProjects, openDatabase, ProjectLog } from "#server";
import { kelpwayKit } from "../../demo/index";
import type { Sequelize } from "sequelize";

let db: Sequelize;
beforeAll(() => {
  db = openDatabase(inject("databaseUrl"));
});
afterAll(() => db.close());

const fresh = async (): Promise<{ log: ProjectLog; id: string }> => {
  const log = new ProjectLog(db);
  const id = newId();
  await log.create(id, kelpwayKit());
  return { log, id };
};
const at = ["pieces", "alert-switch", "looks", "base", "changes", "knob"];
const proposal = (since: number, change: Change, more: Partial<Proposal> = {}): Proposal => ({
  format: FORMAT,
  changeId: newId(),
  clientId: "window",
  since,
  base: since,
  late: false,
  change,
  ...more,
});
/** Notes the changes a project's listeners hear from now on; gives how to stop. */
const heardBy = async (log: ProjectLog, id: string, heard: LoggedChange[]) => {
  const head = await log.head(id);
  if (!head) throw new Error("there is no such project");
  return log.listen(head, (news) => {
    if (news.kind === "changes") heard.push(...news.changes);
  });
};
const none = { changes: [], more: false };
const move = (x: number): Change => ({ label: "Move", ops: [set([...at, "x"], x)] });

describe("the project log", () => {
  it("numbers changes, and another server process reads the same project from the database", async () => {
    const { log, id } = await fresh();
    for (let i = 1; i <= 120; i++)
      expect(await log.append(id, proposal(i - 1, move(i)))).toEqual({
        kind: "kept",
        seq: i,
        missed: none,
        gone: [],
      });
    const other = await new ProjectLog(db).read(id);
    expect(other?.seq).toBe(120);
    expect(other).toEqual(await log.read(id));
    expect(other?.project.pieces["alert-switch"]?.looks.base?.changes.knob?.x).toBe(120);
    expect((await log.since(id, 117)).changes.map((c) => c.seq)).toEqual([118, 119, 120]);
  });

  it("knows when each piece was last changed", async () => {
    const { log, id } = await fresh();
    expect(await log.piecesChangedAt(id)).toEqual({});
    const before = Date.now();
    await log.append(id, proposal(0, move(9)));
    await log.append(id, proposal(1, { label: "Rename", ops: [set(["name"], "Pier")] }));
    const { "alert-switch": changed, ...others } = await log.piecesChangedAt(id);
    expect(others).toEqual({});
    expect(changed).toBeGreaterThan(before - 1000);
    expect(await log.piecesChangedAt("no project")).toEqual({});
  });

  it("keeps a change sent twice once, and answers with its number", async () => {
    const { log, id } = await fresh();
    const changeId = newId();
    await log.append(id, proposal(0, move(9), { changeId }));
    await log.append(id, proposal(1, move(10)));
    expect(await log.append(id, proposal(0, move(9), { changeId }))).toMatchObject({
      kind: "kept",
      seq: 1,
    });
    expect((await log.read(id))?.seq).toBe(2);
  });

  it("gives what others did meanwhile, and tells listeners once", async () => {
    const { log, id } = await fresh();
    const heard: LoggedChange[] = [];
    const stop = await heardBy(log, id, heard);
    await log.append(id, proposal(0, move(9), { clientId: "other" }));
    const answer = await log.append(id, proposal(0, { label: "y", ops: [set([...at, "y"], 3)] }));
    expect(answer).toMatchObject({
      kind: "kept",
      seq: 2,
      missed: { changes: [{ seq: 1, clientId: "other" }], more: false },
    });
    stop();
    await log.append(id, proposal(2, move(1)));
    expect(heard.map((h) => h.seq)).toEqual([1, 2]);
  });

  it("changes sent at the same moment by two processes get different numbers, and none is lost", async () => {
    const { log, id } = await fresh();
    const other = new ProjectLog(db);
    const answers = await Promise.all(
      Array.from({ length: 24 }, (_, i) =>
        (i % 2 ? log : other).append(
          id,
          proposal(0, { label: "n", ops: [set([...at, i % 2 ? "x" : "y"], i)] }),
        ),
      ),
    );
    expect(answers.map((a) => (a.kind === "kept" ? a.seq : 0)).sort((a, b) => a - b)).toEqual(
      Array.from({ length: 24 }, (_, i) => i + 1),
    );
    const [one, two] = [await log.read(id), await other.read(id)];
    expect(one).toEqual(two);
  });

  it("refuses what would break the project, with the reason, and writes nothing", async () => {
    const { log, id } = await fresh();
    const answer = await log.append(
      id,
      proposal(0, { label: "x", ops: [set(["name"], "Renamed"), set([...at, "x"], "wide")] }),
    );
    expect(answer).toMatchObject({ kind: "refused" });
    expect((await log.read(id))?.seq).toBe(0);
    expect((await log.read(id))?.project.name).toBe("Kelpway kit");
    expect(await log.append("nowhere", proposal(0, move(1)))).toEqual({ kind: "unknown" });
  });
});

describe("what others did meanwhile", () => {
  it("is not overwritten by what was made offline: nothing is written, and the changes in the way are named", async () => {
    const { log, id } = await fresh();
    await log.append(id, proposal(0, { ...move(9), label: "Theirs" }, { clientId: "other" }));
    const answer = await log.append(id, proposal(0, { ...move(5), label: "Mine" }, { late: true }));
    expect(answer).toMatchObject({
      kind: "conflict",
      clashes: [{ seq: 1, label: "Theirs", paths: [[...at, "x"]] }],
    });
    expect((await log.read(id))?.seq).toBe(1);
    expect(await log.append(id, proposal(0, move(9), { late: true }))).toMatchObject({
      kind: "kept",
    });
    expect(
      await log.append(
        id,
        proposal(0, { label: "y", ops: [set([...at, "y"], 5)] }, { late: true }),
      ),
    ).toMatchObject({ kind: "kept" });
  });

  it("comes back with a removed record, whose value does not have to be sent", async () => {
    const { log, id } = await fresh();
    const removal = proposal(0, { label: "Remove", ops: [remove(["pieces", "alert-switch"])] });
    await log.append(id, removal);
    expect(await log.append(id, proposal(0, move(77)))).toMatchObject({
      kind: "kept",
      gone: [["pieces", "alert-switch"]],
    });
    const undo: Change = {
      label: "Undo",
      ops: [
        { op: "set", path: ["pieces", "alert-switch"], value: null, restores: removal.changeId },
      ],
    };
    const back = await log.append(id, proposal(2, undo));
    expect(back).toMatchObject({
      kind: "kept",
      ops: [{ op: "set", path: ["pieces", "alert-switch"] }],
    });
    const { project } = (await log.read(id)) ?? {};
    expect(project?.pieces["alert-switch"]?.looks.base?.changes.knob?.x).toBe(77);
    expect(project?.pieces["alert-switch"]?.rules).toEqual(
      kelpwayKit().pieces["alert-switch"]?.rules,
    );
    expect(
      await log.append(
        id,
        proposal(3, {
          ...undo,
          ops: [{ op: "set", path: ["pieces", "gone"], value: null, restores: newId() }],
        }),
      ),
    ).toMatchObject({ kind: "refused" });
  });

  it("is given in parts that do not grow without bound", async () => {
    const { log, id } = await fresh();
    const large = (i: number): Change => ({
      label: "Text",
      ops: Array.from({ length: 60 }, () =>
        set([...at.slice(0, -1), "label", "text"], `${i}`.padEnd(4900, "x")),
      ),
    });
    for (let i = 0; i < 6; i++) await log.append(id, proposal(i, large(i)));
    const first = await log.since(id, 0);
    expect([first.changes.length, first.more]).toEqual([3, true]);
    expect((await log.since(id, 3)).changes.map((c) => c.seq)).toEqual([4, 5, 6]);
  });
});

describe("a damaged project", () => {
  const damage = (id: string, body: string, seq: number) =>
    db.query("update snapshots set body = :body where project_id = :id and seq = :seq", {
      replacements: { id, body, seq },
    });

  it.each(["{}", "[]", "null", '{"format":1', ""])(
    "with a snapshot of %j is made again from an older one and the log",
    async (body) => {
      const { log, id } = await fresh();
      for (let i = 1; i <= 102; i++) await log.append(id, proposal(i - 1, move(i)));
      const before = await log.read(id);
      await damage(id, body, 100);
      expect(await new ProjectLog(db).read(id)).toEqual(before);
      await damage(id, body, 50);
      expect(await new ProjectLog(db).read(id)).toEqual(before);
    },
  );

  it("that cannot be read is listed as such, takes no changes, and nothing else suffers", async () => {
    const { log, id } = await fresh();
    const healthy = await fresh();
    await log.append(id, proposal(0, move(1)));
    await damage(id, "{}", 0);
    const list = await listProjects();
    expect(list.find((p) => p.id === id)?.name).toBe("Kelpway kit");
    const tile = (of: string) =>
      fetch(`${inject("address")}/projects/${of}/tile`).then((r) => r.json());
    expect(await tile(id)).toEqual({
      kind: "damaged",
      reason: expect.stringContaining("snapshots") as string,
    });
    expect(await tile(healthy.id)).toEqual({ kind: "fine" });
    // the reason is for people: nothing of the inside
    const own = await fetch(`${inject("address")}/projects/${id}`);
    const words = await own.text();
    expect(own.status).toBe(500);
    expect(words).toContain(
      "This project cannot be read: none of its snapshots is what was written.",
    );
    expect(words).not.toMatch(/node_modules|\.ts:\d|\bat \w+ \(|ProjectDamaged/);
    await expect(new ProjectLog(db).append(id, proposal(1, move(2)))).rejects.toThrow(
      "cannot be read",
    );
    const [[row]] = (await db.query("select body from snapshots where project_id = :id", {
      replacements: { id },
    })) as [{ body: string }[], unknown];
    expect(row?.body).toBe("{}");
    await log.destroy(id);
  });

  it("with a gap in its log says so", async () => {
    const { log, id } = await fresh();
    for (let i = 1; i <= 4; i++) await log.append(id, proposal(i - 1, move(i)));
    await db.query("delete from changes where project_id = :id and seq = 2", {
      replacements: { id },
    });
    await expect(new ProjectLog(db).read(id)).rejects.toThrow("missing from its log");
    await log.destroy(id);
  });
});

describe("the route that saves", () => {
  const post = async (path: string, body: string, type = "application/json") => {
    const response = await fetch(`${inject("address")}${path}`, {
      method: "POST",
      body,
      headers: { "Content-Type": type },
    });
    return { status: response.status, answer: (await response.json()) as Record<string, unknown> };
  };

  it("answers malformed, over-large, wrong and homeless changes with the reason", async () => {
    const { id } = await fresh();
    const path = `/projects/${id}/changes`;
    expect(await post(path, "{ not json")).toMatchObject({
      status: 400,
      answer: { kind: "refused" },
    });
    expect(
      await post(
        path,
        JSON.stringify({
          ...proposal(0, move(3)),
          change: { label: "x", ops: [{ op: "set", path: ["__proto__"], value: 1 }] },
        }),
      ),
    ).toMatchObject({ status: 400 });
    expect(await post(path, JSON.stringify({ pad: "x".repeat(7_100_000) }))).toMatchObject({
      status: 413,
      answer: { reason: expect.stringContaining("6 MB") as string },
    });
    const wrong = await post(
      path,
      JSON.stringify({
        ...proposal(0, move(3)),
        change: { label: "x", ops: [set([...at, "x"], "wide")] },
      }),
    );
    expect(wrong).toMatchObject({
      status: 422,
      answer: { kind: "refused", reason: expect.stringContaining("number") as string },
    });
    expect(
      await post("/projects/nowhere/changes", JSON.stringify(proposal(0, move(3)))),
    ).toMatchObject({ status: 404, answer: { kind: "unknown" } });
    expect(await post(path, JSON.stringify(proposal(0, move(3))), "text/plain")).toMatchObject({
      status: 415,
    });
    expect((await new ProjectLog(db).read(id))?.seq).toBe(0);
  });

  it("has a window of a newer build wait, and keeps nothing of it", async () => {
    const { id } = await fresh();
    const newer = { ...proposal(0, move(3)), format: FORMAT + 1 };
    expect(await post(`/projects/${id}/changes`, JSON.stringify(newer))).toEqual({
      status: 503,
      answer: { kind: "away", reason: "the server is older than this window" },
    });
    const malformed = { ...newer, format: 0 };
    expect(await post(`/projects/${id}/changes`, JSON.stringify(malformed))).toMatchObject({
      status: 400,
      answer: { kind: "refused" },
    });
    expect((await new ProjectLog(db).read(id))?.seq).toBe(0);
  });

  it("gives changes with the format they are written in", async () => {
    const { log, id } = await fresh();
    const heard: LoggedChange[] = [];
    const stop = await heardBy(log, id, heard);
    await log.append(id, proposal(0, move(3)));
    stop();
    const { changes } = await log.since(id, 0);
    expect([...changes, ...heard].map((change) => change.format)).toEqual([FORMAT, FORMAT]);
  });
});
