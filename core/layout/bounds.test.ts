import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import {
  boundsIn,
  boundsOf,
  findBox,
  layout,
  mapPoint,
  resized,
  spotsIn,
  unite,
  wayInto,
} from "#core/layout";
import type { LayoutEnv, LayoutBox } from "#core/layout";
import { Resolver } from "#core/looks";
import { testEnv } from "../../tests/support/env";
import { Builder } from "../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const sceneOf = (b: Builder): LayoutBox =>
  layout(env, new Resolver().tree(b.project, b.at, {}) as never);

describe("where layers are shown", () => {
  it("turned layers and what is in them take up the box they are seen in", () => {
    const b = new Builder();
    b.new("component", "Buoy");
    const outer = b.layer("box", { x: 100, y: 50, width: 40, height: 20, rotation: 90 });
    const inner = b.layer("box", { x: 0, y: 0, width: 10, height: 10 }, outer);
    const scene = sceneOf(b);
    const bounds = boundsIn(scene);
    for (const [id, box] of bounds) expect(boundsOf(scene, id)).toEqual(box);
    expect(boundsOf(scene, "gone")).toBeUndefined();
    const near = (r: object | undefined, x: number, y: number, width: number, height: number) => {
      for (const [k, v] of Object.entries({ x, y, width, height }))
        expect((r as Record<string, number>)[k]).toBeCloseTo(v, 6);
    };
    near(bounds.get(outer), 110, 40, 20, 40);
    near(bounds.get(inner), 120, 40, 10, 10);
    expect(
      unite([
        { x: 0, y: 0, width: 10, height: 10 },
        { x: 20, y: 5, width: 10, height: 10 },
      ]),
    ).toEqual({ x: 0, y: 0, width: 30, height: 15 });
    expect(unite([])).toBeNull();
  });

  it("a way in the piece comes back out of any layer", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: 0.2, max: 3, noNaN: true }),
        fc.integer({ min: -50, max: 50 }),
        fc.integer({ min: -50, max: 50 }),
        (rotation, scale, dx, dy) => {
          const b = new Builder();
          b.new("component", "Buoy");
          const id = b.layer("box", {
            x: 30,
            y: 30,
            width: 40,
            height: 20,
            rotation,
            scale: [scale, scale],
          });
          const spot = spotsIn(sceneOf(b)).get(id);
          if (!spot) throw new Error("no spot");
          const [lx, ly] = wayInto(spot.map, dx, dy);
          const [ax, ay] = mapPoint(spot.map, 0, 0);
          const [bx, by] = mapPoint(spot.map, lx, ly);
          expect(bx - ax).toBeCloseTo(dx, 6);
          expect(by - ay).toBeCloseTo(dy, 6);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe("resizing by an edge", () => {
  const made = (values: Record<string, never> | Record<string, number>) => {
    const b = new Builder();
    b.new("component", "Buoy");
    const id = b.layer("box", { x: 10, y: 20, width: 40, height: 30, ...values });
    return findBox(sceneOf(b), id)?.placed as LayoutBox;
  };
  it("keeps the opposite edge, or the middle, or the proportions", () => {
    const p = made({});
    expect(resized(p, [1, 1], [10, 5], { ratio: false, centred: false })).toEqual({
      width: 50,
      height: 35,
      x: 10,
      y: 20,
    });
    expect(resized(p, [-1, 0], [10, 0], { ratio: false, centred: false })).toEqual({
      width: 50,
      height: 30,
      x: 0,
      y: 20,
    });
    expect(resized(p, [1, 0], [5, 0], { ratio: false, centred: true })).toEqual({
      width: 50,
      height: 30,
      x: 5,
      y: 20,
    });
    expect(resized(p, [1, 1], [40, 0], { ratio: true, centred: false })).toEqual({
      width: 80,
      height: 60,
      x: 10,
      y: 20,
    });
    expect(resized(p, [1, 0], [-99, 0], { ratio: false, centred: false }).width).toBe(0);
  });
  it("leaves the far corner of a turned layer where it is shown", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -180, max: 180 }),
        fc.integer({ min: -20, max: 60 }),
        fc.integer({ min: -10, max: 60 }),
        (rotation, gx, gy) => {
          const p = made({ rotation });
          const next = resized(p, [1, 1], [gx, gy], { ratio: false, centred: false });
          const root = (q: LayoutBox) =>
            mapPoint(
              spotsIn({ ...q, layer: { ...q.layer, id: "x" } }).get("x")?.map ?? [1, 0, 0, 1, 0, 0],
              0,
              0,
            );
          const before = root(p);
          const after = root({ ...p, ...next });
          expect(Math.hypot(before[0] - after[0], before[1] - after[1])).toBeLessThan(0.01);
        },
      ),
      { numRuns: 100 },
    );
  });
});
