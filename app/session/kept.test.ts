import { beforeEach, describe, expect, it } from "vitest";
import { addPiece, pasteClip, pasteRules, readClip, readRules } from "#core/edit";
import { FORMAT, ROOT, accept, apply, upgradeChange } from "#core/project";
import type { Change, LoggedChange, Project } from "#core/project";
import { keptProject, keptText, sampler } from "../../tests/support/kept";
import { Clock, Pane, Port } from "../../tests/support/world";
import { asideSchema, unsavedSchema } from "./pending";

const read = (name: string): unknown => JSON.parse(keptText(name));
const log = () => read("log") as LoggedChange[];
const accepted = (project: Project, change: Change): Project => {
  const result = accept(project, change);
  if (!result.ok) throw new Error(result.error);
  return result.project;
};

describe("what was kept in the first format", () => {
  it("is a project that opens, and a log that leads from it to what it led to then", () => {
    const after = log().reduce(
      (project, change) => apply(project, upgradeChange(change, change.format).ops).doc,
      keptProject("project"),
    );
    expect(after).toEqual(keptProject());
    expect(Object.keys(after.pieces.sampler?.rules ?? {})).toHaveLength(24);
  });

  it("is a queue whose changes are still taken", () => {
    const queue = (read("queue") as unknown[]).map((item) => unsavedSchema.parse(item));
    expect(queue.map((item) => item.format)).toEqual([FORMAT, FORMAT]);
    const after = queue.reduce((p, item) => accepted(p, item.change), keptProject());
    expect(after.pieces.sampler?.looks.base?.changes.box).toMatchObject({ x: 12, y: 30 });
    expect(after.pieces.sampler?.rules["r-click"]?.effects).toHaveLength(2);
  });

  it("is what was set aside, with its reasons", () => {
    const aside = (read("aside") as unknown[]).map((item) => asideSchema.parse(item));
    expect(aside.map((item) => item.why.kind)).toEqual(["conflict", "refused"]);
    for (const item of aside) accepted(keptProject(), item.change);
  });

  it("is a clipboard of layers and one of rules, which go into another piece", () => {
    const project = keptProject();
    const made = addPiece(project, "component", "Quay");
    const there = accepted(project, made.change);
    const quay = there.pieces[made.id];
    const clip = readClip(keptText("clipboard-layers"));
    const rules = readRules(keptText("clipboard-rules"));
    if (!quay || !clip || !rules) throw new Error("not read");
    const pasted = accepted(there, pasteClip("kept", there, quay, clip, ROOT, 10).change);
    expect(Object.values(pasted.pieces[made.id]?.layers ?? {}).map((l) => l.kind)).toEqual(
      expect.arrayContaining(["box", "text", "instance"]),
    );
    const back = accepted(project, pasteRules(sampler(project), rules).change);
    expect(Object.keys(back.pieces.sampler?.rules ?? {})).toHaveLength(28);
  });
});

describe("a window of an older build", () => {
  let port: Port;
  let pane: Pane;
  beforeEach(() => {
    port = new Port(new Clock());
    pane = new Pane(port, "window1");
  });

  it("loads anew when its edit comes to a newer server, and the edit is saved after that", async () => {
    port.format = FORMAT + 1;
    pane.move(9);
    await pane.wait(400);
    expect([pane.reloads, port.log.length, pane.store.queue.size]).toEqual([1, 0, 1]);
    pane.move(11);
    await pane.wait(60_000);
    // nothing more is sent: it would only be told the same
    expect([port.log.length, pane.session.save.kind]).toEqual([0, "waiting"]);
    pane.close();
    port.format = FORMAT;
    const renewed = new Pane(port, "window2", pane.clock, pane.store);
    renewed.session.adopt([...pane.store.queue.values()]);
    await renewed.wait(400);
    expect([port.log.length > 0, renewed.x, renewed.store.queue.size]).toEqual([true, 11, 0]);
  });

  it("does not take over what it cannot read, and loads anew", async () => {
    const before = pane.session.project;
    port.other({ label: "Rename project", ops: [{ op: "set", path: ["name"], value: "Tides" }] });
    port.log = port.log.map((entry) => ({ ...entry, format: FORMAT + 1 }));
    await pane.listen();
    expect([pane.reloads, pane.session.project === before]).toEqual([1, true]);
  });

  it("tries again each minute where it was given the older build again, until it is closed", async () => {
    port.format = FORMAT + 1;
    pane.move(9);
    await pane.wait(400);
    const reloads: number[] = [];
    for (let minute = 0; minute < 3; minute++) {
      reloads.push(pane.reloads);
      await pane.wait(60_000);
    }
    expect(reloads).toEqual([1, 2, 3]);
    pane.close();
    const last = pane.reloads;
    await pane.wait(300_000);
    expect(pane.reloads).toBe(last);
  });

  it("waits with that until what is not saved is kept", async () => {
    pane.store.full = true;
    port.format = FORMAT + 1;
    pane.move(9);
    await pane.wait(2000);
    expect(pane.reloads).toBe(0);
    pane.store.full = false;
    await pane.wait(10_000);
    expect([pane.reloads > 0, pane.store.queue.size]).toEqual([true, 1]);
  });

  it("leaves what a newer build kept where it is", () => {
    const [item] = read("queue") as object[];
    expect(unsavedSchema.safeParse({ ...item, format: FORMAT + 1 }).success).toBe(false);
    const clip = { ...(read("clipboard-rules") as object), format: FORMAT + 1 };
    expect(readRules(JSON.stringify(clip))).toBeNull();
  });
});
