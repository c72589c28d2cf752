import fc from "fast-check";
import { afterEach, describe, expect, it, vi } from "vitest";
import { focusStops, rulesOf } from "#core/machine";
import { ROOT, inOrder } from "#core/project";
import type { Motion, Piece, Project } from "#core/project";
import { writeScxml } from "#core/formats/scxml";
import { bellOfVariants } from "../../../tests/support/bell";
import { kelpwayKit } from "#demo";
import { Twins } from "../../../tests/support/chart/chart";
import { ChartClock } from "../../../tests/support/chart/clock";
import { Builder } from "../../../tests/support/pieces";

afterEach(() => {
  vi.unstubAllGlobals();
});

/** A chart and the machine, the chart waiting by a clock of its own from its first moment on. */
const twinsOf = async (project: Project, piece: Piece): Promise<Twins> => {
  const clock = new ChartClock();
  const begin = await Twins.of(project, piece, clock);
  vi.stubGlobal("setTimeout", clock.setTimeout);
  vi.stubGlobal("clearTimeout", clock.clearTimeout);
  return begin();
};
const cut: Motion = { kind: "cut", duration: 0, delay: 0, easing: "linear" };

/** Numbers from 0 to 1, the same for the same seed (Park and Miller 1988). */
const dice = (seed: number) => {
  let s = seed;
  return () => (s = (s * 48271) % 2147483647) / 2147483647;
};

/**
 * Does things to both, by chance, and compares after each, as long as charts mean the same: not once
 * waits have competed.
 */
const drive = (
  twins: Twins,
  project: Project,
  piece: Piece,
  random: () => number,
  steps: number,
): void => {
  const layers = [
    ...new Set([...rulesOf(project, piece).map((r) => r.source ?? ROOT), ROOT]),
  ].filter((id) => piece.layers[id]?.kind !== "instance");
  const keys = [
    "Enter",
    " ",
    ...rulesOf(project, piece).flatMap((r) =>
      r.trigger.type === "key" ? [r.trigger.key ?? ""] : [],
    ),
  ];
  const one = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
  for (let i = 0; i < steps; i++) {
    const what = random();
    if (what < 0.3)
      twins.input({ type: "over", layer: random() < 0.2 ? null : (one(layers) ?? null) });
    else if (what < 0.45) twins.input({ type: "down" });
    else if (what < 0.65) twins.input({ type: "up" });
    else if (what < 0.67) twins.input({ type: "cancel" });
    else if (what < 0.75)
      twins.input({
        type: "focus",
        layer: random() < 0.3 ? null : (one(focusStops(project, twins.state)) ?? null),
      });
    else if (what < 0.85) {
      const key = one(keys) ?? "Enter";
      twins.input({ type: "key", key, phase: "down" });
      if (random() < 0.7) twins.input({ type: "key", key, phase: "up" });
    } else twins.wait(Math.ceil(random() * 500));
    if (twins.competed) return;
    const { machine, chart } = twins.variants;
    expect({ piece: piece.name, step: i, ...chart }).toEqual({
      piece: piece.name,
      step: i,
      ...machine,
    });
  }
};

describe("behaviour as SCXML", () => {
  it("of every part of the kit runs alike in an independent interpreter", async () => {
    const kit = kelpwayKit();
    const random = dice(4711);
    let steps = 0;
    for (const piece of inOrder(kit.pieces)) {
      if (rulesOf(kit, piece).length === 0 || Object.keys(piece.traits).length === 0) continue;
      const twins = await twinsOf(kit, piece);
      drive(twins, kit, piece, random, 400);
      steps += twins.steps;
      vi.unstubAllGlobals();
    }
    expect(steps).toBeGreaterThan(4500);
  }, 60_000);

  it("of generated components runs alike, with undoing, waits, rivals and nesting", async () => {
    let steps = 0;
    const trigger = fc.constantFrom(
      "click",
      "double",
      "press",
      "release",
      "enter",
      "leave",
      "hover",
      "focus",
      "blur",
      "key",
      "settled",
      "delay",
    );
    const rule = fc.record({
      trigger,
      on: fc.nat(3),
      undo: fc.boolean(),
      effects: fc.array(
        fc.record({
          trait: fc.nat(2),
          step: fc.constantFrom("next", "opposite", "first", "previous"),
        }),
        { minLength: 1, maxLength: 2 },
      ),
      by: fc.constantFrom("keys" as const, "any" as const),
      ms: fc.integer({ min: 1, max: 300 }),
      when: fc.option(fc.tuple(fc.nat(2), fc.nat(1))),
      tween: fc.integer({ min: 30, max: 300 }),
    });
    await fc.assert(
      fc.asyncProperty(
        fc.array(rule, { minLength: 1, maxLength: 8 }),
        fc.integer({ min: 1, max: 1e6 }),
        async (rules, seed) => {
          const b = new Builder();
          b.new("component", "Buoy");
          const body = b.layer("box");
          const lamp = b.layer("ellipse", {}, body);
          const flag = b.layer("box");
          const layers = [body, lamp, flag, null];
          const traits = [
            b.trait("Step", "one", "two", "three"),
            b.trait("Lit", "no", "yes"),
            b.trait("Tide", "low", "mid", "high"),
          ];
          rules.forEach((r, i) => {
            const t = traits[r.when?.[0] ?? 0] as (typeof traits)[0];
            // waits of different lengths: two that end at one moment are told one after the other
            // there
            b.rule({
              source: layers[r.on] ?? null,
              trigger: {
                type: r.trigger as "click",
                ms: 37 + i * 41 + (r.ms % 29),
                key: "a",
                by: r.by,
              },
              when: r.when ? { [t.id]: [Object.values(t.v)[r.when[1]] as string] } : {},
              undo: r.undo && ["hover", "press", "focus"].includes(r.trigger),
              effects: r.effects.map((e) => ({
                type: "set",
                trait: (traits[e.trait] as (typeof traits)[0]).id,
                to: { step: e.step as "next" },
              })),
              motion: { ...cut, kind: "tween", duration: r.tween },
            });
          });
          const twins = await twinsOf(b.project, b.piece);
          try {
            drive(twins, b.project, b.piece, dice(seed), 90);
            steps += twins.steps;
          } finally {
            vi.unstubAllGlobals();
          }
        },
      ),
      { numRuns: 80 },
    );
    expect(steps).toBeGreaterThan(6000);
  }, 90_000);

  it("is one region for each trait, with conditions as In(), delays that can be cancelled, and signals as events", () => {
    const kit = kelpwayKit();
    const chooser = writeScxml(kit, kit.pieces["seat-side-chooser"] as Piece);
    const bell = writeScxml(kit, bellOfVariants("a0"));
    expect(chooser).toContain('<send event="signal.middle" target="#_parent"/>');
    expect(bell.match(/<state id="T_/g)).toHaveLength(4);
    expect(bell).toContain("In('V_rings.rings-no')");
    expect(bell).toMatch(/<send event="due\.wiggle-left" delay="80ms" id="W_wiggle-left\.send"\/>/);
    expect(bell).toContain('<cancel sendid="W_wiggle-left.send"/>');
  });

  it("names that mean something in XML do not break it", () => {
    const b = new Builder();
    b.new("component", 'Buoy "<&>" -- 1');
    const t = b.trait("Lit -- <yes>", "a & b", '"c"');
    b.rule({
      effects: [
        { type: "set", trait: t.id, to: { step: "next" } },
        { type: "address", to: "https://kelpway.example/?a=1&b='2'" },
      ],
    });
    expect(
      () =>
        new Twins(
          b.project,
          b.piece,
          { start: () => undefined, gen: () => undefined, getConfiguration: () => [] },
          new ChartClock(),
        ),
    ).not.toThrow();
    return expect(Twins.of(b.project, b.piece, new ChartClock())).resolves.toBeTruthy();
  });
});
