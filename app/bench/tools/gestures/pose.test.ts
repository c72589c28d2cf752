import { beforeAll, describe, expect, it } from "vitest";
import type { LayoutEnv } from "#core/layout";
import { HERE } from "#core/properties";
import { benchWith } from "../../../../tests/support/bench";
import { testEnv } from "../../../../tests/support/env";
import type { Posing } from "../../state/view";
import { posedScene, poseOf } from "../../commands/posing";
import { PoseHand, cornersOf, middleOf } from "./pose";
import type { PoseGrip } from "./pose";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

/** A bubble of 60 × 40 at 100, 50, and a hand that sets the pose it comes from. */
const bubble = (key: Posing["key"] = "comesFrom") => {
  const { bench, made } = benchWith(env, (b) =>
    b.layer("box", { x: 100, y: 50, width: 60, height: 40 }),
  );
  const posing: Posing = { layer: made, key };
  const drag = (
    grip: PoseGrip,
    from: readonly [number, number],
    to: readonly [number, number],
    shift = false,
  ) => {
    const hand = new PoseHand(bench.edits, bench.scene, posing, grip, from);
    hand.to(to, shift);
    hand.end();
  };
  const pose = () => bench.values(made)[key];
  return { bench, posing, layer: made, drag, pose };
};

describe("setting on the stage where a layer comes from", () => {
  it("drags it there from where it is; a fade keeps fading", () => {
    const { drag, pose, bench, posing } = bubble();
    drag("place", [120, 60], [100, 95]);
    expect(pose()).toEqual({ ...HERE, x: -20, y: 35, opacity: 0 });
    drag("place", [0, 0], [5, 5]);
    expect(poseOf(bench.scene, posing)).toMatchObject({ x: -15, y: 40 });
  });

  it("keeps to one direction with Shift", () => {
    const { drag, pose } = bubble();
    drag("place", [0, 0], [4, 30], true);
    expect(pose()).toMatchObject({ x: 0, y: 30 });
  });

  it("sizes it about its middle by twentieths, also from nothing", () => {
    const { drag, pose } = bubble();
    drag("size", [160, 90], [145, 80]);
    expect(pose()).toMatchObject({ scale: [0.5, 0.5] });
    drag("size", [145, 80], [130, 70]);
    expect(pose()).toMatchObject({ scale: [0, 0] });
    drag("size", [130.5, 70], [155.5, 70]);
    expect(pose()).toMatchObject({ scale: [0.5, 0.5] });
  });

  it("turns it about its middle, the long way round, too", () => {
    const { drag, pose } = bubble();
    drag("turn", [80, 70], [130, 20]);
    expect(pose()).toMatchObject({ rotation: 90 });
  });

  it("is one step of undo for each drag, and moves by keys", () => {
    const { bench, posing, drag, pose, layer } = bubble("goesTo");
    drag("place", [0, 0], [10, 0]);
    new PoseHand(bench.edits, bench.scene, posing, "place", [0, 0]).nudge(0, 10);
    expect(pose()).toMatchObject({ x: 10, y: 10 });
    bench.undo();
    expect(pose()).toMatchObject({ x: 10, y: 0 });
    bench.undo();
    expect(bench.values(layer).goesTo).toBe("as it came");
  });

  it("shows it there, clear enough to be seen", () => {
    const { bench, posing, layer, drag } = bubble();
    drag("place", [0, 0], [-50, 20]);
    const scene = posedScene(bench.scene, posing);
    expect(middleOf(cornersOf(scene, layer) ?? [])).toEqual([80, 90]);
    expect(scene.children[0]?.values.opacity).toBeGreaterThan(0.3);
  });
});
