import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { entryOf, isOneOf, lerp, plainText, present } from "#core/basics";

describe("what must be there", () => {
  it("is given back as it is, also when it is empty or nothing counted", () => {
    const list: string[] = [];
    expect(present(list)).toBe(list);
    for (const value of ["", 0, false, NaN]) expect(present(value)).toBe(value);
  });

  it("is asked for in words when it is not", () => {
    for (const value of [undefined, null])
      expect(() => present(value)).toThrow("a value that must be there is not");
  });
});

describe("the entry of a map", () => {
  it("is made once, kept, and given again", () => {
    const map = new Map<string, string[]>();
    const made = entryOf(map, "berth", () => ["A"]);
    expect(entryOf(map, "berth", () => ["B"])).toBe(made);
    expect([...map]).toEqual([["berth", ["A"]]]);
  });

  it("may be nothing counted, and is not made again then", () => {
    const map = new Map([["seats", 0]]);
    expect(entryOf(map, "seats", () => 40)).toBe(0);
  });

  it("goes with its key where the map holds it weakly", () => {
    const keys = new WeakMap<object, number>();
    const key = {};
    expect(entryOf(keys, key, () => 1)).toBe(1);
    expect(entryOf(keys, {}, () => 2)).toBe(2);
    expect(keys.get(key)).toBe(1);
  });
});

describe("one of some words", () => {
  const ways = ["north", "south"] as const;

  it("is known as one, and nothing else is: not what every object knows either", () => {
    for (const way of ways) expect(isOneOf(ways, way)).toBe(true);
    for (const word of ["", "North", "constructor", "length", "0"])
      expect(isOneOf(ways, word)).toBe(false);
  });
});

describe("a value as plain text", () => {
  it("is text for texts, numbers and flags, and empty for all that would read as an object", () => {
    expect(["Gull Isle", 12.5, 0, true, false].map(plainText)).toEqual([
      "Gull Isle",
      "12.5",
      "0",
      "true",
      "false",
    ]);
    expect([undefined, null, {}, [1, 2], () => 1, Symbol("x")].map(plainText)).toEqual(
      Array(6).fill(""),
    );
  });
});

describe("the number between two others", () => {
  const number = fc.double({ min: -1e6, max: 1e6, noNaN: true });

  it("is the first at 0, and never leaves them on the way", () => {
    fc.assert(
      fc.property(number, number, fc.double({ min: 0, max: 1, noNaN: true }), (a, b, t) => {
        expect(lerp(a, b, 0) === a).toBe(true);
        const at = lerp(a, b, t);
        expect(at).toBeGreaterThanOrEqual(Math.min(a, b) - 1e-6);
        expect(at).toBeLessThanOrEqual(Math.max(a, b) + 1e-6);
      }),
    );
  });

  it("goes on beyond both ends", () => {
    expect(lerp(10, 20, 1.5)).toBe(25);
    expect(lerp(10, 20, -1)).toBe(0);
  });
});
