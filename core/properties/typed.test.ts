import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  gradientText,
  hundredths,
  mapFour,
  parseNumber,
  parseValue,
  registry,
  showValue,
  thousandths,
} from "#core/properties";
import type { Gradient, Stop, Value } from "#core/properties";
import { parseGradient } from "./gradient";

/** A number with few digits, so that text says it exactly. */
const number = fc.integer({ min: -9999, max: 9999 }).map((n) => n / 100);
const byte = fc.integer({ min: 0, max: 255 });
const colour = fc
  .tuple(byte, byte, byte)
  .map((rgb) => `#${rgb.map((n) => n.toString(16).padStart(2, "0")).join("")}`);

/** Arithmetic as text, with what it comes to. */
interface Sum {
  readonly text: string;
  readonly value: number;
}
const sums: fc.Arbitrary<Sum> = fc.letrec<{ sum: Sum }>((tie) => ({
  sum: fc.oneof(
    { maxDepth: 4, withCrossShrink: true },
    fc.integer({ min: 0, max: 99 }).map((n): Sum => ({ text: String(n), value: n })),
    tie("sum").map((s): Sum => ({ text: `(${s.text})`, value: s.value })),
    fc.tuple(tie("sum"), fc.constantFrom("+", "-"), tie("sum")).map(([a, sign, b]): Sum => ({
      text: `${a.text} ${sign} (${b.text})`,
      value: sign === "+" ? a.value + b.value : a.value - b.value,
    })),
    fc
      .tuple(tie("sum"), tie("sum"))
      .map(([a, b]): Sum => ({ text: `(${a.text})*(${b.text})`, value: a.value * b.value })),
  ),
})).sum;

describe("arithmetic in a field", () => {
  it("comes to what it says, whatever stood in the field before", () => {
    fc.assert(
      fc.property(sums, number, (sum, before) => {
        fc.pre(Math.abs(sum.value) < 1e9);
        expect(parseNumber(sum.text, before)).toBeCloseTo(sum.value, 3);
      }),
    );
  });

  it("after a sign of its own goes on from what stood there", () => {
    fc.assert(
      fc.property(number, fc.integer({ min: 1, max: 99 }), (before, n) => {
        expect(parseNumber(`+${n}`, before)).toBeCloseTo(before + n, 3);
        expect(parseNumber(`--${n}`, before)).toBeCloseTo(before - n, 3);
        expect(parseNumber(`*${n}`, before)).toBeCloseTo(before * n, 3);
        expect(parseNumber(`/${n}`, before)).toBeCloseTo(before / n, 3);
        expect(parseNumber(`${n}%`, before)).toBeCloseTo((before * n) / 100, 3);
      }),
    );
  });

  it("is a number or nothing, whatever is typed", () => {
    const typed = fc.oneof(
      fc.string(),
      fc.string({ unit: fc.constantFrom(..."0123456789.+-*/()% x") }),
    );
    fc.assert(
      fc.property(typed, number, (text, before) => {
        const n = parseNumber(text, before);
        expect(n === null || Number.isFinite(n)).toBe(true);
      }),
      { numRuns: 400 },
    );
  });

  it("reads back what it shows", () => {
    fc.assert(
      fc.property(number, (n) => {
        expect(parseNumber(showValue(n), 7)).toBe(n);
      }),
    );
  });
});

describe("gradients as CSS writes them", () => {
  const stops = fc
    .array(fc.record({ at: fc.integer({ min: 0, max: 100 }), colour }), {
      minLength: 2,
      maxLength: 6,
    })
    .map((list): Stop[] => list.map((s) => ({ ...s, at: s.at / 100 })).sort((a, b) => a.at - b.at));
  const part = fc.integer({ min: 1, max: 200 }).map((n) => n / 100);
  const gradient: fc.Arbitrary<Gradient> = fc.oneof(
    fc.record({
      kind: fc.constant("linear" as const),
      angle: fc.integer({ min: -360, max: 360 }),
      stops,
    }),
    fc.record({
      kind: fc.constant("radial" as const),
      radii: fc.tuple(part, part),
      centre: fc.tuple(part, part),
      stops,
    }),
  );

  it("are read as they are written", () => {
    fc.assert(
      fc.property(gradient, (g) => {
        expect(parseGradient(gradientText(g))).toEqual(g);
      }),
    );
  });

  it("go to a side or a corner, and down where nothing is said", () => {
    const angle = (head: string) => {
      const g = parseGradient(`linear-gradient(${head}#000, #fff)`);
      return g?.kind === "linear" ? g.angle : null;
    };
    expect(angle("")).toBe(180);
    expect(angle("to right, ")).toBe(90);
    expect(angle("to  Top   Left, ")).toBe(315);
    expect(angle("45deg, ")).toBe(45);
    expect(angle("-30.5deg, ")).toBe(-30.5);
  });

  it("spread stops evenly that say no place (CSS Images 3 §3.4.3)", () => {
    const places = (list: string) =>
      parseGradient(`linear-gradient(${list})`)?.stops.map((s) => hundredths(s.at));
    expect(places("red, lime, blue")).toEqual([0, 0.5, 1]);
    expect(places("red, lime, teal 60%, navy, blue")).toEqual([0, 0.3, 0.6, 0.8, 1]);
    expect(places("red 20%, lime, blue 40%")).toEqual([0.2, 0.3, 0.4]);
  });

  it("take colours that have commas themselves", () => {
    expect(parseGradient("linear-gradient(90deg, rgb(1, 2, 3), hsl(0, 0%, 100%) 80%)")).toEqual({
      kind: "linear",
      angle: 90,
      stops: [
        { at: 0, colour: "#010203" },
        { at: 0.8, colour: "#ffffff" },
      ],
    });
  });

  it("are refused with one stop, a colour that is none, or another function", () => {
    for (const text of [
      "linear-gradient(red)",
      "linear-gradient(90deg, red)",
      "linear-gradient(red, seagreenish)",
      "conic-gradient(red, blue)",
      "linear-gradient(red, blue",
      "linear-gradient()",
      "red",
    ])
      expect([text, parseGradient(text)]).toEqual([text, null]);
    fc.assert(
      fc.property(fc.string(), fc.constantFrom("linear", "radial"), (inside, kind) => {
        const g = parseGradient(`${kind}-gradient(${inside})`);
        expect(g === null || g.stops.length >= 2).toBe(true);
      }),
    );
  });
});

describe("values of every property", () => {
  const values: Record<string, fc.Arbitrary<Value>> = {
    number: number,
    colour,
    fill: colour,
    flag: fc.boolean(),
    four: fc.tuple(number, number, number, number),
    pair: fc.tuple(number, number),
    text: fc.string(),
  };

  it("are read back as they are shown, where they are possible at all", () => {
    let tried = 0;
    for (const { key, type, fallback } of registry) {
      const made = type.is === "choice" ? fc.constantFrom(...type.of) : values[type.is];
      if (!made) continue;
      fc.assert(
        fc.property(made, (value) => {
          const parsed = parseValue(type, showValue(value), fallback);
          if (!parsed.ok) return;
          tried++;
          expect([key, parsed.value]).toEqual([key, value]);
        }),
        { numRuns: 40 },
      );
    }
    expect(tried).toBeGreaterThan(500);
  });

  it("are refused in words, and never thrown at, whatever is typed", () => {
    for (const { key, type, fallback } of registry)
      fc.assert(
        fc.property(fc.string(), (text) => {
          const parsed = parseValue(type, text, fallback);
          if (!parsed.ok) expect([key, parsed.error.length > 3]).toEqual([key, true]);
        }),
        { numRuns: 40 },
      );
  });
});

describe("rounding", () => {
  it("keeps two or three places, and never says minus nothing", () => {
    expect([1.006, -2.675, 1e-9].map(hundredths)).toEqual([1.01, -2.67, 0]);
    expect([1.0006, -1e-9].map(thousandths)).toEqual([1.001, 0]);
    expect(Object.is(hundredths(-0.001), -0)).toBe(false);
  });

  it("of four sides is done to each", () => {
    expect(mapFour([1, 2, 3, 4], (n) => n * 2)).toEqual([2, 4, 6, 8]);
  });
});
