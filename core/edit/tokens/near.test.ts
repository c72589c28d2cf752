import { describe, expect, it } from "vitest";
import { nearToken } from "#core/edit";
import type { Token, TokenType } from "#core/project";
import type { Value } from "#core/properties";
import { kelpwayKit } from "../../../demo/index";

const kit = kelpwayKit();
const near = (key: string, value: string | number): string | null => {
  const found = nearToken(kit, key, value);
  return found && `${found.token.name}${found.isSame ? "" : " nearly"}`;
};
const buoy = Object.values(kit.tokens).find((t) => t.name === "Buoy")?.value as string;

describe("a value that is nearly a token", () => {
  it("says which, and whether it is the same", () => {
    expect(near("fill", buoy)).toBe("Buoy");
    const [r, g, b] = [1, 3, 5].map((i) => Number.parseInt(buoy.slice(i, i + 2), 16));
    const hex = [r ?? 0, (g ?? 0) + 4, b ?? 0].map((n) => n.toString(16).padStart(2, "0")).join("");
    expect(near("fill", `#${hex}`)).toBe("Buoy nearly");
  });

  it("of numbers is one of nearly the same size, however small they are", () => {
    const token = (id: string, type: TokenType, value: number): Token => ({
      ...{ id, type, name: id, group: "", order: id, value },
    });
    const project = {
      ...kit,
      tokens: { dim: token("dim", "number", 0.4), gap: token("gap", "length", 8) },
    };
    const of = (key: string, value: Value) => nearToken(project, key, value)?.token.id ?? null;
    expect([of("opacity", 0.4), of("opacity", 0.42), of("opacity", 0.9)]).toEqual([
      ...["dim", "dim"],
      null,
    ]);
    expect([8, 9, 11].map((r) => of("radius", [r, r, r, r]))).toEqual(["gap", "gap", null]);
  });

  it("is none where it is far from all, or its property takes no such token", () => {
    expect(near("fill", "#00ff00")).toBeNull();
    expect(near("role", "button")).toBeNull();
    expect(near("no such property", 3)).toBeNull();
  });
});
