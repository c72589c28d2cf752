import { describe, expect, it } from "vitest";
import { areaOf, intersect, overlaps, unite } from "./rect";

const rect = (x: number, y: number, width: number, height: number) => ({ x, y, width, height });

describe("boxes", () => {
  it("share a part", () => {
    expect(intersect(rect(0, 0, 10, 10), rect(6, 2, 10, 4))).toEqual(rect(6, 2, 4, 4));
    expect(overlaps(rect(0, 0, 10, 10), rect(6, 2, 10, 4))).toBe(true);
  });
  it("that touch share an edge and no area", () => {
    expect(intersect(rect(0, 0, 10, 10), rect(10, 0, 10, 10))).toEqual(rect(10, 0, 0, 10));
    expect(overlaps(rect(0, 0, 10, 10), rect(10, 0, 10, 10))).toBe(false);
  });
  it("that lie apart both ways share no area either", () => {
    const apart = intersect(rect(0, 0, 10, 10), rect(30, 40, 10, 10));
    expect(apart.width).toBeLessThan(0);
    expect(areaOf(apart)).toBe(0);
  });
  it("are gone round together", () => {
    expect(unite([rect(0, 0, 10, 10), rect(30, -4, 10, 10)])).toEqual(rect(0, -4, 40, 14));
    expect(unite([])).toBeNull();
  });
});
