import { beforeEach, describe, expect, it } from "vitest";
import { setValues } from "#core/edit";
import { set } from "#core/project";
import { Clock, into, knob, Pane, Port } from "../../tests/support/world";

let port: Port;
let pane: Pane;
beforeEach(() => {
  port = new Port(new Clock());
  pane = new Pane(port, "window1");
});
const keptX = () => knob(port.project)?.x;
const another = () => new Pane(port, "window2");

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
    expect(pane.store.queue.size).toBe(0);
  });

  it("a drag is one change and one step of undo", async () => {
    for (let x = 5; x < 60; x++) {
      pane.move(x, "drag");
      await pane.wait(16);
    }
    await pane.wait(300);
    expect(keptX()).toBe(59);
    expect(port.log.length).toBeLessThan(4);
    pane.session.undo();
    expect(pane.x).toBe(4);
    pane.session.redo();
    expect(pane.x).toBe(59);
    await pane.wait(300);
    expect(keptX()).toBe(59);
  });

  it("held back, edits are made and saved but told to nobody until they are released", async () => {
    let told = 0;
    pane.session.onChange(() => {
      told++;
    });
    const before = pane.session.project;
    pane.session.pause();
    pane.move(10, "drag");
    pane.session.pause();
    pane.move(20, "drag");
    expect([told, pane.x, pane.session.displayed === before]).toEqual([0, 20, true]);
    // what another window does meanwhile waits as well
    const other = another();
    other.session.edit(
      setValues(other.session.project.pieces["alert-switch"] as never, {}, { knob: { y: 7 } }),
    );
    await other.wait(300);
    await pane.listen();
    await pane.wait(300);
    expect([told, keptX(), pane.session.displayed === before]).toEqual([0, 20, true]);
    pane.session.resume();
    expect([told, pane.session.displayed === pane.session.project]).toEqual([1, true]);
    expect(pane.session.displayed.pieces["alert-switch"]?.looks.base?.changes.knob).toMatchObject({
      x: 20,
      y: 7,
    });
    pane.session.resume();
    expect(told).toBe(1);
    pane.session.undo();
    expect(pane.x).toBe(4);
  });

  it("two gestures are two steps, and undo ends where one began", () => {
    pane.move(10, "drag 1");
    pane.session.endGesture();
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
    pane.session.endGesture();
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
    pane.move(30, "alternate");
    pane.move(9, "alternate");
    pane.session.cancel("alternate");
    expect(pane.x).toBe(9);
    pane.session.undo();
    expect([pane.x, pane.said]).toEqual([4, []]);
    await pane.wait(1000);
    expect(keptX()).toBe(4);
  });

  it("while the server is away editing goes on, says why it is not saved, and saves when it is back", async () => {
    pane.mode = "closed";
    pane.move(9);
    await pane.wait(300);
    pane.move(10);
    await pane.wait(5000);
    expect(pane.session.save).toEqual({
      kind: "waiting",
      reason: "the server is not responding",
      changes: 2,
      kept: true,
    });
    expect(pane.store.queue.size).toBe(2);
    pane.mode = "open";
    await pane.wait(10_000);
    expect(pane.session.save).toEqual({ kind: "saved" });
    expect(keptX()).toBe(10);
    expect(pane.store.queue.size).toBe(0);
  });

  it("a change whose answer was lost is kept once", async () => {
    pane.mode = "answer lost";
    pane.move(9);
    await pane.wait(200);
    expect(pane.session.save.kind).toBe("waiting");
    pane.mode = "open";
    await pane.wait(10_000);
    expect(pane.session.save.kind).toBe("saved");
    expect(port.log).toHaveLength(1);
  });

  it("what joins a gesture after an answer was lost is kept too: a change that was sent is never altered", async () => {
    pane.mode = "answer lost";
    pane.move(9, "nudge");
    await pane.wait(200);
    expect([port.log.length, pane.session.save.kind]).toEqual([1, "waiting"]);
    pane.move(19, "nudge");
    pane.move(29, "nudge");
    pane.mode = "open";
    await pane.wait(10_000);
    expect(pane.session.save.kind).toBe("saved");
    expect([pane.x, keptX(), port.log.length]).toEqual([29, 29, 2]);
    pane.session.undo();
    await pane.wait(300);
    expect([pane.x, keptX()]).toEqual([4, 4]);
  });

  it("edits left from a visit that could not save are taken up by the next", async () => {
    pane.mode = "closed";
    pane.move(9);
    await pane.wait(1000);
    const next = new Pane(port, "window2", port.clock, pane.store);
    pane.session.end();
    next.takeOver("window1");
    await next.wait(1000);
    expect(keptX()).toBe(9);
  });
});

describe("refusals", () => {
  it("an edit that would break the project is not made, and says why", () => {
    expect(
      pane.session.edit({
        label: "Break",
        ops: [set(["pieces", "alert-switch", "layers", "toggle", "parent"], "knob")],
      }),
    ).toBe(false);
    expect(pane.words[0]).toContain("inside itself");
    expect(pane.session.save.kind).toBe("saved");
  });

  it("what the server refuses is taken back here, told, and what came after is kept", async () => {
    const other = another();
    other.session.edit(into("knob", "track"));
    await other.wait(300);
    pane.session.edit(into("track", "knob"));
    pane.move(11);
    await pane.wait(1000);
    expect(pane.words[0]).toMatch(/Move track.*set aside.*inside itself/);
    expect(pane.session.aside).toMatchObject([
      { change: { label: "Move track" }, why: { kind: "refused" } },
    ]);
    expect(pane.x).toBe(11);
    expect(pane.session.project).toEqual(port.project);
  });
});

describe("a refusal", () => {
  it("comes with what the window had not heard of, so that one sees why", async () => {
    const other = another();
    other.session.edit(into("knob", "track"));
    await other.wait(300);
    pane.session.edit(into("track", "knob"));
    await pane.wait(300);
    expect(pane.session.aside).toHaveLength(1);
    expect(pane.session.project.pieces["alert-switch"]?.layers.knob?.parent).toBe("track");
    pane.session.useAside(pane.session.aside[0]?.changeId ?? "");
    expect(pane.words.at(-1)).toMatch(/still cannot be saved: .*inside itself/);
  });
});

describe("two windows", () => {
  it("edits of different properties both survive, of the same one the last wins, and both windows end alike", async () => {
    const other = another();
    pane.move(50);
    other.session.edit(
      setValues(
        other.session.project.pieces["alert-switch"] as never,
        {},
        { knob: { y: 7, x: 60 } },
      ),
    );
    await pane.wait(300);
    await other.wait(300);
    await pane.listen();
    await other.listen();
    expect(port.project.pieces["alert-switch"]?.looks.base?.changes.knob).toMatchObject({
      x: 60,
      y: 7,
    });
    expect(pane.session.project).toEqual(port.project);
    expect(other.session.project).toEqual(port.project);
  });

  it("undo takes back one's own edit and leaves the other's alone", async () => {
    const other = another();
    pane.move(50);
    await pane.wait(300);
    await other.listen();
    other.session.edit(
      setValues(other.session.project.pieces["alert-switch"] as never, {}, { knob: { y: 7 } }),
    );
    await other.wait(300);
    await pane.listen();
    pane.session.undo();
    await pane.wait(300);
    expect(port.project.pieces["alert-switch"]?.looks.base?.changes.knob).toMatchObject({
      x: 4,
      y: 7,
    });
  });

  it("a gap in what arrives is noticed", () => {
    expect(
      pane.session.arrive({ seq: 5, base: 0, changeId: "x", clientId: "y", label: "x", ops: [] }),
    ).toBe(false);
  });
});
