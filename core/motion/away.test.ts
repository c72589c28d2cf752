import { beforeAll, describe, expect, it } from "vitest";
import { boxAt } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { outOf } from "#core/motion";
import type { Motion } from "#core/project";
import { FADE, HERE } from "#core/properties";
import type { AwayPose, Value } from "#core/properties";
import { Run } from "#core/runtime";
import { Builder, becomes } from "../../tests/support/pieces";
import { testEnv } from "../../tests/support/env";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const linear: Motion = { kind: "tween", duration: 100, delay: 0, easing: "linear" };
const pops: AwayPose = { ...HERE, y: 40, scale: [0, 0], rotation: 90, blur: 8 };

/** A bubble that comes and goes with a trait. */
const pin = (comesFrom: Value, goesTo: Value = "as it came", motion = linear) => {
  const b = new Builder();
  const id = b.new("component", "Pin");
  const bubble = b.layer("box", { x: 10, y: 20, width: 60, height: 30, fill: "#1f6f5c" });
  const open = b.trait("Open", "no", "yes");
  b.look({}, bubble, { visible: false, comesFrom, goesTo, opacity: 0.8 });
  b.look({ [open.id]: [open.v.yes as string] }, bubble, { visible: true });
  const key = (to: string) =>
    b.rule({
      trigger: { type: "key", key: to },
      effects: [becomes(open.id, open.v[to] as string)],
      motion,
    });
  key("yes");
  key("no");
  const run = new Run(env, b.project, id);
  const seen = () => {
    const scene = run.scene();
    const box = scene && boxAt(scene, bubble);
    if (!box) return null;
    const { scale, rotation, opacity, blur } = box.values;
    return { x: box.x, y: box.y, scale, rotation, opacity, blur, presence: box.presence };
  };
  return { run, seen };
};
const shown = {
  x: 10,
  y: 20,
  scale: [1, 1],
  rotation: 0,
  opacity: 0.8,
  blur: 0,
  presence: 1,
};

describe("a pose out of another layer", () => {
  it("shrinks it to nothing in the middle of that one, about its own pivot", () => {
    const b = new Builder();
    const id = b.new("component", "Pin");
    const bubble = b.layer("box", { x: 10, y: 20, width: 60, height: 30, pivot: [50, 100] });
    const dot = b.layer("ellipse", { x: 80, y: 90, width: 20, height: 20 });
    const scene = new Run(env, b.project, id).scene();
    const pose = scene && outOf(scene, bubble, dot);
    expect(pose).toEqual({ ...HERE, x: 50, y: 50, scale: [0, 0] });
    expect(scene && outOf(scene, bubble, "gone")).toBeNull();
  });
});

describe("a layer that comes and goes", () => {
  it("fades where nothing else is said", () => {
    const { run, seen } = pin(FADE);
    run.key("yes", "down");
    run.advanceTo(25);
    expect(seen()).toEqual({ ...shown, presence: 0.25 });
    run.advanceTo(100);
    run.key("no", "down");
    run.advanceTo(175);
    expect(seen()?.presence).toBeCloseTo(0.25);
  });

  it("comes from its pose and goes there again, exactly", () => {
    const { run, seen } = pin(pops);
    run.key("yes", "down");
    expect(seen()).toEqual({ ...shown, y: 60, scale: [0, 0], rotation: 90, blur: 8 });
    run.advanceTo(50);
    expect(seen()).toEqual({ ...shown, y: 40, scale: [0.5, 0.5], rotation: 45, blur: 4 });
    run.advanceTo(100);
    expect(seen()).toEqual(shown);
    run.key("no", "down");
    run.advanceTo(150);
    expect(seen()).toEqual({ ...shown, y: 40, scale: [0.5, 0.5], rotation: 45, blur: 4 });
    run.advanceTo(200);
    expect(seen()).toBeNull();
  });

  it("goes to another pose than it came from, or fades then", () => {
    const { run, seen } = pin(pops, { ...HERE, x: 100 });
    run.key("yes", "down");
    run.advanceTo(100);
    run.key("no", "down");
    run.advanceTo(150);
    expect(seen()).toEqual({ ...shown, x: 60 });
    const other = pin(pops, FADE);
    other.run.key("yes", "down");
    other.run.advanceTo(100);
    other.run.key("no", "down");
    other.run.advanceTo(150);
    expect(other.seen()).toEqual({ ...shown, presence: 0.5 });
  });

  it("turned back on its way goes on from where it is", () => {
    const { run, seen } = pin(pops);
    run.key("yes", "down");
    run.advanceTo(50);
    run.key("no", "down");
    const before = seen();
    run.advanceTo(51);
    expect(seen()?.y).toBeCloseTo(before?.y ?? NaN, 0);
    run.advanceTo(75);
    run.key("yes", "down");
    const back = seen();
    run.advanceTo(76);
    expect(seen()?.scale[0]).toBeCloseTo(back?.scale[0] ?? NaN, 0);
    run.advanceTo(175);
    expect(seen()).toEqual(shown);
  });

  it("swings past its place with a spring, but not back out of nothing", () => {
    const spring = { kind: "spring", mass: 1, stiffness: 400, damping: 12 } as const;
    const { run, seen } = pin(pops, "as it came", { ...linear, easing: spring });
    run.key("yes", "down");
    const scales: number[] = [];
    for (let now = 0; now < 400; now += 10) {
      run.advanceTo(now);
      scales.push(seen()?.scale[0] ?? NaN);
    }
    expect(Math.max(...scales)).toBeGreaterThan(1.1);
    run.advanceTo(3000);
    run.key("no", "down");
    for (let now = 3000; now < 4500; now += 10) {
      run.advanceTo(now);
      expect(seen()?.scale[0] ?? 0).toBeGreaterThanOrEqual(0);
    }
  });
});
