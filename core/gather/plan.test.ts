import { describe, expect, it } from "vitest";
import { planFromNames, withOneMoreTrait, withTraitName, withValue, withoutTrait } from "./index";

const plan = planFromNames(["Ferry button/off", "Ferry button/on"]);

describe("a plan corrected by hand", () => {
  it("takes another value and knows which values its trait has then", () => {
    const next = withValue(plan, 1, 0, "boarding");
    expect(next.rows).toEqual([["off"], ["boarding"]]);
    expect(next.traits[0]?.values).toEqual(["off", "boarding"]);
    expect(plan.rows[1]).toEqual(["on"]);
  });

  it("leaves out what is empty", () => {
    expect(withValue(plan, 1, 0, "").traits[0]?.values).toEqual(["off"]);
  });

  it("renames a trait and keeps its values", () => {
    const next = withTraitName(plan, 0, "Alerts");
    expect(next.traits.map((t) => t.name)).toEqual(["Alerts"]);
    expect(next.traits[0]?.values).toEqual(plan.traits[0]?.values);
  });

  it("has one more trait, in which all drawings differ, and takes it back", () => {
    const more = withOneMoreTrait(plan);
    expect(more.traits).toHaveLength(plan.traits.length + 1);
    expect(more.traits.at(-1)?.values).toEqual(["1", "2"]);
    expect(new Set(more.traits.map((t) => t.name)).size).toBe(more.traits.length);
    expect(withoutTrait(more, 1)).toEqual(plan);
  });
});
