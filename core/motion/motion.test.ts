import { plainText } from "#core/basics";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { mixColour } from "#core/colour";
import type { Motion } from "#core/project";
import { curveOf, Mover } from "#core/motion";
import { child, cut, place, stage, tween } from "../../tests/support/placed";
import { keywords } from "./curves/easing";
import { mixOf } from "./mix";

describe("easings", () => {
  it("start at 0, end at 1, and never go back in time", () => {
    for (const easing of Object.keys(keywords)) {
      const curve = curveOf(easing as Motion["easing"]);
      expect(curve(0)).toBe(0);
      expect(curve(1)).toBe(1);
      for (let i = 1; i <= 100; i++)
        expect(curve(i / 100)).toBeGreaterThanOrEqual(curve((i - 1) / 100) - 1e-9);
    }
  });

  it("ease is CSS's cubic-bezier(0.25, 0.1, 0.25, 1)", () => {
    // solved with 200 halvings of x(s) = t
    const bezier = (a: number, b: number, s: number) =>
      3 * a * s * (1 - s) ** 2 + 3 * b * s * s * (1 - s) + s ** 3;
    for (let i = 1; i < 20; i++) {
      let lo = 0;
      let hi = 1;
      for (let k = 0; k < 200; k++) {
        const mid = (lo + hi) / 2;
        if (bezier(0.25, 0.25, mid) < i / 20) lo = mid;
        else hi = mid;
      }
      expect(curveOf("ease")(i / 20)).toBeCloseTo(bezier(0.1, 1, lo), 4);
    }
  });
});

describe("mixing", () => {
  it("colours go through OKLab, not through sRGB's muddy middle", () => {
    expect(mixColour("#000000", "#ffffff")(0.5)).toBe("#636363");
    expect(mixColour("#ff0000", "#00ff00")(0)).toBe("#ff0000");
    expect(mixColour("#ff0000", "#00ff00")(1)).toBe("#00ff00");
    expect(mixColour("none", "#1f6f5c")(0.5)).toMatch(/^#1f6f5c80$/);
  });

  it("shadow lists of different lengths meet half-way, and angles keep the way they were typed", () => {
    const shadows = mixOf("shadows", [], [{ x: 0, y: 4, blur: 8, spread: 0, colour: "#000000" }]);
    expect(shadows?.(0.5)).toEqual([{ x: 0, y: 2, blur: 4, spread: 0, colour: "#00000080" }]);
    expect(mixOf("number", -10, 10)?.(0.5)).toBe(0);
    expect(mixOf("number", 0, 360)?.(0.5)).toBe(180);
  });

  it("gradients with different numbers of stops mix, and look as they are at either end", () => {
    const two = {
      kind: "linear",
      angle: 90,
      stops: [
        { at: 0, colour: "#000000" },
        { at: 1, colour: "#ffffff" },
      ],
    } as const;
    const three = {
      kind: "linear",
      angle: 0,
      stops: [
        { at: 0, colour: "#ff0000" },
        { at: 0.25, colour: "none" },
        { at: 1, colour: "#0000ff" },
      ],
    } as const;
    const mix = mixOf("fill", two, three);
    const half = mix?.(0.5) as typeof three;
    const begun = mix?.(1e-9) as typeof three;
    expect([mix?.(0), mix?.(1)]).toEqual([two, three]);
    expect(half.angle).toBe(45);
    expect(half.stops.map((s) => s.at)).toEqual([0, 0.25, 1]);
    // the stop that came in between has the colour the gradient has there
    expect(begun.stops[1]?.colour).toMatch(/^#404040/);
    expect(
      mixOf("fill", two, { kind: "radial", centre: [0.5, 0.5], radii: [1, 1], stops: two.stops }),
    ).toBeNull();
  });

  it("any path is turned into any other: its points go the shortest ways round, what has no partner shrinks to a point", () => {
    expect(mixOf("path", "M0 0 L10 0", "M10 10 L20 10")?.(0.5)).toBe("M5 5L15 5");
    const box = "M0 0 L100 0 L100 100 L0 100 Z";
    const turned = "M100 100 L0 100 L0 0 L100 0 Z";
    const other = "M100 0 C100 0 100 100 100 100 L0 100 L0 0 Z";
    const numbers = (d: unknown) =>
      String(d)
        .match(/-?[\d.]+/g)
        ?.map(Number) ?? [];
    // the same square drawn with other commands and from another corner does not move at all
    const still = mixOf("path", turned, other)?.(0.5);
    expect(Math.min(...numbers(still))).toBe(0);
    expect(Math.max(...numbers(still))).toBe(100);
    expect(plainText(still)).not.toMatch(/ 50 50C/);
    const cross = mixOf("path", box, "M50 0 L60 40 L100 50 L60 60 L50 100 L40 60 L0 50 L40 40 Z");
    expect(plainText(cross?.(0.5)).match(/C/g)).toHaveLength(8);
    for (const t of [0.1, 0.5, 0.9])
      expect(numbers(cross?.(t)).every((n) => n >= 0 && n <= 100)).toBe(true);
    const hole = `${box} M40 40 L60 40 L60 60 L40 60 Z`;
    const opened = mixOf("path", box.replace("L100 0", "L50 0 L100 0"), hole)?.(0.5);
    expect(plainText(opened).match(/M/g)).toHaveLength(2);
    expect(mixOf("path", "M0 0", "M0 0 L5 5")).toBeNull();
    expect(mixOf("dissolve", "on", "off")).toBeNull();
  });
});

describe("the mover", () => {
  it("tweens what differs, leaves the rest alone, and ends exactly on the target", () => {
    const mover = new Mover();
    const still = place("track");
    const before = stage(still, place("knob", { x: 4 }, { fill: "#000000" }));
    const after = stage(still, place("knob", { x: 32 }, { fill: "#ffffff" }));
    mover.retarget(before, cut, 0, "s");
    expect(mover.sample(0)).toBe(before);
    mover.retarget(after, tween(100), 0, "s");
    expect(child(mover.sample(50))).toMatchObject({ x: 18, values: { fill: "#636363" } });
    expect(child(mover.sample(50), "track")).toBe(still);
    expect(mover.endsAt()).toBe(100);
    expect(mover.sample(100)).toBe(after);
  });

  it("whatever interrupts it, a tween ends on its target and nothing jumps at the interruption", () => {
    const at = fc.record({
      x: fc.integer({ min: -200, max: 200 }),
      opacity: fc.double({ min: 0, max: 1, noNaN: true }),
      wait: fc.integer({ min: 1, max: 300 }),
      duration: fc.integer({ min: 1, max: 400 }),
    });
    fc.assert(
      fc.property(fc.array(at, { minLength: 1, maxLength: 12 }), (steps) => {
        const mover = new Mover();
        mover.retarget(stage(place("knob")), cut, 0, "s");
        let now = 0;
        let last = stage(place("knob"));
        for (const s of steps) {
          now += s.wait;
          const seen = child(mover.sample(now));
          last = stage(place("knob", { x: s.x }, { opacity: s.opacity }));
          mover.retarget(last, tween(s.duration, "ease-in-out"), now, "s");
          const then = child(mover.sample(now));
          expect(then?.x).toBeCloseTo(seen?.x ?? NaN, 9);
          expect(then?.values.opacity as number).toBeCloseTo(seen?.values.opacity as number, 9);
        }
        expect(mover.sample(mover.endsAt() + 1)).toBe(last);
      }),
    );
  });

  it("changes of different traits compose: each property keeps its own timing", () => {
    const mover = new Mover();
    mover.retarget(stage(place("knob", {}, { opacity: 1 })), cut, 0, "s");
    mover.retarget(stage(place("knob", { x: 100 }, { opacity: 1 })), tween(100), 0, "s");
    mover.retarget(stage(place("knob", { x: 100 }, { opacity: 0 })), tween(200), 50, "s");
    expect(child(mover.sample(75))).toMatchObject({ x: 75, values: { opacity: 0.875 } });
    expect(child(mover.sample(150))).toMatchObject({ x: 100, values: { opacity: 0.5 } });
  });

  it("layers that appear or vanish fade, and one that comes back goes on from where it is", () => {
    const mover = new Mover();
    const tick = place("tick", { x: 3 });
    mover.retarget(stage(), cut, 0, "s");
    mover.retarget(stage(tick), tween(100), 0, "s");
    expect(child(mover.sample(40), "tick")?.presence).toBeCloseTo(0.4);
    mover.retarget(stage(), tween(100), 40, "s");
    expect(child(mover.sample(40), "tick")?.presence).toBeCloseTo(0.4);
    expect(child(mover.sample(90), "tick")?.presence).toBeCloseTo(0.2);
    mover.retarget(stage(tick), tween(100), 90, "s");
    expect(child(mover.sample(90), "tick")?.presence).toBeCloseTo(0.2);
    expect(child(mover.sample(190), "tick")?.presence).toBe(1);
    mover.retarget(stage(), cut, 200, "s");
    expect(child(mover.sample(200), "tick")).toBeUndefined();
  });

  it("a fade dissolves the whole piece, at once in its new place; another subject dissolves too", () => {
    const mover = new Mover();
    mover.retarget(stage(place("knob", { x: 4 })), cut, 0, "s");
    mover.retarget(stage(place("knob", { x: 32 })), { ...tween(100), kind: "fade" }, 0, "s");
    const half = mover.sample(50);
    expect(half?.dissolve?.progress).toBe(0.5);
    expect(child(half)?.x).toBe(32);
    expect(child(half?.dissolve?.from ?? null)?.x).toBe(4);
    mover.retarget(stage(), { ...tween(100), kind: "fade" }, 60, "other");
    expect(mover.sample(110)?.dissolve?.progress).toBe(0.5);
    expect(mover.sample(160)?.dissolve).toBeNull();
  });

  it("waits for its delay, and cut is at once", () => {
    const mover = new Mover();
    mover.retarget(stage(place("knob")), cut, 0, "s");
    mover.retarget(stage(place("knob", { x: 10 })), tween(100, "linear", 50), 0, "s");
    expect(child(mover.sample(50))?.x).toBe(0);
    expect(child(mover.sample(100))?.x).toBe(5);
    mover.retarget(stage(place("knob", { x: 77 })), cut, 100, "s");
    expect(child(mover.sample(100))?.x).toBe(77);
  });

  it("interrupting dissolves again and again does not pile up old pictures", () => {
    const mover = new Mover();
    for (let i = 0; i < 100; i++)
      mover.retarget(stage(place("knob", { x: i })), { ...tween(1000), kind: "fade" }, i, "s");
    let depth = 0;
    for (let p = mover.sample(100); p?.dissolve; p = p.dissolve.from) depth++;
    expect(depth).toBeLessThan(8);
  });
});
