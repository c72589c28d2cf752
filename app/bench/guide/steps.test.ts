import { describe, expect, it } from "vitest";
import type { Variant } from "#core/project";
import { Builder, becomes } from "../../../tests/support/pieces";
import { STEPS, stepOf } from "./steps";

describe("the guide to a first switch", () => {
  it("goes on as soon as a step is done, and back when that is undone", () => {
    const b = new Builder();
    b.new("component", "Switch");
    let running: Variant = {};
    const at = () => stepOf({ project: b.project, piece: b.piece, running });
    const seen = [at()];
    const pill = b.layer("box", { width: 64, height: 36 });
    seen.push(at());
    b.look({}, pill, { radius: [18, 18, 18, 18] });
    seen.push(at());
    const knob = b.layer("ellipse", { x: 4, y: 4, width: 28, height: 28 });
    seen.push(at());
    const on = b.trait("On", "off", "on");
    seen.push(at());
    const isOn = { [on.id]: [on.v.on as string] };
    b.look(isOn, knob, { x: 32 });
    seen.push(at());
    b.look(isOn, pill, { fill: "#2c9a70" });
    seen.push(at());
    b.rule({ effects: [becomes(on.id, on.v.on as string)] });
    seen.push(at());
    running = { [on.id]: on.v.on as string };
    seen.push(at());
    expect(seen).toEqual([0, 1, 2, 3, 4, 5, 6, 7, STEPS]);
    b.look(isOn, knob, { x: 4 });
    expect(at()).toBe(4);
  });
});
