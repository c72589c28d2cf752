import { describe, expect, it } from "vitest";
import { componentMotions, readTokens, writeTokens } from "#core/formats/tokens";
import { kelpwayKit } from "../../../../demo/index";

const kit = kelpwayKit();
const motions = componentMotions(kit);

describe("the motions of components", () => {
  it("are told with their lanes, each beside the nearest transition of the format", () => {
    const named = motions.find((m) => "lanes" in m);
    expect(named).toMatchObject({
      rule: expect.stringContaining("gets the pointer") as unknown,
      $type: "transition",
      $value: { duration: { value: expect.any(Number) as unknown, unit: "ms" } },
    });
    const springs = JSON.stringify(motions).match(/"kind":"spring"/g) ?? [];
    expect(springs.length).toBeGreaterThan(3);
    for (const { $value } of motions as { $value: { timingFunction: number[] } }[])
      expect($value.timingFunction).toHaveLength(4);
  });

  it("follow what tokens say, and are none of the tokens that are read again", () => {
    const followed = motions.find((m) => m.component === "Send ticket button");
    expect(followed).toMatchObject({ $value: { timingFunction: [0.42, 0, 0.58, 1] } });
    const files = writeTokens(kit, motions);
    const read = readTokens(files);
    expect(read.problems).toEqual([]);
    expect(read.tokens).toEqual(readTokens(writeTokens(kit)).tokens);
  });
});
