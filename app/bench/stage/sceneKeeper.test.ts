import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from "vitest";
import type { LayoutEnv } from "#core/layout";
import { setValues } from "#core/edit";
import { variantsOf } from "#core/looks";
import { kelpwayKit } from "../../../demo/index";
import { Bench } from "../../../tests/support/bench";
import { testEnv } from "../../../tests/support/env";
import { cardKey } from "../state/active";
import { SceneKeeper } from "./sceneKeeper";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

/** The kit's switch with all its cards near, and what keeps them drawn. */
const stage = () => {
  const bench = new Bench(env, kelpwayKit(), "alert-switch");
  const { piece, workpiece, store } = bench;
  const variants = variantsOf(piece);
  const keys = variants.map((v) => cardKey(piece, v));
  for (const key of keys) store.getState().cardNear(key, true);
  const keeper = new SceneKeeper(env, workpiece.session, store, workpiece.scenes, variants);
  const stop = keeper.keep();
  const told: string[] = [];
  for (const key of keys) workpiece.scenes.subscribe(key, () => told.push(key));
  const move = (x: number, when = {}) =>
    workpiece.run((_, now) => setValues(now, when, { knob: { x } }));
  return { bench, keys, told, move, stop, scenes: workpiece.scenes, store };
};

describe("the cards in sight", () => {
  beforeEach(() => vi.stubGlobal("window", globalThis));
  afterEach(() => vi.unstubAllGlobals());

  it("are laid out anew with every edit that shows on them, and only those", () => {
    const { keys, told, move, scenes } = stage();
    const before = keys.map((key) => scenes.get(key));
    move(7, { alerts: ["alerts-off"] });
    const off = keys.filter((key) => key.includes("alerts-off"));
    expect(off.length).toBeGreaterThan(0);
    expect([...told].sort()).toEqual([...off].sort());
    const changed = keys.filter((key, i) => scenes.get(key) !== before[i]);
    expect(changed.sort()).toEqual([...off].sort());
  });

  it("stay as they looked while they are out of sight, and follow when they come near", () => {
    const { bench, keys, told, move, scenes, store } = stage();
    const looked = cardKey(bench.piece, bench.workpiece.active?.variant ?? {});
    const away = keys.find((key) => key !== looked) ?? "";
    store.getState().cardNear(away, false);
    const before = scenes.get(away);
    move(9);
    expect(told).not.toContain(away);
    expect(scenes.get(away)).toBe(before);
    store.getState().cardNear(away, true);
    expect(scenes.get(away)).not.toBe(before);
  });

  it("are not drawn any more once nobody keeps them", () => {
    const { told, move, stop } = stage();
    stop();
    move(11);
    expect(told).toEqual([]);
  });
});
