import { describe, expect, it } from "vitest";
import { addToken, emptyProject, untied, withLane, withPart } from "#core/edit";
import { apply } from "#core/project";
import type { Motion } from "#core/project";

const motion: Motion = { kind: "tween", duration: 200, delay: 0, easing: "linear" };

const given = () => {
  const empty = emptyProject("Pier");
  const calm = addToken(empty, "duration", "Calm", 340);
  const project = apply(empty, calm.change.ops).doc;
  const swell = addToken(project, "curve", "Swell", "ease-in-out");
  const { tokens } = apply(project, swell.change.ops).doc;
  return { tokens, calm: calm.id, swell: swell.id };
};

describe("a part of a motion", () => {
  it("takes the value of the token it follows, and keeps it when it follows none", () => {
    const { tokens, calm, swell } = given();
    const tied = withPart(tokens, motion, "duration", calm);
    expect(tied).toEqual({ ...motion, duration: 340, parts: { duration: calm } });
    const both = withPart(tokens, tied, "easing", swell);
    expect(both).toMatchObject({ easing: "ease-in-out", parts: { duration: calm, easing: swell } });
    const one = withPart(tokens, both, "duration", null);
    expect(one).toMatchObject({ duration: 340, parts: { easing: swell } });
    expect(withPart(tokens, one, "easing", null).parts).toBeUndefined();
  });

  it("follows no token of another type, and none that is gone", () => {
    const { tokens, swell } = given();
    expect(withPart(tokens, motion, "duration", swell)).toBe(motion);
    expect(withPart(tokens, motion, "delay", "gone")).toBe(motion);
  });

  it("that is changed by hand follows its token no more, the others do", () => {
    const { tokens, calm, swell } = given();
    const tied = withPart(tokens, withPart(tokens, motion, "duration", calm), "easing", swell);
    expect(untied(tied, { ...tied, duration: 100 }).parts).toEqual({ easing: swell });
    expect(untied(tied, { ...tied, delay: 60 })).toMatchObject({ delay: 60, parts: tied.parts });
    expect(untied(motion, tied)).toEqual(tied);
  });

  it("is of a lane, too: one that is dragged says its time itself", () => {
    const { tokens, calm } = given();
    const name = { layer: "knob", key: null };
    const tied = withLane(motion, name, withPart(tokens, { ...motion }, "delay", calm));
    expect(tied.lanes?.[0]).toMatchObject({ delay: 340, parts: { delay: calm } });
    expect(withLane(tied, name, { delay: 20 }).lanes?.[0]?.parts).toBeUndefined();
  });
});
