import { describe, expect, it } from "vitest";
import { quickStarts, readTrait } from "./quickStarts";

describe("a trait typed in one go", () => {
  it("has its name before the colon and its values with commas between them", () => {
    expect(readTrait("Deck: car, saloon, sun")).toEqual({
      name: "Deck",
      values: ["car", "saloon", "sun"],
    });
  });

  it("takes lines and semicolons, too, and leaves out what is empty or there already", () => {
    expect(readTrait("Deck: car;; saloon\ncar,").values).toEqual(["car", "saloon"]);
  });

  it("has a name also when none is typed", () => {
    expect(readTrait("port, starboard").name).not.toBe("");
    expect(readTrait(" : port, starboard").name).not.toBe("");
    expect(readTrait("").values).toEqual([]);
  });
});

describe("traits that are often declared", () => {
  it("have a resting value first and no value twice", () => {
    for (const { name, values } of quickStarts) {
      expect(name).not.toBe("");
      expect(values.length).toBeGreaterThan(1);
      expect(new Set(values).size).toBe(values.length);
    }
  });
});
