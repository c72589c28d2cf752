import { describe, expect, it } from "vitest";
import { addUsualRule, setRule } from "#core/edit";
import type { Motion, Piece } from "#core/project";
import { Builder, becomes } from "../../../tests/support/pieces";

const begun = (kind: Piece["kind"] = "component") => {
  const b = new Builder();
  b.new(kind, "Buoy");
  const add = () => {
    const made = addUsualRule(b.project, b.piece, null);
    b.do(made.change);
    return b.piece.rules[made.id];
  };
  return { b, add };
};

describe("a new rule", () => {
  it("turns the first trait on: two values over, more to the next", () => {
    const { b, add } = begun();
    const two = b.trait("Lit", "no", "yes");
    expect(add()?.effects).toEqual([{ type: "set", trait: two.id, to: { step: "opposite" } }]);
    const other = begun();
    const three = other.b.trait("Step", "one", "two", "three");
    expect(other.add()?.effects).toEqual([{ type: "set", trait: three.id, to: { step: "next" } }]);
  });

  it("is never empty: a piece without traits gets one, a screen goes to another", () => {
    const { b, add } = begun();
    expect(add()?.effects).toHaveLength(1);
    expect(Object.values(b.piece.traits).map((t) => t.name)).toEqual(["On"]);
    const screens = begun("screen");
    const first = screens.b.at;
    screens.b.new("screen", "Pier");
    expect(screens.add()?.effects).toEqual([{ type: "go", screen: first }]);
  });

  it("moves as the last one that moved, not as a cut", () => {
    const { b, add } = begun();
    const lit = b.trait("Lit", "no", "yes");
    const effects = [becomes(lit.id, lit.v.yes as string)];
    const motion: Motion = { kind: "fade", duration: 90, delay: 0, easing: "linear" };
    b.rule({ effects, motion });
    b.rule({ effects });
    expect(add()?.motion).toEqual(motion);
  });

  it("is undone when it ends as soon as it listens for hovering, pressing or the focus", () => {
    const { b, add } = begun();
    const rule = add();
    if (!rule) throw new Error("no rule");
    const to = (type: "hover" | "click" | "hold" | "press") => {
      b.do(setRule(b.piece, rule.id, { trigger: { type } }));
      return b.piece.rules[rule.id]?.undo;
    };
    expect([to("hover"), to("click"), to("hold"), to("press")]).toEqual([
      true,
      false,
      false,
      false,
    ]);
    expect(to("click")).toBe(false);
    expect(to("press")).toBe(true);
    // said by hand, it stays so from one contact to another
    b.do(setRule(b.piece, rule.id, { undo: false }));
    expect(to("hover")).toBe(false);
  });

  it("loses its own time of the way back when that is taken away", () => {
    const { b, add } = begun();
    const rule = add();
    if (!rule) throw new Error("no rule");
    b.do(setRule(b.piece, rule.id, { back: rule.motion }));
    expect(b.piece.rules[rule.id]?.back).toEqual(rule.motion);
    b.do(setRule(b.piece, rule.id, { back: undefined }));
    expect(b.piece.rules[rule.id]).not.toHaveProperty("back");
  });
});
