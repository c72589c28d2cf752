import { beforeAll, describe, expect, it } from "vitest";
import { layout } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { Resolver } from "#core/looks";
import type { Value } from "#core/properties";
import { contrastOf } from "#core/paint";
import { testEnv } from "../../tests/support/env";
import { Builder } from "../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const of = (ground: Record<string, Value>, text: Record<string, Value>) => {
  const b = new Builder();
  b.new("component", "Sign");
  b.layer("box", { x: 0, y: 0, width: 200, height: 60, ...ground });
  const id = b.layer("text", { x: 20, y: 20, text: "Dock", ...text });
  b.layer("box", { x: 0, y: 0, width: 200, height: 60, fill: "#000000" });
  return contrastOf(layout(env, new Resolver().tree(b.project, b.at, {}) as never), id);
};

describe("contrast of a text with what lies behind it", () => {
  it("is that of WCAG for plain colours; what lies in front does not count", () => {
    expect(of({ fill: "#000000" }, { fill: "#ffffff" })?.ratio).toBeCloseTo(21, 1);
    expect(of({ fill: "none" }, { fill: "#777777" })?.ratio).toBeCloseTo(4.48, 2);
    expect(of({ fill: "#ffffff" }, { fill: "#777777", size: 24 })).toMatchObject({ needed: 3 });
    expect(of({ fill: "#ffffff" }, { fill: "#777777", size: 19, weight: "700" })).toMatchObject({
      needed: 3,
    });
  });
  it("sees through half-transparent layers and takes a gradient where the text stands", () => {
    expect(of({ fill: "#00000080" }, { fill: "#ffffff" })?.ground).toBe("#7f7f7f");
    expect(of({ fill: "#000000", opacity: 0.5 }, { fill: "#ffffff" })?.ground).toBe("#7f7f7f");
    const gradient = {
      kind: "linear",
      angle: 90,
      stops: [
        { at: 0, colour: "#000000" },
        { at: 1, colour: "#ffffff" },
      ],
    } as const;
    const left = of({ fill: gradient }, { fill: "#ffffff" })?.ratio ?? 0;
    const right = of({ fill: gradient }, { fill: "#ffffff", x: 150 })?.ratio ?? 0;
    expect(left).toBeGreaterThan(right + 4);
  });
  it("says nothing about a picture, which has no one colour", () => {
    const picture = {
      id: "p",
      kind: "picture",
      name: "p",
      hash: "0".repeat(64),
      type: "image/png",
      width: 1,
      height: 1,
      bytes: 1,
    } as const;
    const b = new Builder();
    b.new("component", "Sign");
    b.project = { ...b.project, assets: { p: picture } };
    b.layer("picture", { width: 200, height: 60, picture: "p" });
    const id = b.layer("text", { x: 20, y: 20 });
    expect(
      contrastOf(layout(env, new Resolver().tree(b.project, b.at, {}) as never), id),
    ).toBeNull();
    expect(
      contrastOf(layout(env, new Resolver().tree(b.project, b.at, {}) as never), "root"),
    ).toBeNull();
  });
});
