import { describe, expect, it } from "vitest";
import { steady } from "./steady";

describe("a steady reader", () => {
  it("gives the same object for as long as that says the same", () => {
    let reads = 0;
    const read = steady(
      (from: { at: number; name: string }) => {
        reads++;
        return { at: from.at };
      },
      (a, b) => a.at === b.at,
    );
    const first = read({ at: 1, name: "port" });
    expect(read({ at: 1, name: "starboard" })).toBe(first);
    const source = { at: 2, name: "port" };
    const second = read(source);
    expect(second).toEqual({ at: 2 });
    const before = reads;
    expect(read(source)).toBe(second);
    expect(reads).toBe(before);
  });
});
