import { describe, expect, it } from "vitest";
import { editedValue } from "#core/edit";

const glide = { token: "glide" };
const shade = { token: "shade" };
const drop = (y: number, colour: unknown) => ({ x: 0, y, blur: 4, spread: 0, colour });

describe("a token's value that is changed by hand", () => {
  it("goes on taking the parts that stay from other tokens", () => {
    const said = { type: "motion", value: { duration: 200, easing: glide } } as const;
    const before = { duration: 200, easing: "ease-in-out" };
    const slower = editedValue(said, before, { duration: 300, easing: "ease-in-out" });
    expect(slower).toEqual({ duration: 300, easing: glide });
    const other = editedValue(said, before, { duration: 200, easing: "linear" });
    expect(other).toEqual({ duration: 200, easing: "linear" });
  });

  it("keeps them for each shadow, also when another one went", () => {
    const said = {
      type: "shadow",
      value: [drop(1, "#112233"), drop(8, shade)] as never,
    } as const;
    const before = [drop(1, "#112233"), drop(8, "#445566")];
    const lower = [drop(1, "#112233"), drop(12, "#445566")] as never;
    expect(editedValue(said, before, lower)).toEqual([drop(1, "#112233"), drop(12, shade)]);
    const one = [drop(8, "#445566")] as never;
    expect(editedValue(said, before, one)).toEqual([drop(8, shade)]);
  });

  it("is what it is where it was an alias, or nothing is bound", () => {
    const alias = { type: "length", value: { alias: "gap" } } as const;
    expect(editedValue(alias, 8, 12)).toBe(12);
    expect(editedValue({ type: "colour", value: "#112233" }, "#112233", "#445566")).toBe("#445566");
  });
});
