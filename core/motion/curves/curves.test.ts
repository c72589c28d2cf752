import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  cssEasing,
  curveOf,
  overshootOf,
  namedCurves,
  springFrom,
  springLasting,
  swingOf,
} from "#core/motion";
import type { Easing, Spring } from "#core/project";
import { cssLinear } from "./linear";
import { REST, settlingTime, springAt } from "./spring";

/** m x″ + c x′ + k x = 0 by Runge–Kutta of fourth order, in steps of 1/20 ms. */
const integrated = (
  { mass, stiffness, damping }: Spring,
  ms: number,
  x: number,
  v: number,
): number => {
  const h = 5e-5;
  const a = (p: number, q: number) => -(stiffness * p + damping * q) / mass;
  for (let i = 0; i < Math.round(ms * 20); i++) {
    const k1 = [v, a(x, v)] as const;
    const k2 = [v + (h / 2) * k1[1], a(x + (h / 2) * k1[0], v + (h / 2) * k1[1])] as const;
    const k3 = [v + (h / 2) * k2[1], a(x + (h / 2) * k2[0], v + (h / 2) * k2[1])] as const;
    const k4 = [v + h * k3[1], a(x + h * k3[0], v + h * k3[1])] as const;
    x += (h / 6) * (k1[0] + 2 * k2[0] + 2 * k3[0] + k4[0]);
    v += (h / 6) * (k1[1] + 2 * k2[1] + 2 * k3[1] + k4[1]);
  }
  return x;
};

const spring = fc.record({
  kind: fc.constant("spring" as const),
  mass: fc.double({ min: 0.2, max: 5, noNaN: true }),
  stiffness: fc.double({ min: 20, max: 800, noNaN: true }),
  damping: fc.double({ min: 1, max: 80, noNaN: true }),
});
const critical: Spring = { kind: "spring", mass: 1, stiffness: 100, damping: 20 };

describe("springs", () => {
  it("are the solution of their equation, to a millionth, whatever their damping and however they set out", () => {
    const start = fc.record({
      x: fc.double({ min: -2, max: 2, noNaN: true }),
      v: fc.double({ min: -20, max: 20, noNaN: true }),
      ms: fc.integer({ min: 1, max: 900 }),
    });
    fc.assert(
      fc.property(
        fc.oneof({ weight: 6, arbitrary: spring }, { weight: 1, arbitrary: fc.constant(critical) }),
        start,
        (s, { x, v, ms }) => {
          expect(Math.abs(springAt(s, ms, x, v).x - integrated(s, ms, x, v))).toBeLessThan(1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it("know their velocity", () => {
    fc.assert(
      fc.property(spring, fc.integer({ min: 1, max: 900 }), (s, ms) => {
        const h = 1e-3;
        const by = (springAt(s, ms + h).x - springAt(s, ms - h).x) / ((2 * h) / 1000);
        expect(springAt(s, ms).v).toBeCloseTo(by, 3);
      }),
    );
  });

  it("have two views that are one spring", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 3000, noNaN: true }),
        fc.double({ min: -0.8, max: 0.95, noNaN: true }),
        fc.double({ min: 0.2, max: 5, noNaN: true }),
        (swing, bounciness, mass) => {
          const back = swingOf(springFrom({ swing, bounciness }, mass));
          expect(back.swing).toBeCloseTo(swing, 6);
          expect(back.bounciness).toBeCloseTo(bounciness, 6);
        },
      ),
    );
  });

  it("are at rest from their settling time on, and not before", () => {
    fc.assert(
      fc.property(spring, (s) => {
        const end = settlingTime(s);
        // those that would take longer than 20 s are not waited for
        fc.pre(s.damping / (2 * s.mass) > 0.5 && s.stiffness / s.damping > 0.5);
        expect(Math.abs(springAt(s, end - 1).x)).toBeGreaterThan(REST);
        for (let ms = end; ms < end + 400; ms++)
          expect(Math.abs(springAt(s, ms).x)).toBeLessThanOrEqual(REST + 1e-12);
      }),
      { numRuns: 60 },
    );
  });

  it("go past their end by what is said of them", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 200, max: 900, noNaN: true }),
        fc.double({ min: 0.05, max: 0.8, noNaN: true }),
        (swing, bounciness) => {
          const s = springFrom({ swing, bounciness });
          let most = 0;
          for (let ms = 0; ms < 3000; ms++) most = Math.max(most, -springAt(s, ms).x);
          expect(most).toBeCloseTo(overshootOf(s), 3);
        },
      ),
      { numRuns: 40 },
    );
    expect(overshootOf(critical)).toBe(0);
  });

  it("come to rest in the time one asks for, whatever their bounciness and mass", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 60, max: 8000 }),
        fc.integer({ min: -80, max: 90 }),
        fc.constantFrom(0.5, 1, 3),
        (ms, bounce, mass) => {
          const spring = springLasting(ms, bounce / 100, mass);
          expect(Math.abs(settlingTime(spring) - ms)).toBeLessThanOrEqual(Math.max(2, ms * 0.002));
          expect(swingOf(spring).bounciness).toBeCloseTo(bounce / 100, 6);
          expect(spring.mass).toBe(mass);
        },
      ),
    );
  });
});

const anyEasing: readonly Easing[] = [
  ...namedCurves.map((p) => p.easing),
  "ease-in-out",
  critical,
  { kind: "steps", count: 4, jump: "both" },
  { kind: "bounce", times: 5, keeps: 0.5 },
  { kind: "windup", back: 0.3 },
];

describe("curves", () => {
  it("begin at 0 and end at 1, all of them, and springs get there as nearly as they rest", () => {
    for (const e of anyEasing) {
      const curve = curveOf(e);
      expect(curve(1)).toBeCloseTo(1, 9);
      expect(curve(0)).toBeCloseTo(
        typeof e === "object" && "kind" in e && e.kind === "steps" && e.jump === "both" ? 0.2 : 0,
        9,
      );
      expect(Math.abs(curve(0.9999) - 1)).toBeLessThan(0.3);
    }
  });

  it("steps jump where CSS says they do", () => {
    const at = (jump: "start" | "end" | "both" | "none", t: number) =>
      curveOf({ kind: "steps", count: 4, jump })(t);
    expect([at("end", 0), at("end", 0.24), at("end", 0.25), at("end", 0.99)]).toEqual([
      0, 0, 0.25, 0.75,
    ]);
    expect([at("start", 0), at("start", 0.26)]).toEqual([0.25, 0.5]);
    expect([at("none", 0), at("none", 0.8)]).toEqual([0, 1]);
    expect([at("both", 0), at("both", 0.8)]).toEqual([0.2, 0.8]);
  });

  it("what is dropped touches the ground between its bounces, and comes up to the share it keeps", () => {
    const curve = curveOf({ kind: "bounce", times: 2, keeps: 0.25 });
    const whole = 1 + 1 + 0.5;
    for (const hit of [1, 2, 2.5]) expect(curve(hit / whole)).toBeCloseTo(1, 9);
    expect(curve(1.5 / whole)).toBeCloseTo(0.75, 9);
    expect(curve(2.25 / whole)).toBeCloseTo(1 - 0.0625, 9);
  });

  it("what winds up goes back by what it says, and not past its end", () => {
    const values = Array.from({ length: 1001 }, (_, i) =>
      curveOf({ kind: "windup", back: 0.2 })(i / 1000),
    );
    expect(Math.min(...values)).toBeCloseTo(-0.2, 3);
    expect(Math.max(...values)).toBeLessThanOrEqual(1);
  });
});

describe("as CSS", () => {
  it("linear() is within the error it states, at every point", () => {
    for (const e of anyEasing)
      for (const most of [0.01, 0.002]) {
        const { css, error } = cssLinear(e, most);
        const curve = curveOf(e);
        const jumps = typeof e === "object" && "kind" in e && e.kind === "steps";
        const stops = css
          .slice(7, -1)
          .split(", ")
          .map((s, i, all) => {
            const [v, t] = s.split(" ");
            const ends = new Map([
              [0, 0],
              [all.length - 1, 1],
            ]);
            return { v: Number(v), t: t ? parseFloat(t) / 100 : (ends.get(i) ?? NaN) };
          });
        expect(error).toBeLessThanOrEqual(most + 1e-4);
        // a jump cannot be written as a line: its samples are, to a two-thousandth of the time
        for (let i = 0; i <= 2000 && !jumps; i++) {
          const t = i / 2000;
          const k = Math.max(
            1,
            stops.findIndex((s) => s.t >= t),
          );
          const a = stops[k - 1];
          const b = stops[k];
          if (!a || !b) throw new Error("no stop");
          expect(
            Math.abs(a.v + ((b.v - a.v) * (t - a.t)) / (b.t - a.t || 1) - curve(t)),
          ).toBeLessThanOrEqual(error + 1e-4);
        }
      }
  });

  it("keeps CSS's own words where there are any", () => {
    expect(cssEasing("ease-in")).toEqual({ css: "ease-in", error: 0 });
    expect(cssEasing([0.3, 0, 0.2, 1.5]).css).toBe("cubic-bezier(0.3, 0, 0.2, 1.5)");
    expect(cssEasing({ kind: "steps", count: 3, jump: "none" }).css).toBe("steps(3, jump-none)");
    expect(cssEasing(critical).css).toMatch(/^linear\(0, .*, 1\)$/);
  });
});
