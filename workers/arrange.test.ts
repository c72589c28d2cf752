import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { PieceMap } from "#core/checks";
import { PLACE, arrangeMap } from "./arrange";

const map = (count: number, links: readonly (readonly [number, number])[]): PieceMap => ({
  byVariant: true,
  nodes: Array.from({ length: count }, (_, i) => ({
    key: `n${i}`,
    variant: {},
    reached: true,
    ends: false,
  })),
  links: links.map(([from, to]) => ({
    from: `n${from}`,
    to: `n${to}`,
    rules: [],
    triggers: ["click" as const],
  })),
});

const maps = fc
  .integer({ min: 1, max: 24 })
  .chain((n) =>
    fc
      .array(fc.tuple(fc.nat(n - 1), fc.nat(n - 1)), { maxLength: n * 3 })
      .map((links) => map(n, links)),
  );

describe("a drawn map", () => {
  it("has a place for each, and none lies on another", () => {
    fc.assert(
      fc.property(maps, (m) => {
        const places = Object.values(arrangeMap(m));
        expect(places).toHaveLength(m.nodes.length);
        for (const [i, a] of places.entries()) {
          expect(a.x).toBeGreaterThanOrEqual(0);
          expect(a.y).toBeGreaterThanOrEqual(0);
          for (const b of places.slice(i + 1)) {
            const isApart =
              Math.abs(a.x - b.x) >= PLACE.width || Math.abs(a.y - b.y) >= PLACE.height;
            expect(isApart).toBe(true);
          }
        }
      }),
      { numRuns: 60 },
    );
  });

  it("leads to the right along the shortest ways", () => {
    fc.assert(
      fc.property(maps, (m) => {
        const places = arrangeMap(m);
        const steps = new Map([["n0", 0]]);
        for (const [from, depth] of steps)
          for (const link of m.links)
            if (link.from === from && !steps.has(link.to)) steps.set(link.to, depth + 1);
        for (const { from, to } of m.links) {
          const [a, b] = [steps.get(from), steps.get(to)];
          if (a === undefined || b !== a + 1) continue;
          expect(places[to]?.x).toBeGreaterThan(places[from]?.x ?? NaN);
        }
      }),
      { numRuns: 60 },
    );
  });

  it("is the same each time", () => {
    fc.assert(
      fc.property(maps, (m) => {
        expect(arrangeMap(m)).toEqual(arrangeMap(structuredClone(m)));
      }),
      { numRuns: 20 },
    );
  });

  it("of nothing is empty, of one place alone is at the margin, and ways to itself do no harm", () => {
    expect(arrangeMap(map(0, []))).toEqual({});
    expect(arrangeMap(map(1, [[0, 0]]))).toEqual({ n0: { x: 20, y: 20 } });
  });
});
