import { beforeAll, describe, expect, it } from "vitest";
import { findBox, spotAt, spotBounds, spotOf } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { kelpwayKit } from "../../../demo/index";
import { benchWith } from "../../../tests/support/bench";
import { testEnv } from "../../../tests/support/env";
import { Arranging } from "./arranging";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

/** A panel with a copy of the kit's switch, shown twice as large. */
const withScaledCopy = () =>
  benchWith(env, (b) => {
    const kit = kelpwayKit();
    b.project = { ...kit, pieces: { ...kit.pieces, ...b.project.pieces } };
    return b.layer("instance", {
      component: "alert-switch",
      x: 10,
      y: 20,
      width: 370,
      widthMode: "fixed",
      resizing: "scale",
    });
  });

describe("making plain layers of a copy", () => {
  it("that is scaled leaves all of it as large as it was shown, as one step of undo", () => {
    const { bench, made: copy } = withScaledCopy();
    const before = spotAt(bench.scene, `${copy}/knob`);
    const knob = before && spotBounds(before);
    expect(knob?.width).toBeGreaterThan(50);
    bench.state.choose([copy]);
    new Arranging(bench.workpiece).detach();
    const plain = Object.values(bench.piece.layers).find((l) => l.name === "Knob");
    const after = spotOf(bench.scene, plain?.id ?? "");
    const now = after && spotBounds(after);
    for (const side of ["x", "y", "width", "height"] as const)
      expect(now?.[side], side).toBeCloseTo(knob?.[side] ?? NaN, 0);
    bench.undo();
    expect(findBox(bench.scene, copy)?.placed.layer.kind).toBe("instance");
  });
});
