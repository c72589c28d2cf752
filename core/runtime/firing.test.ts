import { beforeAll, describe, expect, it } from "vitest";
import { findBox, layout } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { Resolver, restingVariant, variantName, variantsOf } from "#core/looks";
import { between, rulesOf } from "#core/machine";
import { Change, restacks } from "#core/motion";
import { inOrder } from "#core/project";
import type { Motion, Piece, Rule } from "#core/project";
import { Run, firing } from "#core/runtime";
import { kelpwayKit } from "../../demo/index";
import { testEnv } from "../../tests/support/env";
import { Builder } from "../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});
const tween = (duration: number): Motion => ({
  kind: "tween",
  duration,
  delay: 0,
  easing: "linear",
});

/**
 * A lamp that lights and turns on one click, the turning in a time of its own, and lights a copy
 * inside it.
 */
const lamp = () => {
  const b = new Builder();
  const small = b.new("component", "Small lamp");
  const glows = b.trait("Glows", "no", "yes");
  const bulb = b.layer("box", { width: 10, height: 10, opacity: 0.2 });
  b.look({ [glows.id]: [glows.v.yes as string] }, bulb, { opacity: 1 });
  const id = b.new("component", "Lamp");
  const lit = b.trait("Lit", "no", "yes");
  const turned = b.trait("Turned", "no", "yes");
  const hood = b.layer("box", { width: 20, height: 20, opacity: 0.5 });
  const copy = b.layer("instance", { component: small, x: 40 });
  b.look({ [lit.id]: [lit.v.yes as string] }, hood, { opacity: 1 });
  b.look({ [turned.id]: [turned.v.yes as string] }, hood, { rotation: 90 });
  const yes = (t: { id: string; v: Record<string, string> }) => ({ value: t.v.yes as string });
  const rule = b.rule({
    effects: [
      { type: "set", trait: lit.id, to: yes(lit) },
      { type: "set", trait: turned.id, to: yes(turned), motion: tween(400) },
      { type: "nested", layer: copy, trait: glows.id, to: yes(glows) },
    ],
    motion: tween(100),
  });
  return { b, id, hood, copy, bulb, lit, rule: b.piece.rules[rule] as Rule };
};

describe("what a rule shows when it fires", () => {
  it("is all its effects, those with a motion of their own in their own time, also inside copies", () => {
    const { b, id, hood, copy, bulb, rule } = lamp();
    const fired = firing(env, b.project, b.piece, rule, restingVariant(b.piece), new Resolver());
    expect(fired?.moves.map((m) => m.motion.duration).sort()).toEqual([100, 100, 400]);
    const change = new Change(fired?.from as never, fired?.moves ?? [], id);
    const at = (ms: number) => {
      const scene = change.frame(ms);
      const h = findBox(scene, hood)?.placed.values;
      const inside = findBox(scene, copy)?.placed.nested;
      return [h?.opacity, h?.rotation, inside && findBox(inside, bulb)?.placed.values.opacity].map(
        (n) => Math.round(Number(n) * 1e6) / 1e6,
      );
    };
    expect([at(0), at(50), at(100), at(400)]).toEqual([
      [0.5, 0, 0.2],
      [0.75, 11.25, 0.6],
      [1, 22.5, 1],
      [1, 90, 1],
    ]);
  });

  it("is null for a rule that is off, and leaves what waits for its time alone", () => {
    const { b, rule } = lamp();
    expect(
      firing(
        env,
        b.project,
        { ...b.piece, rules: { [rule.id]: { ...rule, on: false } } },
        { ...rule, on: false },
        restingVariant(b.piece),
        new Resolver(),
      ),
    ).toBeNull();
  });

  it("is what the running piece shows, for every click of the kit", () => {
    const kit = kelpwayKit();
    let looked = 0;
    for (const piece of inOrder(kit.pieces))
      for (const rule of rulesOf(kit, piece).filter(
        (r) =>
          r.trigger.type === "key" && r.motion.kind !== "cut" && Object.keys(r.when).length === 0,
      )) {
        const fired = firing(env, kit, piece, rule, restingVariant(piece), new Resolver());
        const run = new Run(env, kit, piece.id);
        if (
          !fired ||
          Object.values(piece.rules).some(
            (r) => r.trigger.type === "delay" || r.trigger.type === "focus",
          ) ||
          fired.moves.length === 0
        )
          continue;
        run.input({ type: "focus", layer: rule.source });
        run.key(rule.trigger.key ?? "", "down");
        if (run.variant() === restingVariant(piece)) continue;
        run.advanceTo(120);
        const change = new Change(fired.from, fired.moves, piece.id);
        const scene = run.scene();
        const values = (at: typeof scene, layer: string) => {
          const p = at && findBox(at, layer)?.placed;
          return p && [p.x, p.width, p.presence, p.values.opacity, p.values.fill];
        };
        for (const layer of Object.keys(piece.layers))
          expect(values(change.frame(120), layer), `${piece.name}: ${layer}`).toEqual(
            values(scene, layer),
          );
        looked++;
      }
    expect(looked).toBeGreaterThan(1);
  });

  it("leads to other screens with their motion", () => {
    const kit = kelpwayKit();
    const pier = kit.pieces["saltholm-pier"] as Piece;
    const rule = rulesOf(kit, pier).find((r) => r.id === "to-gull") as Rule;
    const fired = firing(env, kit, pier, rule, restingVariant(pier), new Resolver());
    expect(fired?.moves.map((m) => [m.motion.kind, m.subject])).toEqual([["slide", "ticket"]]);
  });
});

describe("two variants", () => {
  it("rules that lead straight from one to the other are found", () => {
    const kit = kelpwayKit();
    const panel = kit.pieces["fare-panel"] as Piece;
    const [single, season] = variantsOf(panel);
    expect(between(panel, rulesOf(kit, panel), single as never, season as never)).toHaveLength(1);
    expect(between(panel, rulesOf(kit, panel), single as never, single as never)).toEqual([]);
    expect(variantName(panel, season as never)).toBe("Season pass");
  });

  it("one sees whether layers change places in depth", () => {
    const b = new Builder();
    b.new("component", "Deck");
    const top = b.trait("Top", "one", "two");
    const one = b.layer("box", { stack: 1 });
    b.layer("box");
    b.look({ [top.id]: [top.v.two as string] }, one, { stack: -1 });
    const [p, q] = variantsOf(b.piece).map((v) =>
      layout(env, new Resolver().tree(b.project, b.at, v) as never),
    );
    expect([restacks(p as never, q as never), restacks(p as never, p as never)]).toEqual([
      true,
      false,
    ]);
  });
});
