import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { lastsFor, Mover } from "#core/motion";
import type { Easing, Lane, Motion } from "#core/project";
import { cut, place, stage, child, tween } from "../../tests/support/placed";
import { settlingTime } from "./curves/spring";

const lane = (layer: string, key: string | null, parts: Partial<Lane> = {}): Lane => ({
  layer,
  key,
  delay: 0,
  duration: 100,
  easing: "linear",
  ...parts,
});
const withLanes = (lanes: readonly Lane[], duration = 100): Motion => ({
  ...tween(duration),
  lanes,
});
/** A mover that rests at a stage. */
const at = (...children: Parameters<typeof stage>) => {
  const mover = new Mover();
  mover.retarget(stage(...children), cut, 0, "s");
  return mover;
};

describe("lanes", () => {
  it("a layer, or one property of it, has a time of its own; the rest has the motion's", () => {
    const mover = at(place("a"), place("b"), place("c"));
    mover.retarget(
      stage(place("a", { x: 100, y: 100 }), place("b", { x: 100 }), place("c", { x: 100 })),
      withLanes([
        lane("a", null, { delay: 50, duration: 50 }),
        lane("a", "y", { duration: 200 }),
        lane("b", null, { delay: 100 }),
      ]),
      0,
      "s",
    );
    const now = mover.sample(75);
    expect([
      child(now, "a")?.x,
      child(now, "a")?.y,
      child(now, "b")?.x,
      child(now, "c")?.x,
    ]).toEqual([50, 37.5, 0, 75]);
    expect(mover.endsAt()).toBe(200);
    expect(child(mover.sample(150), "b")?.x).toBe(50);
    expect(lastsFor(withLanes([lane("b", null, { delay: 100 })]))).toBe(200);
  });

  it("what is inside a layer goes in its lane, unless it has one itself; inside a copy, lanes are of the copy's layers", () => {
    const tree = (x: number) =>
      stage(
        place("a", { children: [place("in", { x }), place("own", { x })] }),
        place("copy", { nested: place("root", { children: [place("in", { x })] }) }),
      );
    const mover = new Mover();
    mover.retarget(tree(0), cut, 0, "s");
    mover.retarget(
      tree(100),
      withLanes([lane("a", null, { duration: 200 }), lane("own", "x", { duration: 50 })]),
      0,
      "s",
    );
    const inside = child(mover.sample(40), "a");
    expect([child(inside ?? null, "in")?.x, child(inside ?? null, "own")?.x]).toEqual([20, 80]);
    const other = new Mover();
    other.retarget(tree(0), cut, 0, "s");
    other.retarget(tree(100), withLanes([lane("in", null, { duration: 200 })]), 0, "s", "copy");
    expect([
      child(child(other.sample(40), "a") ?? null, "in")?.x,
      child(child(other.sample(40), "copy")?.nested ?? null, "in")?.x,
    ]).toEqual([40, 20]);
  });

  it("goes through poses, each in its own way, also where nothing else changes", () => {
    const wiggle = lane("bell", "rotation", {
      duration: 200,
      poses: [
        { at: 0.25, value: -12, easing: "linear" },
        { at: 0.75, value: 12, easing: { kind: "steps", count: 2, jump: "end" } },
      ],
    });
    const mover = at(place("bell"));
    const rest = stage(place("bell"));
    const angle = (ms: number) => child(mover.sample(ms), "bell")?.values.rotation;
    mover.retarget(rest, withLanes([wiggle]), 0, "s");
    expect([angle(25), angle(50), angle(90), angle(110), angle(150), angle(175)]).toEqual([
      -6, -12, -12, 0, 12, 6,
    ]);
    expect(mover.sample(200)).toBe(rest);
    // a layer that is not there any more has nothing to go through
    mover.retarget(stage(), withLanes([wiggle]), 300, "s");
    expect(mover.sample(500)?.children).toEqual([]);
  });

  it("several times, there and back, and for ever without drifting", () => {
    const mover = at(place("wave"));
    const x = (ms: number) => child(mover.sample(ms), "wave")?.x as number;
    const still = stage(place("wave"));
    mover.retarget(
      still,
      withLanes([
        lane("wave", "x", {
          times: 0,
          duration: 80,
          poses: [{ at: 0.5, value: 40, easing: "linear" }],
        }),
      ]),
      7,
      "s",
    );
    expect([mover.endsAt(), mover.movesAfter(1e6)]).toEqual([0, true]);
    for (const go of [0, 1, 1000, 1_000_000]) expect(x(7 + go * 80 + 20)).toBeCloseTo(20, 5);
    mover.stop();
    mover.retarget(
      stage(place("wave", { x: 10 })),
      withLanes([lane("wave", "x", { times: 2, turns: true })]),
      9e7,
      "s",
    );
    expect([50, 150, 250, 299, 300].map((t) => x(9e7 + t))).toEqual(
      [5, 5, 5, 9.9, 10].map((n) => expect.closeTo(n, 5) as number),
    );
  });

  it("a loop ends where something else takes its property, smoothly", () => {
    const mover = at(place("wave"));
    const x = (ms: number) => child(mover.sample(ms), "wave")?.x as number;
    mover.retarget(
      stage(place("wave")),
      withLanes([
        lane("wave", "x", {
          times: 0,
          duration: 80,
          poses: [{ at: 0.5, value: 40, easing: "linear" }],
        }),
      ]),
      0,
      "s",
    );
    const before = x(20);
    mover.retarget(stage(place("wave", { x: 100 })), tween(200), 20, "s");
    expect([x(20), x(220), mover.movesAfter(300)]).toEqual([before, 100, false]);
  });
});

const easing = fc.constantFrom<Easing>(
  "linear",
  "ease",
  "ease-in-out",
  [0.3, -0.4, 0.2, 1.4],
  { kind: "spring", mass: 1, stiffness: 180, damping: 12 },
  { kind: "bounce", times: 3, keeps: 0.3 },
  { kind: "windup", back: 0.2 },
);

describe("interrupted at any moment", () => {
  it("nothing moves faster than its way and time allow, and all ends on its target (200 random interruptions)", () => {
    const change = fc.record({
      x: fc.integer({ min: -300, max: 300 }),
      wait: fc.integer({ min: 1, max: 400 }),
      duration: fc.integer({ min: 80, max: 600 }),
      easing,
      delay: fc.integer({ min: 0, max: 60 }),
    });
    fc.assert(
      fc.property(fc.array(change, { minLength: 2, maxLength: 8 }), (changes) => {
        const mover = at(place("knob"));
        const x = (ms: number) => child(mover.sample(ms))?.x as number;
        let now = 0;
        let fastest = 0;
        let last = stage(place("knob"));
        for (const c of changes) {
          let before = x(now);
          for (let i = 0; i < c.wait; i++) {
            const next = x(now + i + 1);
            // the steepest curve here (a bounce's fall) goes 6.1 times as fast as an even one; what
            // was moving before adds its speed
            expect(Math.abs(next - before)).toBeLessThanOrEqual(fastest + 1e-6);
            before = next;
          }
          now += c.wait;
          const from = x(now);
          const length =
            typeof c.easing === "object" && "kind" in c.easing && c.easing.kind === "spring"
              ? 75
              : c.duration;
          last = stage(place("knob", { x: c.x }));
          mover.retarget(last, { ...tween(c.duration, c.easing), delay: c.delay }, now, "s");
          expect(x(now)).toBeCloseTo(from, 9);
          fastest = fastest + (Math.abs(c.x - from) / length) * 6.5 + 0.01;
        }
        expect(mover.sample(mover.endsAt() + 1)).toBe(last);
      }),
      { numRuns: 60 },
    );
  });

  it("velocity is kept: right after an interruption it goes on as it did", () => {
    fc.assert(
      fc.property(
        easing,
        easing,
        fc.integer({ min: 20, max: 180 }),
        fc.integer({ min: -200, max: 300 }),
        (first, second, when, to) => {
          const mover = at(place("knob"));
          const x = (ms: number) => child(mover.sample(ms))?.x as number;
          mover.retarget(stage(place("knob", { x: 100 })), tween(200, first), 0, "s");
          const before = x(when) - x(when - 0.01);
          const moving = Math.abs(before) > 0.02;
          mover.retarget(stage(place("knob", { x: to })), tween(400, second), when, "s");
          const after = x(when + 0.01) - x(when);
          // what hardly moved sets out as its new curve says
          if (moving)
            expect(Math.abs(after - before)).toBeLessThan(
              Math.abs(before) * 0.25 + Math.max(0, (Math.abs(to - 100) / 400) * 0.05),
            );
        },
      ),
      { numRuns: 150 },
    );
  });

  it("a spring takes up the speed of what it interrupts, and waits until that has died away", () => {
    const bouncy: Easing = { kind: "spring", mass: 1, stiffness: 200, damping: 8 };
    const mover = at(place("knob"));
    const x = (ms: number) => child(mover.sample(ms))?.x as number;
    mover.retarget(stage(place("knob", { x: 200 })), tween(100), 0, "s");
    x(50);
    mover.retarget(stage(place("knob", { x: 101 })), tween(0, bouncy), 50, "s");
    expect(x(60)).toBeGreaterThan(115);
    expect(mover.endsAt()).toBeGreaterThan(50 + settlingTime(bouncy));
    expect(Math.abs(x(mover.endsAt() - 1) - 101)).toBeLessThan(0.3);
  });
});

describe("one screen to another", () => {
  const screen = (id: string, ...children: ReturnType<typeof place>[]) =>
    place("~", {
      width: 100,
      height: 200,
      children: [place("root", { width: 100, height: 200, children }, { text: id })],
    });

  it("slides, pushes and rises as the motion says, then is the new one alone", () => {
    for (const kind of ["slide", "push", "rise"] as const) {
      const mover = new Mover();
      const next = screen("two", place("b"));
      mover.retarget(screen("one", place("a")), cut, 0, "one");
      mover.retarget(next, { ...tween(100), kind, to: "left" }, 0, "two");
      expect(mover.sample(50)?.dissolve).toMatchObject({ progress: 0.5, way: kind, to: "left" });
      expect(mover.sample(100)).toBe(next);
    }
  });

  it("a tween moves what both screens have, and fades the rest", () => {
    const named = (id: string, name: string, x: number) => {
      const p = place(id, { x });
      return { ...p, layer: { ...p.layer, name } };
    };
    const mover = new Mover();
    mover.retarget(screen("one", named("a", "Ship", 0), named("c", "Anchor", 5)), cut, 0, "one");
    mover.retarget(
      screen("two", named("b", "Ship", 80), named("d", "Buoy", 9)),
      tween(100),
      0,
      "two",
    );
    const root = mover.sample(50)?.children[0] ?? null;
    expect(child(root, "b")?.x).toBe(40);
    expect(root?.children.map((c) => [c.layer.name, c.presence])).toEqual(
      expect.arrayContaining([
        ["Anchor", 0.5],
        ["Buoy", 0.5],
        ["Ship", 1],
      ]),
    );
    expect(mover.sample(100)?.children[0]?.children.map((c) => c.layer.name)).toEqual([
      "Ship",
      "Buoy",
    ]);
  });
});
