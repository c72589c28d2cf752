import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  addKnot,
  bendKnot,
  boundsOfOutlines,
  dropKnot,
  moveKnot,
  nearestLine,
  placeOn,
  readOutlines,
  turnKnot,
  writeOutlines,
} from "#core/paths";
import type { KnotOutline } from "#core/paths";
import { combine } from "./combine";
import { linesIn } from "./points";

const curvy = "M0 0C20 0 40 40 60 40L100 40L100 100Z";

describe("points of a path", () => {
  it("are read and written back as the same data", () => {
    for (const d of [
      "M0 0L100 0L100 100Z",
      curvy,
      "M0 50C0 20 20 0 50 0C80 0 100 20 100 50",
      "M0 0L10 0M20 20L30 30Z",
    ])
      expect(writeOutlines(readOutlines(d))).toBe(d);
  });

  it("a closing line back to the start is no point of its own, and quadratic curves become cubic", () => {
    expect(readOutlines("M0 0L10 0L10 10L0 0Z")[0]?.knots).toHaveLength(3);
    const [o] = readOutlines("M0 0Q50 100 100 0");
    expect(o && placeOn(o, 0, 0.5).y).toBeCloseTo(50);
  });

  it("a point more does not change the outline", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        fc.nat({ max: 3 }),
        (t, line) => {
          const [o] = readOutlines(curvy) as [KnotOutline];
          const more = addKnot(o, line, t);
          expect(more.knots).toHaveLength(o.knots.length + 1);
          const before = placeOn(o, line, t * 0.5);
          const after = placeOn(more, line, 0.5);
          expect(Math.hypot(before.x - after.x, before.y - after.y)).toBeLessThan(1e-6);
        },
      ),
    );
  });

  it("taking points away ends with nothing, and handles move with their point", () => {
    const [o] = readOutlines(curvy) as [KnotOutline];
    expect(dropKnot(o, 1)?.knots).toHaveLength(3);
    expect(dropKnot({ knots: o.knots.slice(0, 2), closed: false }, 0)).toBeNull();
    expect(moveKnot({ x: 1, y: 1, before: null, after: { x: 5, y: 1 } }, 10, 0)).toEqual({
      x: 11,
      y: 1,
      before: null,
      after: { x: 15, y: 1 },
    });
    expect(linesIn({ ...o, closed: false })).toBe(o.knots.length - 1);
  });

  it("a handle keeps the other opposite unless they are moved apart; a corner becomes smooth and back", () => {
    const k = { x: 0, y: 0, before: { x: -10, y: 0 }, after: { x: 10, y: 0 } };
    const bent = bendKnot(k, "after", { x: 0, y: 20 });
    expect(bent.before?.x).toBeCloseTo(0);
    expect(bent.before?.y).toBeCloseTo(-10);
    expect(bendKnot(k, "after", { x: 0, y: 20 }, true).before).toEqual({ x: -10, y: 0 });
    const [o] = readOutlines("M0 0L100 0L100 100Z") as [KnotOutline];
    const smooth = turnKnot(o, 1);
    expect(smooth.knots[1]?.after).not.toBeNull();
    expect(turnKnot(smooth, 1)).toEqual(o);
  });

  it("knows the box of its curves, not of their handles, and the nearest place", () => {
    const box = boundsOfOutlines(readOutlines("M0 50C0 -50 100 -50 100 50"));
    expect(box.y).toBeCloseTo(-25);
    expect([box.x, box.width]).toEqual([0, 100]);
    expect(nearestLine(readOutlines("M0 0L100 0L100 100"), { x: 50, y: 4 })).toMatchObject({
      outline: 0,
      line: 0,
      distance: 4,
    });
    expect(nearestLine([], { x: 0, y: 0 })).toBeNull();
  });
});

describe("combining outlines", () => {
  const box = (x: number, y: number, w: number, h: number) => ({
    d: `M0 0H${w}V${h}H0Z`,
    holes: false,
    map: [1, 0, 0, 1, x, y],
  });
  it("unites, subtracts, intersects and excludes with true curves", () => {
    const circle = {
      d: "M30 0A20 20 0 1 1 70 0A20 20 0 1 1 30 0Z",
      holes: false,
      map: [1, 0, 0, 1, 0, 0],
    };
    const notched = combine("subtracted", [box(0, 0, 100, 40), circle]);
    expect(notched).toMatch(/c/i);
    expect(notched).not.toMatch(/a/i);
    expect(combine("intersected", [box(0, 0, 50, 50), box(25, 25, 50, 50)])).toMatch(/25/);
    expect(combine("intersected", [box(0, 0, 10, 10), box(50, 50, 10, 10)])).toBe("");
    expect(combine("excluded", [box(0, 0, 50, 50), box(10, 10, 10, 10)]).match(/z/gi)).toHaveLength(
      2,
    );
  });
  it("takes compounds inside compounds", () => {
    const inner = {
      combine: "united",
      parts: [box(0, 0, 20, 20), box(20, 0, 20, 20)],
      map: [1, 0, 0, 1, 5, 5],
    };
    expect(combine("united", [inner])).toBe("M5,5h40v20h-40z");
  });
});
