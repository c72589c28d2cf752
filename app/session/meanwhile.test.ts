import { beforeEach, describe, expect, it } from "vitest";
import { removePiece, setValues } from "#core/edit";
import { set } from "#core/project";
import type { Change } from "#core/project";
import { Clock, into, knob, Pane, Port } from "../../tests/support/world";

let port: Port;
let pane: Pane;
beforeEach(() => {
  port = new Port(new Clock());
  pane = new Pane(port, "window1");
});
const keptX = () => knob(port.project)?.x;
const another = () => new Pane(port, "window2");

const movedY = (by: Pane, y: number, label: string): Change => ({
  ...setValues(by.session.project.pieces["alert-switch"] as never, {}, { knob: { y } }),
  label,
});

describe("somebody else changes the same at the same moment", () => {
  it("the last one wins, and the other is told once a gesture and can take theirs back", async () => {
    const other = another();
    pane.move(50);
    await pane.wait(200);
    // made before the other has heard of it, in two parts of one gesture
    other.move(60, "drag", "Drag knob");
    await pane.wait(200);
    other.move(61, "drag", "Drag knob");
    await pane.wait(200);
    await pane.listen();
    expect(pane.words).toEqual([
      expect.stringMatching(
        /Another window changed x of “Knob” in “Alert switch” at the same time as you \(“Drag knob”\)/,
      ),
    ]);
    expect([pane.x, keptX(), other.words]).toEqual([61, 61, []]);
    pane.said[0]?.action?.run();
    await pane.wait(200);
    await other.listen();
    expect([pane.x, keptX(), other.x, other.words]).toEqual([50, 50, 50, []]);
  });

  it("what the other saw and changed afterwards is told to nobody", async () => {
    const other = another();
    pane.move(50);
    await pane.wait(200);
    await other.listen();
    other.move(60);
    await pane.wait(200);
    await pane.listen();
    expect([pane.x, pane.words]).toEqual([60, []]);
  });

  it("an edit to a piece that was removed meanwhile is kept, told, and back when the removal is undone", async () => {
    const other = another();
    other.session.edit(removePiece(other.session.project, "alert-switch"));
    await other.wait(200);
    pane.move(50, null, "Nudge");
    await pane.wait(200);
    expect(pane.words).toEqual([
      expect.stringMatching(/“Nudge” is saved, but .* was deleted meanwhile/),
    ]);
    expect(pane.session.project.pieces["alert-switch"]).toBeUndefined();
    await other.listen();
    other.session.undo();
    await other.wait(200);
    await pane.listen();
    expect([keptX(), pane.x, other.x]).toEqual([50, 50, 50]);
    expect(pane.session.project).toEqual(port.project);
  });

  it("a removal of what one has just changed can be answered by bringing it back", async () => {
    const other = another();
    pane.move(50);
    await pane.wait(200);
    other.session.edit(removePiece(other.session.project, "alert-switch"));
    await other.wait(200);
    await pane.listen();
    pane.said[0]?.action?.run();
    await pane.wait(200);
    expect([keptX(), pane.x]).toEqual([50, 50]);
  });
});

describe("what was made offline", () => {
  const offline = async (): Promise<Pane> => {
    pane.mode = "closed";
    pane.move(50, null, "Mine");
    await pane.wait(500);
    port.other({
      ...setValues(port.project.pieces["alert-switch"] as never, {}, { knob: { x: 60 } }),
      label: "Theirs",
    });
    pane.mode = "open";
    await pane.wait(10_000);
    return pane;
  };

  it("does not overwrite what is newer: it is set aside, and says by what", async () => {
    await offline();
    expect([keptX(), pane.x, pane.session.save.kind]).toEqual([60, 60, "saved"]);
    expect(pane.session.aside).toMatchObject([
      { change: { label: "Mine" }, why: { kind: "conflict", clashes: [{ label: "Theirs" }] } },
    ]);
    expect(pane.words).toEqual([
      "“Mine” was set aside: someone else changed the same place meanwhile.",
    ]);
    expect(pane.store.aside.size).toBe(1);
  });

  it("can be used after all, and is kept at every moment on the way", async () => {
    await offline();
    const kept: number[] = [];
    const write = pane.store.write.bind(pane.store);
    pane.store.write = (holder, batch) => {
      const done = write(holder, batch);
      kept.push(pane.store.queue.size + pane.store.aside.size);
      return done;
    };
    const id = pane.session.aside[0]?.changeId ?? "";
    expect(pane.session.useAside(id)).toBe(true);
    expect(Math.min(...kept)).toBe(1);
    await pane.wait(500);
    expect([keptX(), pane.session.aside, pane.store.aside.size]).toEqual([50, [], 0]);
  });

  it("can be dropped", async () => {
    await offline();
    pane.session.dropAside(pane.session.aside[0]?.changeId ?? "");
    await pane.wait(500);
    expect([keptX(), pane.session.aside, pane.store.aside.size]).toEqual([60, [], 0]);
  });

  it("is one thing to choose about, though it was sent in several parts", async () => {
    pane.mode = "closed";
    for (const x of [30, 40, 50]) {
      pane.move(x, null, "Nudge");
      await pane.wait(300);
    }
    port.other({
      ...setValues(port.project.pieces["alert-switch"] as never, {}, { knob: { x: 60 } }),
      label: "Theirs",
    });
    pane.mode = "open";
    await pane.wait(10_000);
    expect(pane.session.aside.map((a) => a.change.label)).toEqual(["Nudge"]);
    expect([pane.store.aside.size, pane.store.queue.size]).toEqual([1, 0]);
    pane.session.useAside(pane.session.aside[0]?.changeId ?? "");
    await pane.wait(500);
    expect(keptX()).toBe(50);
  });

  it("is saved as it is where nobody else changed the same", async () => {
    pane.mode = "closed";
    pane.move(50);
    await pane.wait(500);
    port.other(movedY(pane, 9, "Other place"));
    pane.mode = "open";
    await pane.wait(10_000);
    expect(knob(port.project)).toMatchObject({ x: 50, y: 9 });
    expect(pane.session.aside).toEqual([]);
  });

  it("what a closed window left behind is judged by what its maker had seen", async () => {
    pane.mode = "closed";
    pane.move(50, null, "Left");
    await pane.wait(500);
    pane.session.end();
    port.other({
      ...setValues(port.project.pieces["alert-switch"] as never, {}, { knob: { x: 60 } }),
      label: "Newer",
    });
    const next = new Pane(port, "window2", port.clock, pane.store);
    next.takeOver("window1");
    expect(next.x).toBe(60);
    await next.wait(500);
    expect([keptX(), next.session.save.kind]).toEqual([60, "saved"]);
    expect(next.session.aside).toMatchObject([{ change: { label: "Left" } }]);
    expect([pane.store.queue.size, pane.store.aside.size]).toEqual([0, 1]);
  });

  it("an edit on top of what the window has not heard of for long is not taken for live", async () => {
    port.other({
      ...setValues(port.project.pieces["alert-switch"] as never, {}, { knob: { x: 60 } }),
      label: "Theirs",
    });
    await pane.wait(60_000);
    pane.move(50, null, "After sleep");
    await pane.wait(500);
    expect([keptX(), pane.x]).toEqual([60, 60]);
    expect(pane.session.aside).toMatchObject([{ change: { label: "After sleep" } }]);
  });
});

describe("a removal", () => {
  it("is undone by its number: the record does not travel", async () => {
    const bodies: string[] = [];
    const receive = port.receive.bind(port);
    port.receive = (body) => {
      bodies.push(body);
      return receive(body);
    };
    const before = pane.session.project;
    pane.session.edit(removePiece(before, "alert-switch"));
    await pane.wait(300);
    pane.session.undo();
    expect(pane.session.project).toEqual(before);
    await pane.wait(300);
    expect(port.project).toEqual(before);
    expect(pane.session.project).toEqual(before);
    expect(bodies[1]?.length).toBeLessThan(300);
    pane.session.redo();
    pane.session.undo();
    await pane.wait(500);
    expect(port.project).toEqual(before);
  });
});

describe("one change that cannot be kept", () => {
  it("does not hold up what comes after, and its step of undo is gone, also of a gesture that was joined", async () => {
    const other = another();
    other.session.edit(into("knob", "track"));
    await other.wait(300);
    pane.session.edit(into("track", "root"), "drag");
    pane.session.edit(into("track", "knob"), "drag");
    await pane.wait(1000);
    expect(pane.session.aside).toHaveLength(1);
    expect(pane.session.undoLabel).toBeNull();
    pane.move(11);
    await pane.wait(1000);
    expect(keptX()).toBe(11);
  });

  it("texts that no database keeps are cleaned before anything is made of them", async () => {
    pane.session.edit({
      label: "Name\ud83d",
      ops: [set(["name"], "Kelp\u0000way \udc00 kit\ud83d")],
    });
    await pane.wait(300);
    expect(port.project.name).toBe("Kelpway \ufffd kit");
    expect(port.log[0]?.label).toBe("Name");
    expect(pane.session.project).toEqual(port.project);
  });
});

describe("what the browser keeps", () => {
  it("says that it is kept only when it is, and goes on trying", async () => {
    pane.store.full = true;
    pane.mode = "closed";
    pane.move(50);
    expect(pane.session.atRisk).toBe(true);
    await pane.wait(1000);
    expect(pane.session.save).toMatchObject({ kind: "waiting", kept: false });
    pane.store.full = false;
    await pane.wait(5000);
    expect(pane.session.save).toMatchObject({ kind: "waiting", kept: true });
    expect([pane.session.atRisk, pane.store.queue.size]).toEqual([false, 1]);
  });

  it("begins to write in the task of the edit", () => {
    pane.move(50);
    expect(pane.store.queue.size).toBe(1);
  });
});

describe("a window that fell behind", () => {
  it("reads page by page, and the whole project when that is shorter", async () => {
    port.page = 2;
    for (let i = 0; i < 9; i++) port.other(movedY(pane, 20 + i, `Step ${i}`));
    await pane.session.catchUp();
    expect(pane.session.seq).toBe(9);
    for (let i = 0; i < 60; i++) port.other(movedY(pane, 40 + i, `Step ${i}`));
    pane.move(77);
    await pane.wait(1000);
    expect(pane.session.project).toEqual(port.project);
    expect(keptX()).toBe(77);
  });
});
