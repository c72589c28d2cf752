import { describe, expect, it } from "vitest";
import type { Id } from "#core/basics";
import { ROOT, set } from "#core/project";
import { Builder } from "../../../tests/support/pieces";
import { hiddenIn, lineBeginning, linesOf, placeOf, treeStep } from "./lines";

/** A piece with a box that holds two, and a text beside it. */
const piece = () => {
  const b = new Builder();
  b.new("component", "Dock bar");
  const group = b.layer("box");
  const one = b.layer("box", {}, group);
  const two = b.layer("ellipse", {}, group);
  const text = b.layer("text", { text: "Bow" });
  return { b, group, one, two, text };
};
const open: ReadonlySet<Id> = new Set();

describe("keys in the tree", () => {
  it("go up and down, in and out, to the ends, and fold", () => {
    const { b, group, two, text } = piece();
    const lines = linesOf(b.piece, open);
    const from = (lead: Id, key: string, closed = open) => treeStep(lines, lead, closed, key);
    expect(lines.map((l) => l.layer.id)).toHaveLength(5);
    expect(from(ROOT, "ArrowDown")).toEqual({ go: text });
    expect(from(text, "ArrowUp")).toEqual({ go: ROOT });
    expect(from(ROOT, "ArrowUp")).toBeNull();
    expect(from(text, "Home")).toEqual({ go: ROOT });
    expect(from(ROOT, "End")).toEqual({ go: lines.at(-1)?.layer.id });
    expect(from(group, "ArrowRight")).toEqual({ go: two });
    expect(from(two, "ArrowLeft")).toEqual({ go: group });
    expect(from(group, "ArrowLeft")).toEqual({ fold: group, shut: true });
    expect(from(group, "ArrowRight", new Set([group]))).toEqual({ fold: group, shut: false });
    expect(from(text, "ArrowRight")).toBeNull();
    expect(from(text, "x")).toBeNull();
  });

  it("lead by letters to the next name that begins with them, round to the first", () => {
    const { b, group, one } = piece();
    b.do({
      label: "Rename",
      ops: [
        set(["pieces", b.at, "layers", group, "name"], "Buoy"),
        set(["pieces", b.at, "layers", one, "name"], "Bell"),
      ],
    });
    const lines = linesOf(b.piece, open);
    expect(lineBeginning(lines, ROOT, "b")).toBe(group);
    expect(lineBeginning(lines, group, "b")).toBe(one);
    expect(lineBeginning(lines, one, "b")).toBe(group);
    // more letters of a name may stay where they have led
    expect(lineBeginning(lines, one, "be")).toBe(one);
    expect(lineBeginning(lines, ROOT, "zz")).toBeNull();
  });
});

describe("lines", () => {
  it("know what a variant does not show", () => {
    const { b, one, text } = piece();
    const lit = b.trait("Lit", "no", "yes");
    const [no = "", yes = ""] = [lit.v.no, lit.v.yes];
    b.look({}, text, { visible: false });
    b.look({ [lit.id]: [yes] }, one, { visible: false });
    b.look({ [lit.id]: [yes] }, text, { visible: true });
    expect(hiddenIn(b.piece, { [lit.id]: no })).toEqual([text]);
    expect(hiddenIn(b.piece, { [lit.id]: yes })).toEqual([one]);
  });

  it("land above, below and into others, counted without what is moved", () => {
    const { b, group, one, two, text } = piece();
    expect(placeOf(b.piece, { id: group, where: "into" }, [text])).toEqual({
      parent: group,
      index: 2,
    });
    expect(placeOf(b.piece, { id: one, where: "above" }, [text])).toEqual({
      parent: group,
      index: 1,
    });
    expect(placeOf(b.piece, { id: two, where: "below" }, [one])).toEqual({
      parent: group,
      index: 0,
    });
    expect(placeOf(b.piece, { id: one, where: "below" }, [one])).toBeNull();
  });
});
