import { beforeAll, describe, expect, it } from "vitest";
import { boxAt } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import type { Motion } from "#core/project";
import { Run } from "#core/runtime";
import { becomes, Builder } from "../../tests/support/pieces";
import { testEnv } from "../../tests/support/env";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const motion: Motion = { kind: "tween", duration: 400, delay: 0, easing: "linear" };

/** Two cards one above the other; carried off, the front one goes behind. */
const deck = (scale = 1) => {
  const b = new Builder();
  const component = b.new("component", "Deck");
  const front = b.trait("Front", "one", "two");
  const card = { x: 100, y: 100, width: 100, height: 60 };
  const one = b.layer("box", { ...card, fill: "#1f6f5c", stack: 2 });
  const two = b.layer("box", { ...card, y: 120, fill: "#e3b341", stack: 1 });
  const isTwo = { [front.id]: [front.v.two as string] };
  b.look(isTwo, one, { y: 120, stack: 1 }).look(isTwo, two, { y: 100, stack: 2 });
  const carry = (source: string, at: string, to: string, direction: "left" | "right") =>
    b.rule({
      source,
      when: { [front.id]: [front.v[at] as string] },
      trigger: { type: "drag", way: "free", lean: 10, direction, travel: 100, speed: 5000 },
      effects: [becomes(front.id, front.v[to] as string)],
      motion,
    });
  carry(one, "one", "two", "left");
  carry(one, "one", "one", "right");
  carry(two, "two", "one", "left");
  let piece = component;
  let prefix = "";
  if (scale !== 1) {
    piece = b.new("screen", "Quay");
    const copy = b.layer("instance", { component, x: 0, y: 0, scale: [scale, scale] });
    b.look({}, copy, { pivot: [0, 0] });
    prefix = `${copy}/`;
  }
  const run = new Run(env, b.project, piece);
  const box = (id: string): LayoutBox | null => {
    const scene = run.scene();
    return scene && boxAt(scene, prefix + id);
  };
  const at = (id: string) => {
    const p = box(id);
    return p && [Math.round(p.x * 100) / 100, Math.round(p.y * 100) / 100];
  };
  const grab = () => {
    run.pointer("move", 150 * scale, 115 * scale);
    run.pointer("down", 150 * scale, 115 * scale);
  };
  /** Moves the hand from where it took hold, in steps of 10 ms. */
  const pull = (dx: number, dy: number, ms = 200) => {
    const begin = run.now;
    for (let t = 10; t <= ms; t += 10) {
      run.advanceTo(begin + t);
      const share = t / ms;
      run.pointer("move", (150 + dx * share) * scale, (115 + dy * share) * scale);
    }
  };
  const letGo = (dx: number, dy: number) =>
    run.pointer("up", (150 + dx) * scale, (115 + dy) * scale);
  const order = (): string[] =>
    (box("root") ?? boxAt(run.scene() as LayoutBox, `${prefix}root`))?.children.map(
      (c) => c.layer.id,
    ) ?? [];
  return { run, one, two, at, box, grab, pull, letGo, order, front };
};

describe("a drag that is free", () => {
  it("keeps with the hand in any direction, in front of all, while the others come up", () => {
    const { one, two, at, grab, pull, order } = deck();
    grab();
    pull(-40, 70);
    expect(at(one)).toEqual([60, 170]);
    expect(at(two)?.[1]).toBeCloseTo(112);
    expect(order()).toEqual([two, one]);
    // also back past where it was taken hold of, and straight up
    pull(0, -90);
    expect(at(one)).toEqual([100, 10]);
  });

  it("leans by the hand's speed, and stands up again when that rests", () => {
    const { run, one, box, grab, pull } = deck();
    grab();
    pull(-80, 0, 100);
    const leans = box(one)?.values.rotation ?? 0;
    expect(leans).toBeLessThan(-4);
    expect(leans).toBeGreaterThan(-10);
    expect(run.wakesAt()).toBe(run.now);
    run.advanceTo(run.now + 1000);
    expect(box(one)?.values.rotation).toBeCloseTo(0, 3);
    expect(run.wakesAt()).toBe(Infinity);
  });

  it("let go too early goes back to its place", () => {
    const { run, one, at, box, grab, pull, letGo, front } = deck();
    grab();
    pull(-30, 20);
    letGo(-30, 20);
    const halfway = at(one);
    run.advanceTo(run.now + 60);
    expect(at(one)?.[0]).toBeGreaterThan(halfway?.[0] ?? NaN);
    run.advanceTo(run.now + 1000);
    expect([at(one), box(one)?.values.rotation]).toEqual([[100, 100], 0]);
    expect(run.variant()[front.id]).not.toBe(front.v.two);
  });

  it("let go far enough flies off the way it was thrown, and comes anew in its new place", () => {
    const { run, one, two, grab, pull, letGo, front } = deck();
    grab();
    pull(-90, -45, 180);
    letGo(-90, -45);
    expect(run.variant()[front.id]).toBe(front.v.two);
    const all = () => {
      const root = boxAt(run.scene() as LayoutBox, "root");
      return (root?.children ?? []).filter((c) => c.layer.id === one);
    };
    run.advanceTo(run.now + 100);
    const [anew, ghost] = all().sort((a, b) => b.y - a.y);
    // up and to the left, at the hand's speed of half a px a ms across
    expect(ghost?.x).toBeLessThan(-30);
    expect(ghost?.y).toBeLessThan(45);
    expect([anew?.x, anew?.y]).toEqual([100, 120]);
    expect(anew?.presence).toBeGreaterThan(0);
    expect(anew?.presence).toBeLessThan(1);
    run.advanceTo(run.now + 2000);
    expect(all().map((c) => [c.x, c.y, c.presence])).toEqual([[100, 120, 1]]);
    expect(boxAt(run.scene() as LayoutBox, two)).toMatchObject({ y: 100 });
    expect(run.wakesAt()).toBe(Infinity);
  });

  it("fades instead for people who asked for less motion", () => {
    const { run, one, grab, pull, letGo } = deck();
    run.setCalm(true);
    grab();
    pull(-90, 0, 180);
    letGo(-90, 0);
    run.advanceTo(run.now + 50);
    const root = boxAt(run.scene() as LayoutBox, "root");
    const xs = root?.children.filter((c) => c.layer.id === one).map((c) => c.x);
    expect(xs?.every((x) => x > 0)).toBe(true);
  });

  it("in a copy that is shown larger goes as far as the hand", () => {
    const { one, at, grab, pull } = deck(2);
    grab();
    pull(-40, 30);
    expect(at(one)).toEqual([60, 130]);
  });
});
