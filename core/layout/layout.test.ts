import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import { facesFor, findBox, hitTest, layout, widthOf } from "#core/layout";
import type { LayoutEnv, LayoutBox } from "#core/layout";
import { Resolver } from "#core/looks";
import { ROOT } from "#core/project";
import { defaultsOf } from "#core/properties";
import type { Value } from "#core/properties";
import { kelpwayKit } from "../../demo/index";
import { Builder } from "../../tests/support/pieces";
import { testEnv } from "../../tests/support/env";
import { setText } from "./text";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const placed = (b: Builder): LayoutBox => {
  const tree = new Resolver().tree(b.project, b.at, {});
  if (!tree) throw new Error("nothing to lay out");
  return layout(env, tree);
};
const box = (p: LayoutBox, id: string) => {
  const found = findBox(p, id);
  return (
    found &&
    [found.x, found.y, found.placed.width, found.placed.height].map(
      (n) => Math.round(n * 100) / 100,
    )
  );
};
const piece = (values: Record<string, Value>) => {
  const b = new Builder();
  b.new("component", "Part");
  b.look({}, ROOT, values);
  return b;
};

describe("free arrangement", () => {
  it("puts layers where they say, relative to their parent", () => {
    const b = piece({ width: 200, height: 100 });
    const outer = b.layer("box", { x: 10, y: 20, width: 80, height: 60 });
    const inner = b.layer("ellipse", { x: 5, y: 6, width: 20, height: 20 }, outer);
    expect(box(placed(b), inner)).toEqual([15, 26, 20, 20]);
  });

  it("a fitting box is as large as what is in it; hidden layers take no room", () => {
    const b = piece({ widthMode: "fit", heightMode: "fit" });
    b.layer("box", { x: 10, y: 5, width: 40, height: 30 });
    const hidden = b.layer("box", { x: 500, width: 40, visible: false });
    expect(box(placed(b), ROOT)).toEqual([0, 0, 50, 35]);
    expect(box(placed(b), hidden)).toBeNull();
  });

  it("children follow the edges they are tied to when a copy is larger than drawn", () => {
    const b = piece({ width: 100, height: 40 });
    const component = b.at;
    const ids = ["start", "end", "centre", "both", "scale"].map((followX) =>
      b.layer("box", { x: 10, y: 0, width: 20, height: 10, followX }),
    );
    b.new("component", "Around");
    const copy = b.layer("instance", { component, width: 200, widthMode: "fixed" });
    const root = findBox(placed(b), copy)?.placed.nested as LayoutBox;
    expect(ids.map((id) => box(root, id)?.slice(0, 3))).toEqual([
      [10, 0, 20],
      [110, 0, 20],
      [60, 0, 20],
      [10, 0, 120],
      [20, 0, 40],
    ]);
  });

  it("raised layers are painted later, whatever their place in the tree", () => {
    const b = piece({});
    const one = b.layer("box", { stack: 1 });
    const two = b.layer("box");
    expect(placed(b).children.map((c) => c.layer.id)).toEqual([two, one]);
  });
});

describe("rows and columns", () => {
  it("follow CSS flexbox: gap, padding, alignment, filling, floating", () => {
    const b = piece({
      width: 300,
      height: 80,
      arrange: "row",
      gap: 10,
      padding: [5, 20, 5, 20],
      align: "centre",
    });
    const a = b.layer("box", { width: 50, height: 20 });
    const fill = b.layer("box", { widthMode: "stretch", height: 40 });
    const tall = b.layer("box", { width: 30, heightMode: "stretch" });
    const free = b.layer("box", { x: 7, y: 8, width: 9, height: 9, floats: true });
    const p = placed(b);
    expect(box(p, a)).toEqual([20, 30, 50, 20]);
    expect(box(p, fill)).toEqual([80, 20, 160, 40]);
    expect(box(p, tall)).toEqual([250, 5, 30, 70]);
    expect(box(p, free)).toEqual([7, 8, 9, 9]);
  });

  it("a fitting row grows with its text, and a nested column is laid out inside", () => {
    const b = piece({
      widthMode: "fit",
      heightMode: "fit",
      arrange: "row",
      gap: 8,
      padding: [4, 4, 4, 4],
    });
    const text = b.layer("text", { text: "Boarding now", size: 20 });
    const column = b.layer("box", {
      widthMode: "fit",
      heightMode: "fit",
      arrange: "column",
      gap: 2,
    });
    b.layer("box", { width: 10, height: 10 }, column);
    const last = b.layer("box", { width: 16, height: 12 }, column);
    const p = placed(b);
    const width = findBox(p, text)?.placed.width ?? 0;
    expect(p.width).toBeCloseTo(width + 8 + 8 + 16, 3);
    expect(box(p, last)?.slice(1)).toEqual([16, 16, 12]);
    const before = p.width;
    b.look({}, text, { text: "Boarding now at berth 4" });
    expect(placed(b).width).toBeGreaterThan(before + 60);
  });

  it("spreading uses the room left over", () => {
    const b = piece({ width: 100, height: 20, arrange: "row", justify: "between" });
    const ids = [1, 2, 3].map(() => b.layer("box", { width: 10, height: 10 }));
    expect(ids.map((id) => box(placed(b), id)?.[0])).toEqual([0, 45, 90]);
  });
});

describe("text", () => {
  const values = (v: Record<string, Value>) => ({ ...defaultsOf("text"), ...v });

  it("wraps at spaces, breaks what cannot be wrapped, keeps line feeds", () => {
    const set = setText(env.fonts, values({ text: "Bring a bicycle aboard", size: 16 }), 70);
    expect(set.lines.map((l) => l.text)).toEqual(["Bring a", "bicycle", "aboard"]);
    expect(set.height).toBeCloseTo(3 * 16 * 1.3, 6);
    const long = setText(env.fonts, values({ text: "Saltholmsundferry" }), 60);
    expect(long.lines.length).toBeGreaterThan(1);
    expect(long.lines.map((l) => l.text).join("")).toBe("Saltholmsundferry");
    expect(
      setText(env.fonts, values({ text: "one\n\ntwo" }), undefined).lines.map((l) => l.text),
    ).toEqual(["one", "", "two"]);
  });

  it("no line is wider than the room, and no word is lost", () => {
    const word = fc.stringMatching(/^[a-zA-Z]{1,9}$/);
    fc.assert(
      fc.property(
        fc.array(word, { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 30, max: 300 }),
        (words, width) => {
          const set = setText(env.fonts, values({ text: words.join(" ") }), width);
          for (const line of set.lines)
            expect(line.text.length === 1 || line.width <= width + 0.02).toBe(true);
          expect(
            set.lines
              .map((l) => l.text)
              .join("")
              .replaceAll(" ", ""),
          ).toBe(words.join(""));
        },
      ),
    );
  });

  it("aligns lines, kerns pairs, adds letter spacing", () => {
    const centred = setText(env.fonts, values({ text: "Ferry", alignText: "centre" }), 200);
    expect(centred.lines[0]?.x).toBeCloseTo((200 - (centred.lines[0]?.width ?? 0)) / 2, 6);
    const faces = facesFor(env.fonts, "Hanken Grotesk", "400");
    expect(widthOf(faces, "AV", 100, 0)).toBeLessThan(
      widthOf(faces, "A", 100, 0) + widthOf(faces, "V", 100, 0),
    );
    expect(widthOf(faces, "dock", 16, 2)).toBeCloseTo(widthOf(faces, "dock", 16, 0) + 8, 6);
    expect(facesFor(env.fonts, "Source Serif 4", "700")).toBe(
      facesFor(env.fonts, "Source Serif 4", "600"),
    );
  });
});

describe("hit testing", () => {
  it("finds the frontmost, innermost layer by its shape, through copies, rotation and clips", () => {
    const b = piece({ width: 20, height: 20 });
    const dot = b.layer("ellipse", { width: 20, height: 20 });
    const component = b.at;
    b.new("component", "Around");
    b.look({}, ROOT, { width: 200, height: 200, clip: true });
    const copy = b.layer("instance", { component, x: 50, y: 50 });
    const bar = b.layer("box", { x: 100, y: 100, width: 60, height: 10, rotation: 90 });
    const out = b.layer("box", { x: 190, y: 0, width: 50, height: 50 });
    const p = placed(b);
    expect(hitTest(p, 60, 60)?.path).toBe(`${copy}/${dot}`);
    expect(hitTest(p, 51, 51)?.path).toBe(`${copy}/${ROOT}`);
    expect(hitTest(p, 130, 80)?.path).toBe(bar);
    expect(hitTest(p, 105, 105)?.path).toBe(ROOT);
    expect(hitTest(p, 195, 5)?.path).toBe(out);
    expect(hitTest(p, 210, 5)).toBeNull();
  });

  it("a touch area reaches beyond the layer, round corners do not", () => {
    const b = piece({ width: 100, height: 100 });
    const small = b.layer("box", { x: 50, y: 50, width: 8, height: 8, touch: 8 });
    const round = b.layer("box", { x: 0, y: 0, width: 40, height: 40, radius: [20, 20, 20, 20] });
    expect(hitTest(placed(b), 44, 62)?.path).toBe(small);
    expect(hitTest(placed(b), 1, 1)?.path).toBe(ROOT);
    expect(hitTest(placed(b), 20, 1)?.path).toBe(round);
  });
});

describe("keeping results", () => {
  it("an edit lays out only what it touches", () => {
    const b = new Builder();
    b.project = kelpwayKit();
    b.on("trip-settings");
    const resolver = new Resolver();
    const before = layout(env, resolver.tree(b.project, b.at, {}) as never);
    b.look({}, "dock-title", { text: "Dock news" });
    const after = layout(env, resolver.tree(b.project, b.at, {}) as never);
    const same = after.children.filter((c) => before.children.includes(c)).length;
    expect(same).toBe(after.children.length - 1);
  });
});
