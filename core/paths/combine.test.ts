import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { pathInBox } from "#core/formats/svg";
import { combine, readOutlines } from "#core/paths";

type Point = readonly [x: number, y: number];

const coordinate = fc.integer({ min: 0, max: 100 });
/** Corners around a middle, so that the outline does not cross itself. */
const star = fc
  .tuple(
    coordinate,
    coordinate,
    fc.array(fc.integer({ min: 8, max: 45 }), { minLength: 3, maxLength: 9 }),
  )
  .map(([x, y, radii]): Point[] =>
    radii.map((r, i) => {
      const turn = (i / radii.length) * 2 * Math.PI;
      return [x + r * Math.cos(turn), y + r * Math.sin(turn)];
    }),
  );
const written = (points: readonly Point[]): string =>
  `M${points.map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`).join("L")}Z`;
const part = (points: readonly Point[]) => ({
  d: written(points),
  holes: false,
  map: [1, 0, 0, 1, 0, 0],
});

/** How far a point is from the nearest of some edges. */
const edgeDistance = ([x, y]: Point, points: readonly Point[]): number =>
  Math.min(
    ...points.map(([ax, ay], i) => {
      const [bx, by] = points[(i + 1) % points.length] ?? [ax, ay];
      const [dx, dy] = [bx - ax, by - ay];
      const t = ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1);
      const at = Math.min(1, Math.max(0, t));
      return Math.hypot(x - ax - at * dx, y - ay - at * dy);
    }),
  );

/** Whether a point is inside outlines, by even and odd. */
const isInside = ([x, y]: Point, outlines: readonly (readonly Point[])[]): boolean => {
  let crossings = 0;
  for (const points of outlines)
    points.forEach(([ax, ay], i) => {
      const [bx, by] = points[(i + 1) % points.length] ?? [ax, ay];
      if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) crossings++;
    });
  return crossings % 2 === 1;
};

const outlinesOf = (data: string): Point[][] =>
  data === ""
    ? []
    : readOutlines(pathInBox(data, 100, 100)).map(({ knots }) =>
        knots.map(({ x, y }): Point => [x, y]),
      );

const rules: Readonly<Record<string, (a: boolean, b: boolean) => boolean>> = {
  united: (a, b) => a || b,
  subtracted: (a, b) => a && !b,
  intersected: (a, b) => a && b,
  excluded: (a, b) => a !== b,
};

describe("outlines combined", () => {
  it("hold exactly the points that their parts say", () => {
    const samples = Array.from({ length: 144 }, (_, i): Point => [
      (i % 12) * 9 + 0.37,
      Math.floor(i / 12) * 9 + 0.61,
    ]);
    let told = 0;
    fc.assert(
      fc.property(star, star, fc.constantFrom(...Object.keys(rules)), (a, b, operation) => {
        const made = outlinesOf(combine(operation, [part(a), part(b)]));
        for (const point of samples) {
          // on an edge a thousandth decides
          if (edgeDistance(point, a) < 0.05 || edgeDistance(point, b) < 0.05) continue;
          const wanted = rules[operation]?.(isInside(point, [a]), isInside(point, [b]));
          expect([operation, point, isInside(point, made)]).toEqual([operation, point, wanted]);
          if (wanted) told++;
        }
      }),
      { numRuns: 150 },
    );
    expect(told).toBeGreaterThan(500);
  });

  it("do not change when they are united with themselves, or cut with what lies elsewhere", () => {
    fc.assert(
      fc.property(star, (a) => {
        const far = a.map(([x, y]): Point => [x + 1000, y]);
        const alone = outlinesOf(combine("united", [part(a)]));
        expect(alone).toHaveLength(1);
        for (const same of [
          combine("united", [part(a), part(a)]),
          combine("subtracted", [part(a), part(far)]),
        ]) {
          const again = outlinesOf(same);
          expect(again).toHaveLength(1);
          for (const corner of alone[0] ?? [])
            expect(edgeDistance(corner, again[0] ?? [])).toBeLessThan(0.01);
        }
        expect(combine("intersected", [part(a), part(far)])).toBe("");
        expect(combine("subtracted", [part(a), part(a)])).toBe("");
      }),
      { numRuns: 60 },
    );
  });

  it("are put into place by their maps before they meet", () => {
    const box = (map: readonly number[]) => ({ d: "M0 0H10V10H0Z", holes: false, map });
    const met = combine("intersected", [box([2, 0, 0, 2, 0, 0]), box([1, 0, 0, 1, 15, 15])]);
    const corners = outlinesOf(met).flat();
    expect(corners).toHaveLength(4);
    for (const corner of [
      [15, 15],
      [20, 15],
      [20, 20],
      [15, 20],
    ])
      expect(corners).toContainEqual(corner);
  });

  it("of nothing are nothing", () => {
    for (const operation of Object.keys(rules)) expect(combine(operation, [])).toBe("");
  });
});
