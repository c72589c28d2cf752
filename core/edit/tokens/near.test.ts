import { describe, expect, it } from "vitest";
import { nearToken } from "#core/edit";
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

  it("is none where it is far from all, or its property takes no such token", () => {
    expect(near("fill", "#00ff00")).toBeNull();
    expect(near("role", "button")).toBeNull();
    expect(near("no such property", 3)).toBeNull();
  });
});
