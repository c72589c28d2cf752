import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  namedPoses,
  parseNumber,
  parseValue,
  propertySchema,
  registry,
  showValue,
} from "#core/properties";
import type { Value } from "#core/properties";

describe("numbers as people type them", () => {
  it.each([
    ["12", 12],
    ["12px", 12],
    ["-4", -4],
    ["12*1.5+4", 22],
    ["(2+3)*4", 20],
    ["+16", 116],
    ["*1.5", 150],
    ["/4", 25],
    ["50%", 50],
    ["--4", 96],
    ["=-4", -4],
    ["1,5", 1.5],
    ["10 − 4", 6],
    ["100%+8", 108],
    ["2×3", 6],
  ])("%s of 100 is %d", (text, n) => expect(parseNumber(text, 100)).toBe(n));
  it.each(["", "wide", "1+", "(2", "2)", "1/0", "1 2"])("does not make a number of “%s”", (text) =>
    expect(parseNumber(text, 100)).toBeNull(),
  );
});

describe("values", () => {
  const typed = (key: string, text: string, now: Value) => {
    const property = registry.find((p) => p.key === key);
    if (!property) throw new Error(key);
    return parseValue(property.type, text, now);
  };

  it("read colours in every CSS form, kept as hex", () => {
    expect(typed("fill", "hsl(160 56% 28%)", "none")).toEqual({ ok: true, value: "#1f6f55" });
    expect(typed("fill", "TEAL", "none")).toEqual({ ok: true, value: "#008080" });
    expect(typed("fill", "d9622b", "none")).toEqual({ ok: true, value: "#d9622b" });
    expect(typed("fill", "rgb(0 0 0 / 50%)", "none")).toEqual({ ok: true, value: "#00000080" });
    expect(typed("fill", "oklch(0.5 0.1 170)", "none")).toMatchObject({ ok: true });
    expect(typed("fill", "sea", "none")).toMatchObject({ ok: false });
  });

  it("read corners, shadows, choices and flags, and say what they would understand", () => {
    expect(typed("radius", "8 16", [0, 0, 0, 0])).toEqual({ ok: true, value: [8, 16, 8, 16] });
    expect(typed("radius", "+2", [1, 2, 3, 4])).toEqual({ ok: true, value: [3, 3, 3, 3] });
    expect(typed("shadow", "0 2 6 #00000040, 0 0 2 1 rgb(0 0 0 / 20%)", [])).toEqual({
      ok: true,
      value: [
        { x: 0, y: 2, blur: 6, spread: 0, colour: "#00000040" },
        { x: 0, y: 0, blur: 2, spread: 1, colour: "#00000033" },
      ],
    });
    expect(typed("widthMode", "str", "fixed")).toEqual({ ok: true, value: "stretch" });
    expect(typed("visible", "no", true)).toEqual({ ok: true, value: false });
    expect(typed("opacity", "2", 1)).toMatchObject({ ok: false });
    expect(typed("justify", "sideways", "start")).toMatchObject({
      ok: false,
      error: expect.stringContaining("between") as string,
    });
  });

  it.each([
    ["align", "center", "centre"],
    ["align", "cen", "centre"],
    ["alignText", "Center", "centre"],
    ["mixing", "colour", "color"],
    ["mixing", "colour-dodge", "color-dodge"],
  ])("understand spellings of elsewhere: %s %s", (key, text, value) => {
    expect(typed(key, text, "start")).toEqual({ ok: true, value });
  });

  it("read the pose a layer comes from by name or in parts, and say it back", () => {
    const pose = { x: 0, y: 24, scale: [0.8, 0.8], rotation: -10, opacity: 0, blur: 4 } as const;
    const parts = "y 24px, scale 0.8, rotation -10°, opacity 0, blur 4";
    expect(typed("comesFrom", parts, "fade")).toEqual({ ok: true, value: pose });
    expect(showValue(pose)).toBe("y 24, scale 0.8, rotation -10, opacity 0, blur 4");
    expect(showValue({ ...pose, scale: [1, 2] })).toContain("scale 1 2");
    for (const [name, is] of Object.entries(namedPoses)) {
      expect(typed("goesTo", name, "fade")).toEqual({ ok: true, value: is });
      expect(showValue(is)).toBe(name);
    }
    expect(typed("goesTo", "as", "fade")).toEqual({ ok: true, value: "as it came" });
    expect(typed("comesFrom", "as it came", "fade").ok).toBe(false);
    for (const bad of ["", "x", "y 1 2", "scale -", "opacity 2", "up 4", "x 1, , y 2"])
      expect(typed("comesFrom", bad, "fade"), bad).toMatchObject({ ok: false });
  });

  it("every default is valid, and what is shown can be read back", () => {
    for (const p of registry) {
      expect(propertySchema(p.key)?.safeParse(p.fallback).success, p.key).toBe(true);
      if (p.type.is !== "reference")
        expect(parseValue(p.type, showValue(p.fallback), p.fallback), p.key).toEqual({
          ok: true,
          value: p.fallback,
        });
    }
  });

  it("shadows survive being shown and read", () => {
    const n = fc.integer({ min: 0, max: 40 });
    const colour = fc
      .integer({ min: 0, max: 0xffffff })
      .map((c) => `#${c.toString(16).padStart(6, "0")}`);
    fc.assert(
      fc.property(
        fc.array(fc.record({ x: n, y: n, blur: n, spread: n, colour }), { maxLength: 4 }),
        (shadows) => {
          expect(typed("shadow", showValue(shadows), [])).toEqual({ ok: true, value: shadows });
        },
      ),
    );
  });

  it("no key but a known one, a trait's or an option's has a schema", () => {
    expect(propertySchema("sparkle")).toBeUndefined();
    expect(propertySchema("trait:abc")?.safeParse("yes1").success).toBe(true);
    expect(propertySchema("option:abc")?.safeParse({}).success).toBe(false);
  });
});
