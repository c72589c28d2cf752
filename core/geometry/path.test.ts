import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { readPath, scalePath } from "#core/geometry";

const number = fc.integer({ min: -5000, max: 5000 }).map((n) => n / 100);
const counts: Record<string, number> = { M: 2, L: 2, C: 6, Q: 4, Z: 0 };
const segment = fc
  .constantFrom("L", "C", "Q", "Z")
  .chain((command) =>
    fc
      .array(number, { minLength: counts[command] ?? 0, maxLength: counts[command] ?? 0 })
      .map((numbers) => ({ command, numbers })),
  );
const path = fc
  .tuple(fc.tuple(number, number), fc.array(segment, { maxLength: 12 }))
  .map(([[x, y], rest]) => [{ command: "M", numbers: [x, y] }, ...rest]);
const written = (list: readonly { command: string; numbers: readonly number[] }[]): string =>
  list.map((s) => s.command + s.numbers.join(" ")).join("");

describe("path data", () => {
  it("is read as it is written", () => {
    fc.assert(
      fc.property(path, (list) => {
        expect(readPath(written(list))).toEqual(list);
      }),
    );
  });

  it("may leave commands out and write numbers close together (SVG 2 §9.3.9)", () => {
    expect(readPath("M0 0 10 0 10 10Z")).toEqual([
      { command: "M", numbers: [0, 0] },
      { command: "L", numbers: [10, 0] },
      { command: "L", numbers: [10, 10] },
      { command: "Z", numbers: [] },
    ]);
    expect(readPath("M.5.5L-1-2")).toEqual([
      { command: "M", numbers: [0.5, 0.5] },
      { command: "L", numbers: [-1, -2] },
    ]);
    expect(readPath("M1e2,2E-1")).toEqual([{ command: "M", numbers: [100, 0.2] }]);
  });

  it("ends where it is broken, and keeps what comes before", () => {
    const whole = [{ command: "M", numbers: [0, 0] }];
    for (const tail of ["L10", "C1 2 3 4 5", "Q1 2 3"])
      expect([tail, readPath(`M0 0${tail}`)]).toEqual([tail, whole]);
    expect(readPath("")).toEqual([]);
    fc.assert(
      fc.property(fc.string(), (text) => {
        for (const { command, numbers } of readPath(text)) {
          expect(numbers).toHaveLength(counts[command] ?? -1);
          expect(numbers.every(Number.isFinite)).toBe(true);
        }
      }),
    );
  });

  it("is scaled from per cent of a box to px, across by its width and down by its height", () => {
    expect(scalePath("M0 0L100 0L100 100L50 25Z", 40, 20)).toBe("M0 0L40 0L40 20L20 5Z");
    expect(scalePath("C10 10 20 20 30 30", 200, 100)).toBe("C20 10 40 20 60 30");
  });

  it("scaled to a box of 100 by 100 is what it was, to a thousandth of a px", () => {
    fc.assert(
      fc.property(path, (list) => {
        const same = readPath(scalePath(written(list), 100, 100));
        expect(same.map((s) => s.command)).toEqual(list.map((s) => s.command));
        same.forEach((s, i) =>
          s.numbers.forEach((n, k) => expect(n).toBeCloseTo(list[i]?.numbers[k] ?? NaN, 3)),
        );
      }),
    );
  });
});
