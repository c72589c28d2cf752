import { describe, expect, it } from "vitest";
import { duplicateLayers, namesFollowing, replaceBy, setValues, wayBeside } from "#core/edit";
import type { Edits } from "#core/edit";
import { childrenOf } from "#core/looks";
import { BASE, ROOT } from "#core/project";
import { kelpwayKit } from "../../../demo/index";
import { Builder } from "../../../tests/support/pieces";

const box = (x: number, y: number, width: number, height: number) => ({ x, y, width, height });

describe("the first duplicate", () => {
  it("goes beside what is high, and below what is wide", () => {
    expect(wayBeside([box(10, 10, 40, 40)], [], null)).toEqual({ dx: 48, dy: 0 });
    expect(wayBeside([box(10, 10, 200, 40)], [], null)).toEqual({ dx: 0, dy: 48 });
    expect(wayBeside([], [], null)).toBeNull();
  });

  it("goes on in a row or column with its gap", () => {
    expect(wayBeside([box(60, 10, 40, 40)], [box(5, 12, 42, 38)], null)).toEqual({ dx: 53, dy: 0 });
    const list = [box(0, 0, 60, 50), box(0, 64, 60, 50)];
    expect(wayBeside([box(0, 128, 60, 50)], list, null)).toEqual({ dx: 0, dy: 64 });
  });

  it("minds neither what is of another size nor what it covers", () => {
    const others = [box(0, 0, 300, 200), box(2, 18, 6, 6)];
    expect(wayBeside([box(20, 10, 40, 40)], others, null)).toEqual({ dx: 48, dy: 0 });
  });

  it("goes the other way where there is no room for it", () => {
    const room = box(0, 0, 100, 200);
    expect(wayBeside([box(50, 10, 40, 40)], [], room)).toEqual({ dx: 0, dy: 48 });
    expect(wayBeside([box(50, 150, 40, 40)], [], room)).toEqual({ dx: 48, dy: 0 });
  });

  it("takes several layers as one", () => {
    expect(wayBeside([box(0, 0, 20, 20), box(0, 24, 20, 20)], [], null)).toEqual({ dx: 28, dy: 0 });
  });
});

describe("duplicates in the tree", () => {
  const rows = () => {
    const b = new Builder();
    b.new("component", "List");
    const names = ["Icon", "Words", "Line"];
    const ids = names.map((name) => {
      const id = b.layer("box", { width: 10, height: 10 });
      b.do({
        label: "Name",
        ops: [{ op: "set", path: ["pieces", b.at, "layers", id, "name"], value: name }],
      });
      return id;
    });
    const shown = () => (childrenOf(b.piece).get(ROOT) ?? []).map((l) => l.name);
    return { b, ids, shown };
  };

  it("follow their originals, so that one reads on", () => {
    const { b, ids, shown } = rows();
    const [icon = "", words = ""] = ids;
    const once = duplicateLayers(b.piece, [words, icon], { dx: 0, dy: 20 });
    b.do(once.change);
    expect(shown()).toEqual(["Icon", "Words", "Icon 2", "Words 2", "Line"]);
    b.do(duplicateLayers(b.piece, once.ids, { dx: 0, dy: 20 }).change);
    expect(shown()).toEqual(["Icon", "Words", "Icon 2", "Words 2", "Icon 3", "Words 3", "Line"]);
  });

  it("follow each its own where others lie between", () => {
    const { b, ids, shown } = rows();
    b.do(duplicateLayers(b.piece, [ids[0] ?? "", ids[2] ?? ""], { dx: 0, dy: 20 }).change);
    expect(shown()).toEqual(["Icon", "Icon 2", "Words", "Line", "Line 2"]);
  });
});

describe("the name of a layer nobody has named", () => {
  const shown = () => {
    const b = new Builder();
    b.new("component", "Button");
    const text = b.layer("text", { text: "Text" });
    const say = (edits: Edits) => {
      const change = setValues(b.piece, [{}], edits);
      const names = namesFollowing(b.project, b.piece, edits);
      if (change) b.do({ ...change, ops: [...change.ops, ...names] });
    };
    return { b, text, say, name: () => b.piece.layers[text]?.name };
  };

  it("follows the text it shows, letter by letter, its first line", () => {
    const { text, say, name } = shown();
    say({ [text]: { text: "B" } });
    say({ [text]: { text: "Board now\nfrom quay 2" } });
    expect(name()).toBe("Board now");
    say({ [text]: { text: "" } });
    expect(name()).toBe("Board now");
  });

  it("stays once somebody has named it", () => {
    const { b, text, say, name } = shown();
    b.do({
      label: "Name",
      ops: [{ op: "set", path: ["pieces", b.at, "layers", text, "name"], value: "Label" }],
    });
    say({ [text]: { text: "Board now" } });
    expect(name()).toBe("Label");
  });

  it("is free: two texts that say the same are told apart", () => {
    const { b, text, say, name } = shown();
    const other = b.layer("text", { text: "Text" });
    say({ [text]: { text: "Gull Isle" }, [other]: { text: "Gull Isle" } });
    expect([name(), b.piece.layers[other]?.name]).toEqual(["Gull Isle", "Gull Isle 2"]);
  });

  it("follows the component of a copy", () => {
    const { b, say } = shown();
    b.project = { ...kelpwayKit(), pieces: { ...kelpwayKit().pieces, ...b.project.pieces } };
    const copy = b.layer("instance", { component: "alert-switch" });
    say({ [copy]: { component: "bicycle-tick-box" } });
    expect(b.piece.layers[copy]?.name).toBe("Bicycle tick box");
  });
});

describe("a copy that takes the place of a layer", () => {
  it("fits what is in it where that did, and else is as large", () => {
    const b = new Builder();
    b.new("component", "Panel");
    b.project = { ...kelpwayKit(), pieces: { ...kelpwayKit().pieces, ...b.project.pieces } };
    const group = b.layer("box", { x: 4, widthMode: "fit", height: 30 });
    const boxes = new Map([[group, box(4, 0, 90, 30)]]);
    const made = replaceBy(b.project, b.piece, [group], "alert-switch", boxes);
    if (!made) throw new Error("nothing replaced");
    b.do(made.change);
    const said = b.piece.looks[BASE]?.changes[made.ids[0] ?? ""];
    expect(said).toMatchObject({ x: 4, height: 30, heightMode: "fixed" });
    expect(said).not.toHaveProperty("width");
  });
});
