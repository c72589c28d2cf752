import fc from "fast-check";
import { beforeEach, describe, expect, it } from "vitest";
import { accept, set } from "#core/project";
import type { Change, Project } from "#core/project";
import { setValues } from "#core/edit";
import { kelpwayKit } from "../../demo/index";
import { Session } from "./session";
import type { Arrived } from "./session";

/** A server in memory with the same promises as the real one: one order, each change once, refused or kept whole. */
class Harbour {
  project: Project = kelpwayKit();
  log: Arrived[] = [];
  mode: "open" | "closed" | "answer lost" = "open";
  receive(body: string): { status: number; answer: unknown } {
    if (this.mode === "closed") throw new Error("connection refused");
    const { changeId, clientId, since, change } = JSON.parse(body) as { changeId: string; clientId: string; since: number; change: Change };
    const before = this.log.find((l) => l.changeId === changeId);
    const missed = (upTo: number) => this.log.filter((l) => l.seq > since && l.seq < upTo);
    if (before) return { status: 200, answer: { kind: "kept", seq: before.seq, missed: missed(before.seq) } };
    const result = accept(this.project, change);
    if (!result.ok) return { status: 422, answer: { kind: "refused", reason: result.error } };
    this.project = result.project;
    const seq = this.log.length + 1;
    this.log.push({ seq, changeId, clientId, label: change.label, ops: change.ops });
    if (this.mode === "answer lost") throw new Error("connection reset");
    return { status: 200, answer: { kind: "kept", seq, missed: missed(seq) } };
  }
}

/** A window whose clock is wound by hand. */
class Pane {
  readonly session: Session;
  kept: string | null = null;
  time = 0;
  said: string[] = [];
  private timers: { at: number; call: () => void }[] = [];
  constructor(readonly harbour: Harbour, readonly name: string) {
    this.session = new Session("kit", name, { seq: harbour.log.length, project: harbour.project }, {
      send: (body) => new Promise((resolve) => resolve(harbour.receive(body))),
      keep: (_name, text) => { this.kept = text; },
      now: () => this.time,
      later: (ms, call) => {
        const timer = { at: this.time + ms, call };
        this.timers.push(timer);
        return () => { this.timers = this.timers.filter((t) => t !== timer); };
      },
    });
    this.session.onMessage((text) => this.said.push(text));
  }
  async wait(ms: number): Promise<void> {
    const end = this.time + ms;
    for (;;) {
      const next = this.timers.filter((t) => t.at <= end).sort((a, b) => a.at - b.at)[0];
      if (!next) break;
      this.timers = this.timers.filter((t) => t !== next);
      this.time = Math.max(this.time, next.at);
      next.call();
      for (let i = 0; i < 6; i++) await Promise.resolve();
    }
    this.time = end;
  }
  listen(): void { for (const change of this.harbour.log) this.session.arrive(change); }
  move(x: number, gesture: string | null = null): void {
    const piece = this.session.project.pieces["alert-switch"];
    if (piece) this.session.edit(setValues(piece, {}, { knob: { x } }), gesture);
  }
  get x(): unknown { return this.session.project.pieces["alert-switch"]?.looks.base?.changes.knob?.x; }
}

let harbour: Harbour, pane: Pane;
beforeEach(() => {
  harbour = new Harbour();
  pane = new Pane(harbour, "one");
});
const keptX = () => harbour.project.pieces["alert-switch"]?.looks.base?.changes.knob?.x;

describe("saving", () => {
  it("shows an edit at once, says that it is saving, then that it is saved", async () => {
    pane.move(9);
    expect(pane.x).toBe(9);
    expect(pane.session.save).toEqual({ kind: "saving" });
    expect(keptX()).toBe(4);
    const before = pane.session.project;
    await pane.wait(200);
    expect(pane.session.save).toEqual({ kind: "saved" });
    expect(keptX()).toBe(9);
    expect(pane.session.project).toBe(before);
    expect(pane.kept).toBeNull();
  });

  it("a drag is one change and one step of undo", async () => {
    for (let x = 5; x < 60; x++) {
      pane.move(x, "drag");
      await pane.wait(16);
    }
    await pane.wait(300);
    expect(keptX()).toBe(59);
    expect(harbour.log.length).toBeLessThan(4);
    pane.session.undo();
    expect(pane.x).toBe(4);
    pane.session.redo();
    expect(pane.x).toBe(59);
    await pane.wait(300);
    expect(keptX()).toBe(59);
  });

  it("held back, edits are made and saved but told to nobody until they are released", async () => {
    let told = 0;
    pane.session.subscribe(() => { told++; });
    const before = pane.session.project;
    pane.session.hold();
    pane.move(10, "drag");
    pane.session.hold();
    pane.move(20, "drag");
    expect([told, pane.x, pane.session.told === before]).toEqual([0, 20, true]);
    // what another window does meanwhile waits as well
    const other = new Pane(harbour, "two");
    other.session.edit(setValues(other.session.project.pieces["alert-switch"] as never, {}, { knob: { y: 7 } }));
    await other.wait(300);
    pane.listen();
    await pane.wait(300);
    expect([told, keptX(), pane.session.told === before]).toEqual([0, 20, true]);
    pane.session.release();
    expect([told, pane.session.told === pane.session.project]).toEqual([1, true]);
    expect(pane.session.told.pieces["alert-switch"]?.looks.base?.changes.knob).toMatchObject({ x: 20, y: 7 });
    pane.session.release();
    expect(told).toBe(1);
    pane.session.undo();
    expect(pane.x).toBe(4);
  });

  it("two gestures are two steps, and undo ends where one began", () => {
    pane.move(10, "drag 1");
    pane.session.settle();
    pane.move(20, "drag 2");
    expect(pane.session.undoLabel).toBe("Set x of Knob");
    pane.session.undo();
    expect(pane.x).toBe(10);
    pane.session.undo();
    expect(pane.x).toBe(4);
    expect(pane.session.undoLabel).toBeNull();
    pane.session.undo();
    expect(pane.x).toBe(4);
  });

  it("a drag may rest: it stays one step until it ends; key presses after a pause are a step of their own", async () => {
    pane.move(10, "drag");
    await pane.wait(5000);
    pane.move(20, "drag");
    pane.session.settle();
    pane.session.undo();
    expect(pane.x).toBe(4);
    const piece = () => pane.session.project.pieces["alert-switch"] as never;
    pane.session.edit(setValues(piece(), {}, { knob: { x: 5 } }), "nudge", 1500);
    await pane.wait(2000);
    pane.session.edit(setValues(piece(), {}, { knob: { x: 6 } }), "nudge", 1500);
    pane.session.undo();
    expect(pane.x).toBe(5);
  });

  it("a cancelled gesture is gone, however long it took, and takes nothing else along", async () => {
    pane.move(9);
    pane.move(10, "choose");
    await pane.wait(5000);
    pane.move(20, "choose");
    pane.session.cancel("choose");
    expect([pane.x, pane.session.redoLabel]).toEqual([9, null]);
    pane.session.cancel("choose");
    expect(pane.x).toBe(9);
    pane.move(30, "there and back");
    pane.move(9, "there and back");
    pane.session.cancel("there and back");
    expect(pane.x).toBe(9);
    pane.session.undo();
    expect([pane.x, pane.said]).toEqual([4, []]);
    await pane.wait(1000);
    expect(keptX()).toBe(4);
  });

  it("while the server is away editing goes on, says why it is not saved, and saves when it is back", async () => {
    harbour.mode = "closed";
    pane.move(9);
    await pane.wait(300);
    pane.move(10);
    await pane.wait(5000);
    expect(pane.session.save).toEqual({ kind: "waiting", reason: "the server does not answer", changes: 2 });
    expect(JSON.parse(pane.kept ?? "[]")).toHaveLength(2);
    harbour.mode = "open";
    await pane.wait(10_000);
    expect(pane.session.save).toEqual({ kind: "saved" });
    expect(keptX()).toBe(10);
    expect(pane.kept).toBeNull();
  });

  it("a change whose answer was lost is kept once", async () => {
    harbour.mode = "answer lost";
    pane.move(9);
    await pane.wait(200);
    expect(pane.session.save.kind).toBe("waiting");
    harbour.mode = "open";
    await pane.wait(10_000);
    expect(pane.session.save.kind).toBe("saved");
    expect(harbour.log).toHaveLength(1);
  });

  it("what joins a gesture after an answer was lost is kept too: a change that was sent is never altered", async () => {
    harbour.mode = "answer lost";
    pane.move(9, "nudge");
    await pane.wait(200);
    expect([harbour.log.length, pane.session.save.kind]).toEqual([1, "waiting"]);
    pane.move(19, "nudge");
    pane.move(29, "nudge");
    harbour.mode = "open";
    await pane.wait(10_000);
    expect(pane.session.save.kind).toBe("saved");
    expect([pane.x, keptX(), harbour.log.length]).toEqual([29, 29, 2]);
    pane.session.undo();
    await pane.wait(300);
    expect([pane.x, keptX()]).toEqual([4, 4]);
  });

  it("edits left from a visit that could not save are taken up by the next", async () => {
    harbour.mode = "closed";
    pane.move(9);
    await pane.wait(1000);
    const left = JSON.parse(pane.kept ?? "[]") as { changeId: string; change: Change }[];
    harbour.mode = "open";
    const next = new Pane(harbour, "two");
    next.session.adopt(left);
    expect(next.x).toBe(9);
    await next.wait(1000);
    expect(keptX()).toBe(9);
  });
});

describe("refusals", () => {
  it("an edit that would break the project is not made, and says why", () => {
    expect(pane.session.edit({ label: "Break", ops: [set(["pieces", "alert-switch", "layers", "toggle", "parent"], "knob")] })).toBe(false);
    expect(pane.said[0]).toContain("inside itself");
    expect(pane.session.save.kind).toBe("saved");
  });

  it("what the server refuses is taken back here, told, and what came after is kept", async () => {
    const other = new Pane(harbour, "two");
    const into = (layer: string, parent: string): Change => ({ label: `Move ${layer}`, ops: [set(["pieces", "alert-switch", "layers", layer, "parent"], parent)] });
    other.session.edit(into("knob", "track"));
    await other.wait(300);
    pane.session.edit(into("track", "knob"));
    pane.move(11);
    await pane.wait(1000);
    expect(pane.said[0]).toMatch(/Move track.*not kept.*inside itself/);
    expect(pane.x).toBe(11);
    expect(pane.session.project).toEqual(harbour.project);
  });
});

describe("two windows", () => {
  it("edits of different properties both survive, of the same one the last wins, and both windows end alike", async () => {
    const other = new Pane(harbour, "two");
    pane.move(50);
    other.session.edit(setValues(other.session.project.pieces["alert-switch"] as never, {}, { knob: { y: 7, x: 60 } }));
    await pane.wait(300);
    await other.wait(300);
    pane.listen();
    other.listen();
    expect(harbour.project.pieces["alert-switch"]?.looks.base?.changes.knob).toMatchObject({ x: 60, y: 7 });
    expect(pane.session.project).toEqual(harbour.project);
    expect(other.session.project).toEqual(harbour.project);
  });

  it("undo takes back one's own edit and leaves the other's alone", async () => {
    const other = new Pane(harbour, "two");
    pane.move(50);
    await pane.wait(300);
    other.listen();
    other.session.edit(setValues(other.session.project.pieces["alert-switch"] as never, {}, { knob: { y: 7 } }));
    await other.wait(300);
    pane.listen();
    pane.session.undo();
    await pane.wait(300);
    expect(harbour.project.pieces["alert-switch"]?.looks.base?.changes.knob).toMatchObject({ x: 4, y: 7 });
  });

  it("a gap in what arrives is noticed", () => {
    expect(pane.session.arrive({ seq: 5, changeId: "x", clientId: "y", label: "x", ops: [] })).toBe(false);
  });

  it("whatever two windows do and whenever the connection breaks, they end alike and nothing acknowledged is lost", async () => {
    const act = fc.record({ who: fc.nat({ max: 1 }), what: fc.constantFrom("move", "undo", "wait", "listen", "break", "lose", "mend", "name"), n: fc.integer({ min: 0, max: 200 }) });
    await fc.assert(fc.asyncProperty(fc.array(act, { maxLength: 30 }), async (acts) => {
      const port = new Harbour();
      const panes = [new Pane(port, "a"), new Pane(port, "b")];
      for (const { who, what, n } of acts) {
        const p = panes[who] as Pane;
        if (what === "move") p.move(n);
        else if (what === "undo") p.session.undo();
        else if (what === "wait") await p.wait(n * 10);
        else if (what === "listen") p.listen();
        else if (what === "name") p.session.edit({ label: "Name", ops: [set(["name"], `Kit ${n}`)] });
        else port.mode = what === "break" ? "closed" : what === "lose" ? "answer lost" : "open";
      }
      port.mode = "open";
      for (let i = 0; i < 6; i++) for (const p of panes) {
        await p.wait(20_000);
        p.listen();
      }
      for (const p of panes) {
        expect(p.session.save.kind).toBe("saved");
        expect(p.session.project).toEqual(port.project);
      }
      expect(new Set(port.log.map((l) => l.changeId)).size).toBe(port.log.length);
    }), { numRuns: 80 });
  });
});
