import { describe, expect, it } from "vitest";
import { announced } from "./announced";

const box = { label: "Insert Box" };
const trait = { label: "Add trait Alerts" };

describe("what is told to those who do not see it", () => {
  it("tells what was done", () => {
    expect(announced({ undo: null, redo: null }, { undo: box, redo: null })).toBe("Insert Box");
    expect(announced({ undo: box, redo: null }, { undo: trait, redo: null })).toBe(
      "Add trait Alerts",
    );
    expect(announced({ undo: box, redo: null }, { undo: { ...box }, redo: null })).toBe(
      "Insert Box",
    );
  });

  it("tells what was taken back, to the last", () => {
    expect(announced({ undo: trait, redo: null }, { undo: box, redo: trait })).toBe(
      "Undone: Add trait Alerts",
    );
    expect(announced({ undo: box, redo: trait }, { undo: null, redo: box })).toBe(
      "Undone: Insert Box",
    );
  });

  it("tells what was done again, to the last", () => {
    expect(announced({ undo: null, redo: box }, { undo: box, redo: trait })).toBe(
      "Redone: Insert Box",
    );
    expect(announced({ undo: box, redo: trait }, { undo: trait, redo: null })).toBe(
      "Redone: Add trait Alerts",
    );
  });

  it("is silent when nothing was done", () => {
    expect(announced({ undo: box, redo: trait }, { undo: box, redo: trait })).toBe("");
    expect(announced({ undo: null, redo: null }, { undo: null, redo: null })).toBe("");
  });
});
