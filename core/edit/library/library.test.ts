import { describe, expect, it } from "vitest";
import {
  addSample,
  libraryGroups,
  moveSample,
  moveToGroup,
  removeSample,
  renameGroup,
  setSample,
} from "#core/edit";
import { inOrder } from "#core/project";
import { Builder } from "../../../tests/support/pieces";

const put = (b: Builder, id: string, group: string): void => {
  const change = moveToGroup(b.project, id, group);
  if (change) b.do(change);
};

describe("groups of the library", () => {
  it("are there as long as a component is in them, and go by the first of these", () => {
    const b = new Builder();
    const [bell, gate, pin] = ["Bell", "Gate", "Pin"].map((name) => b.new("component", name));
    put(b, pin ?? "", "Map");
    put(b, bell ?? "", "Signals");
    expect(libraryGroups(b.project)).toEqual(["Map", "Signals"]);
    put(b, gate ?? "", "Map");
    put(b, pin ?? "", "");
    expect(libraryGroups(b.project)).toEqual(["Signals", "Map"]);
    expect(moveToGroup(b.project, gate ?? "", "Map")).toBeNull();
    expect(moveToGroup(b.project, "nobody", "Map")).toBeNull();
  });

  it("are renamed, joined, and dissolved", () => {
    const b = new Builder();
    const bell = b.new("component", "Bell");
    const pin = b.new("component", "Pin");
    put(b, bell, "Signals");
    put(b, pin, "Map");
    b.do(renameGroup(b.project, "Signals", "Map"));
    expect(libraryGroups(b.project)).toEqual(["Map"]);
    b.do(renameGroup(b.project, "Map", ""));
    expect(libraryGroups(b.project)).toEqual([]);
    expect(b.project.pieces[bell]).not.toHaveProperty("group");
  });
});

it("samples are added, captioned, moved and deleted", () => {
  const b = new Builder();
  b.new("component", "Bell");
  const first = addSample(b.piece, { advice: "do" });
  b.do(first.change);
  const second = addSample(b.piece, { advice: "avoid", values: { "trait:t": "v" } });
  b.do(second.change);
  b.do(setSample(b.piece, first.id, { caption: "One bell a page.", advice: "plain" }));
  b.do(moveSample(b.piece, second.id, 0));
  expect(inOrder(b.piece.samples).map((s) => [s.caption, s.advice])).toEqual([
    ["", "avoid"],
    ["One bell a page.", "plain"],
  ]);
  b.do(removeSample(b.piece, second.id));
  expect(Object.keys(b.piece.samples)).toEqual([first.id]);
});
