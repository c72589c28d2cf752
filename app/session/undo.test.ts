import { beforeEach, describe, expect, it } from "vitest";
import { removePiece, setValues } from "#core/edit";
import { Clock, knob, Pane, Port } from "../../tests/support/world";
import { keptUndoSchema } from "./undo";

let port: Port;
let pane: Pane;
beforeEach(() => {
  port = new Port(new Clock());
  pane = new Pane(port, "window1");
});
const another = () => new Pane(port, "window2");
const keptKnob = () => knob(port.project);

/** What one window did is there for the other. */
const seenBy = async (maker: Pane, other: Pane) => {
  await maker.wait(200);
  await other.listen();
};
const placed = (by: Pane, values: Record<string, number>) =>
  by.session.edit(
    setValues(by.session.project.pieces["alert-switch"] as never, {}, { knob: values }),
  );

describe("undo beside another window", () => {
  it("leaves what the other has changed since, and says so", async () => {
    const other = another();
    pane.move(50);
    await seenBy(pane, other);
    other.move(60);
    await seenBy(other, pane);
    pane.session.undo();
    await pane.wait(200);
    expect(keptKnob()?.x).toBe(60);
    expect(pane.words).toEqual([expect.stringContaining("was changed in another window since")]);
    // what was before can be undone all the same
    expect(pane.session.undoLabel).toBeNull();
  });

  it("takes back the rest of a step", async () => {
    const other = another();
    placed(pane, { x: 50, y: 9 });
    await seenBy(pane, other);
    placed(other, { y: 11 });
    await seenBy(other, pane);
    pane.session.undo();
    await pane.wait(200);
    expect(keptKnob()).toMatchObject({ x: 4, y: 11 });
    pane.session.redo();
    await pane.wait(200);
    expect(keptKnob()).toMatchObject({ x: 50, y: 11 });
  });

  it("does not remove a piece in which the other has worked since", async () => {
    const other = another();
    pane.session.edit(removePiece(pane.session.project, "alert-switch"));
    pane.session.undo();
    await seenBy(pane, other);
    other.move(33);
    await seenBy(other, pane);
    pane.session.redo();
    await pane.wait(200);
    expect(keptKnob()?.x).toBe(33);
  });
});

describe("undo after a reload", () => {
  const reloaded = (): Pane => {
    const text = JSON.stringify(pane.session.keptUndo);
    const kept = keptUndoSchema.parse(JSON.parse(text));
    const next = new Pane(port, "window3");
    next.session.takeUpUndo(kept);
    return next;
  };

  it("goes on in both directions", async () => {
    pane.move(50);
    pane.session.endGesture();
    pane.move(70);
    await pane.wait(200);
    pane.session.undo();
    await pane.wait(200);
    const next = reloaded();
    next.session.redo();
    await next.wait(200);
    expect(keptKnob()?.x).toBe(70);
    next.session.undo();
    next.session.undo();
    await next.wait(200);
    expect(keptKnob()?.x).toBe(4);
  });

  it("brings back what was removed before it", async () => {
    const whole = pane.session.project.pieces["alert-switch"];
    pane.session.edit(removePiece(pane.session.project, "alert-switch"));
    await pane.wait(200);
    const next = reloaded();
    next.session.undo();
    await next.wait(200);
    expect(port.project.pieces["alert-switch"]).toEqual(whole);
  });

  it("comes before what was done since, and nothing undone comes again then", async () => {
    pane.move(50);
    await pane.wait(200);
    pane.session.undo();
    await pane.wait(200);
    const kept = pane.session.keptUndo;
    const next = new Pane(port, "window3");
    next.move(20);
    next.session.takeUpUndo(kept);
    expect(next.session.redoLabel).toBeNull();
    next.session.undo();
    await next.wait(200);
    expect(keptKnob()?.x).toBe(4);
  });

  it("does not bring steps of another project of this address, or anything else", () => {
    pane.move(50);
    const kept = pane.session.keptUndo;
    const next = new Pane(port, "window3");
    next.session.takeUpUndo({ ...kept, generation: "other" });
    expect(next.session.undoLabel).toBeNull();
    for (const text of ["null", "{}", '{"format":1}', JSON.stringify({ ...kept, past: [{}] })])
      expect(keptUndoSchema.safeParse(JSON.parse(text)).success).toBe(false);
  });
});
