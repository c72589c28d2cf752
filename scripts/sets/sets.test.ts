import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { root } from "../serve";
import { compareSet, differing } from "./compare";
import { tokenFilesIn } from "./files";

describe("small copies of sets that others publish", () => {
  it.each([
    ["gitlab", 28],
    ["primer", 51],
    ["catalyst", 82],
  ])("%s is the same to a parser that is not ours, token by token", async (name, count) => {
    const files = tokenFilesIn(join(root, "tests/kept/sets", name));
    const { tokens, compared, others, problems } = await compareSet(files);
    expect({ problems, others }).toEqual({ problems: [], others: [] });
    expect([tokens, compared]).toEqual([count, count]);
  });

  it("and a token that is lost, added, or another would be told", async () => {
    const colour = (hex: string) => ({ $type: "color", $value: hex });
    const original = { sea: { tide: colour("#17495c"), foam: colour("#ffffff") } };
    const written = { sea: { tide: colour("#17495d"), kelp: colour("#2c9a70") } };
    const { tokens, others } = await differing(original, written);
    expect(tokens).toBe(2);
    expect(others.toSorted()).toEqual(["sea.foam", "sea.kelp", "sea.tide"]);
    expect((await differing(original, original)).others).toEqual([]);
  });
});
