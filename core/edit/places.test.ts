import { describe, expect, it } from "vitest";
import { remove, set } from "../project";
import type { Op } from "../project";
import { kelpwayKit } from "../../demo/index";
import { changeRows, placeWords } from "./places";

const kit = kelpwayKit();
const alert = (...rest: string[]): string[] => ["pieces", "alert-switch", ...rest];
const rowsOf = (...ops: Op[]) =>
  changeRows(kit, { label: "Edit", ops }).map(({ place, now, then }) => [place, now, then]);

describe("a place in words", () => {
  it.each([
    [alert("looks", "base", "changes", "knob", "x"), "x of “Knob” in “Alert switch”"],
    [alert("looks", "base", "changes", "knob"), "what “Knob” looks like in “Alert switch”"],
    [alert("layers", "knob"), "the layer “Knob” in “Alert switch”"],
    [alert("layers", "knob", "name"), "the name of the layer “Knob” in “Alert switch”"],
    [alert("layers", "knob", "parent"), "the parent of the layer “Knob” in “Alert switch”"],
    [alert("layers", "gone"), "a layer in “Alert switch”"],
    [alert("name"), "the name of the component “Alert switch”"],
    [alert(), "the component “Alert switch”"],
    [["pieces", "gone", "name"], "a deleted piece"],
    [["tokens", "gone", "name"], "the name of a token"],
    [["name"], "the project's name"],
  ])("%j", (path, words) => {
    expect(placeWords(kit, path)).toBe(words);
  });
});

describe("what a change would do", () => {
  it("is told place by place, with what is there and what would be", () => {
    expect(
      rowsOf(
        set(alert("looks", "base", "changes", "knob", "x"), 30),
        set(alert("name"), "Bell switch"),
      ),
    ).toEqual([
      ["x of “Knob” in “Alert switch”", "4", "30"],
      ["the name of the component “Alert switch”", "Alert switch", "Bell switch"],
    ]);
  });

  it("calls what holds a layer by its name, and an order by what it is", () => {
    expect(
      rowsOf(
        set(alert("layers", "knob", "parent"), "root"),
        set(alert("layers", "knob", "order"), "b1"),
      ),
    ).toEqual([
      ["the parent of the layer “Knob” in “Alert switch”", "Toggle", "Alert switch"],
      ["the order of the layer “Knob” in “Alert switch”", "a place among others", "another one"],
    ]);
  });

  it("says what would be removed, and leaves out what is so already", () => {
    expect(rowsOf(remove(alert("layers", "knob")), set(alert("name"), "Alert switch"))).toEqual([
      ["the layer “Knob” in “Alert switch”", "“Knob”", "deleted"],
    ]);
  });
});
