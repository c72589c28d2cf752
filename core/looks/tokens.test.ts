import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  boundValue,
  isAlias,
  tokenValueOf,
  resolveTokens,
  tokenValue,
  tokensFor,
} from "#core/looks";
import type { Token, TokenType } from "#core/project";
import { property, registry } from "#core/properties";
import type { Property } from "#core/properties";

const token = (id: string, type: TokenType, value: Token["value"]): Token => ({
  id,
  name: id,
  type,
  order: "a0",
  group: "",
  value,
});
const table = (...list: readonly Token[]): Record<string, Token> =>
  Object.fromEntries(list.map((t) => [t.id, t]));
const propertyOf = (key: string): Property => {
  const found = property(key);
  if (!found) throw new Error(key);
  return found;
};

const tokens = table(
  token("pine", "colour", "#1f6f5c"),
  token("brand", "colour", { alias: "pine" }),
  token("button", "colour", { alias: "brand" }),
  token("snug", "number", 8),
  token("lost", "colour", { alias: "gone" }),
  token("odd", "colour", { alias: "snug" }),
  token("round1", "colour", { alias: "round2" }),
  token("round2", "colour", { alias: "round1" }),
  token("self", "number", { alias: "self" }),
  token("quick", "motion", { kind: "tween", duration: 120, delay: 0, easing: "ease" }),
  token("sunset", "gradient", {
    kind: "linear",
    angle: 90,
    stops: [
      { at: 0, colour: "#1f6f5c" },
      { at: 1, colour: "#e3b341" },
    ],
  }),
  token("heading", "style", { size: { token: "snug" }, weight: "700", fontless: "x" }),
);

describe("tokens that stand for others", () => {
  it("have the value at the end of the chain", () => {
    expect(tokenValue(tokens, "button")).toBe("#1f6f5c");
    expect(tokenValue(tokens, "pine")).toBe("#1f6f5c");
    expect(isAlias(tokens.button?.value ?? "")).toBe(true);
    expect(isAlias(tokens.sunset?.value ?? "")).toBe(false);
  });

  it("have none when it is gone, of another type, or leads round in a circle", () => {
    for (const id of ["lost", "odd", "round1", "round2", "self", "nobody"])
      expect([id, tokenValue(tokens, id)]).toEqual([id, undefined]);
  });

  it("end whatever they refer to: no chain is followed for ever", () => {
    const ids = ["a", "b", "c", "d", "e"];
    const next = fc.array(fc.constantFrom(...ids, "gone", null), { minLength: 5, maxLength: 5 });
    fc.assert(
      fc.property(next, (list) => {
        const made = table(
          ...ids.map((id, i) => {
            const to = list[i];
            return token(id, "number", to ? { alias: to } : i);
          }),
        );
        for (const id of ids) {
          const value = tokenValue(made, id);
          expect(value === undefined || typeof value === "number").toBe(true);
        }
      }),
    );
  });

  it("say a motion only when they are of that type", () => {
    expect(tokenValueOf(tokens, "motion", "quick")).toMatchObject({ duration: 120 });
    for (const id of ["pine", "sunset", "heading", "nobody"])
      expect(tokenValueOf(tokens, "motion", id)).toBeUndefined();
  });
});

describe("a property that is bound", () => {
  it("takes the token's value, a number for every corner", () => {
    expect(boundValue(tokens, propertyOf("fill"), { token: "button" })).toBe("#1f6f5c");
    expect(boundValue(tokens, propertyOf("radius"), { token: "snug" })).toEqual([8, 8, 8, 8]);
    expect(boundValue(tokens, propertyOf("width"), { token: "snug" })).toBe(8);
    expect(boundValue(tokens, propertyOf("width"), 12)).toBe(12);
  });

  it("takes the nearest number it can have: one that no property could say is never shown", () => {
    const far = table(token("far", "number", -40), token("high", "number", 9000));
    expect(boundValue(far, propertyOf("opacity"), { token: "high" })).toBe(1);
    expect(boundValue(far, propertyOf("width"), { token: "far" })).toBe(0);
    expect(boundValue(far, propertyOf("scale"), { token: "high" })).toEqual([100, 100]);
  });

  it("takes nothing from a token of a type that does not suit it", () => {
    for (const [key, id] of [
      ["width", "pine"],
      ["fill", "snug"],
      ["borderColour", "sunset"],
      ["visible", "snug"],
      ["fill", "gone"],
    ] as const)
      expect([key, boundValue(tokens, propertyOf(key), { token: id })]).toEqual([key, undefined]);
  });

  it("of every kind is offered only tokens whose values it takes", () => {
    for (const { key, type } of registry)
      for (const t of Object.values(tokens)) {
        const value = boundValue(tokens, { key, type }, { token: t.id });
        const suits =
          tokensFor({ key, type }).includes(t.type) && tokenValue(tokens, t.id) !== undefined;
        expect([key, t.id, value !== undefined]).toEqual([key, t.id, suits]);
      }
  });
});

describe("what a look says", () => {
  const named = { tokens, assets: {} };

  it("is given back as it is when it refers to nothing", () => {
    const changes = { fill: "#ffffff", width: 12 };
    expect(resolveTokens(named, changes)).toBe(changes);
  });

  it("has tokens put in, the same object each time", () => {
    const changes = { fill: { token: "button" }, width: 12, x: { token: "gone" } };
    const resolved = resolveTokens(named, changes);
    expect(resolved).toEqual({ fill: "#1f6f5c", width: 12 });
    expect(resolveTokens(named, changes)).toBe(resolved);
    expect(resolveTokens({ ...named }, changes)).toBe(resolved);
  });

  it("changes with the tokens, and not with anything else", () => {
    const changes = { fill: { token: "button" } };
    const other = { ...tokens, pine: token("pine", "colour", "#000000") };
    expect(resolveTokens({ tokens: other, assets: {} }, changes)).toEqual({ fill: "#000000" });
    expect(resolveTokens(named, changes)).toEqual({ fill: "#1f6f5c" });
  });

  it("says all that a text style sets, and what stands beside the style is stronger", () => {
    expect(resolveTokens(named, { style: { token: "heading" } })).toEqual({
      size: 8,
      weight: "700",
    });
    expect(resolveTokens(named, { style: { token: "heading" }, weight: "400" })).toEqual({
      size: 8,
      weight: "400",
    });
    expect(resolveTokens(named, { style: { token: "pine" }, x: 4 })).toEqual({ x: 4 });
  });

  it("shows no picture that is not among the project's files", () => {
    const fill = { picture: "gone", fit: "cover" } as never;
    expect(resolveTokens(named, { fill })).toEqual({ fill: "none" });
    expect(resolveTokens(named, { picture: "gone" })).toEqual({});
  });
});
