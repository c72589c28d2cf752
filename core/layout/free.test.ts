import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { Resolver } from "#core/looks";
import { ROOT } from "#core/project";
import type { Value } from "#core/properties";
import { testEnv } from "../../tests/support/env";
import { Builder } from "../../tests/support/pieces";
import { scrollRoom } from "./place";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

type Values = Record<string, Value>;
type Size = { width?: number; height?: number };

/** A part of 100 × 50 px with one layer in it, as large as a copy of it is. */
const inPart = (values: Values, size: Size = {}, part: Values = {}): LayoutBox => {
  const b = new Builder();
  b.new("component", "Part");
  b.look({}, ROOT, { width: 100, height: 50, ...part });
  b.layer("box", { x: 10, y: 5, width: 40, height: 20, ...values });
  const tree = new Resolver().tree(b.project, b.at, {});
  if (!tree) throw new Error("nothing to lay out");
  return layout(env, tree, size);
};
const only = (root: LayoutBox): number[] => {
  const [box] = root.children;
  if (!box) throw new Error("nothing there");
  return [box.x, box.y, box.width, box.height];
};

const length = fc.integer({ min: 1, max: 400 });
const follow = fc.constantFrom("start", "end", "centre", "both", "scale");

describe("layers in a part that is larger or smaller than it was drawn", () => {
  it("are where they were drawn at the size it was drawn in, whatever they follow", () => {
    fc.assert(
      fc.property(follow, follow, (followX, followY) => {
        expect(only(inPart({ followX, followY }))).toEqual([10, 5, 40, 20]);
      }),
    );
  });

  it("keep the distance to the edges they are tied to", () => {
    fc.assert(
      fc.property(follow, length, (followX, width) => {
        const [x = 0, , w = 0] = only(inPart({ followX }, { width }));
        const [left, right] = [x, width - x - w];
        if (followX === "start") expect([left, w]).toEqual([10, 40]);
        if (followX === "end") expect([right, w]).toEqual([50, 40]);
        if (followX === "centre") expect([left - right, w]).toEqual([-40, 40]);
        if (followX === "both") expect([left, w]).toEqual([10, Math.max(0, width - 60)]);
        if (followX === "scale") {
          expect(x / width).toBeCloseTo(0.1, 9);
          expect(w / width).toBeCloseTo(0.4, 9);
        }
      }),
    );
  });

  it("go along across as they do down", () => {
    fc.assert(
      fc.property(follow, length, (mode, size) => {
        const across = only(inPart({ x: 7, width: 21, followX: mode }, { width: size * 2 }));
        const down = only(
          inPart({ y: 7, height: 21, followY: mode }, { height: size * 2 }, { height: 100 }),
        );
        expect([across[0], across[2]]).toEqual([down[1], down[3]]);
      }),
    );
  });

  it("that fill the part are as large as it is, within their own limits", () => {
    fc.assert(
      fc.property(length, length, (width, most) => {
        const stretched = only(
          inPart({ widthMode: "stretch", maxWidth: most, minWidth: 5 }, { width }),
        );
        expect([stretched[0], stretched[2]]).toEqual([0, Math.max(5, Math.min(most, width))]);
      }),
    );
  });

  it("all grow with a part that scales what is in it", () => {
    fc.assert(
      fc.property(follow, length, (followX, width) => {
        const [x = 0, , w = 0] = only(inPart({ followX }, { width }, { resizing: "scale" }));
        expect(x).toBeCloseTo(width * 0.1, 9);
        expect(w).toBeCloseTo(width * 0.4, 9);
      }),
    );
  });
});

describe("a part as large as what is in it", () => {
  const fitting: Values = { widthMode: "fit", heightMode: "fit" };
  const boxes = fc.array(fc.record({ x: length, y: length, width: length, height: length }), {
    maxLength: 6,
  });

  it("reaches to the far edges of its layers, not counting hidden ones", () => {
    fc.assert(
      fc.property(boxes, fc.array(fc.boolean(), { minLength: 6, maxLength: 6 }), (list, shown) => {
        const b = new Builder();
        b.new("component", "Part");
        b.look({}, ROOT, fitting);
        list.forEach((values, i) => b.layer("box", { ...values, visible: shown[i] ?? true }));
        const tree = new Resolver().tree(b.project, b.at, {});
        const root = tree && layout(env, tree);
        const seen = list.filter((_, i) => shown[i]);
        expect([root?.width, root?.height]).toEqual([
          Math.max(0, ...seen.map((s) => s.x + s.width)),
          Math.max(0, ...seen.map((s) => s.y + s.height)),
        ]);
        expect(root?.children).toHaveLength(seen.length);
      }),
      { numRuns: 60 },
    );
  });

  it("stays within its own limits; the least wins over the most", () => {
    const size = (limits: Values) => inPart({}, {}, { ...fitting, ...limits }).width;
    expect(size({})).toBe(50);
    expect(size({ minWidth: 80 })).toBe(80);
    expect(size({ maxWidth: 30 })).toBe(30);
    expect(size({ minWidth: 40, maxWidth: 30 })).toBe(40);
  });
});

describe("a box that scrolls", () => {
  const scroller = (scrolls: string, by: number, tall = 200): LayoutBox =>
    inPart(
      { x: 0, y: 0, width: 300, height: tall, followX: "start", followY: "start" },
      {},
      { scrolls, scrolledBy: by, padding: [0, 12, 8, 0] },
    );

  it("moves what is in it by as much as it is scrolled and there is room for", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 600 }), (by) => {
        // 200 px and 8 of padding in 50; 300 px and 12 of padding in 100
        expect(only(scroller("down", by))[1]).toBe(0 - Math.min(by, 158));
        expect(only(scroller("across", by))[0]).toBe(0 - Math.min(by, 212));
      }),
    );
  });

  it("has no room where all is in sight, and none when it does not scroll", () => {
    expect(only(scroller("down", 30, 20))).toEqual([0, 0, 300, 20]);
    expect(only(scroller("no", 30))).toEqual([0, 0, 300, 200]);
    const root = scroller("no", 30);
    expect(scrollRoom(root.values, root.children, root.width, root.height)).toBe(0);
  });

  it("is scrolled without laying out anything anew but itself", () => {
    const b = new Builder();
    b.new("component", "Part");
    b.look({}, ROOT, { width: 100, height: 50, scrolls: "down" });
    const list = b.layer("box", { x: 0, y: 0, width: 100, height: 200 });
    b.layer("box", { x: 0, y: 150, width: 10, height: 10 }, list);
    const resolver = new Resolver();
    const at = (by: number) => {
      b.look({}, ROOT, { scrolledBy: by });
      const tree = resolver.tree(b.project, b.at, {});
      return tree && layout(env, tree);
    };
    const [first, second] = [at(0), at(40)];
    expect(second?.children[0]?.y).toBe(-40);
    expect(second?.children[0]?.children).toBe(first?.children[0]?.children);
  });
});
