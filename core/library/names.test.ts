import { describe, expect, it } from "vitest";
import { namesIn } from "./names";

const pieces = [
  { id: "a", name: "Pin" },
  { id: "b", name: "Pier pin" },
  { id: "c", name: "Pin board" },
];
const said = (text: string): string[] =>
  namesIn(text, pieces).map(({ words, id }) => (id === null ? words : `[${id} ${words}]`));

describe("a text that names several things", () => {
  it("is cut where it names them, the longest name first", () => {
    expect(said("Pin board, Pier pin and Pin are alike.")).toEqual([
      "[c Pin board]",
      ", ",
      "[b Pier pin]",
      " and ",
      "[a Pin]",
      " are alike.",
    ]);
  });

  it("stays whole where it names none, and names each but once", () => {
    expect(said("All is well.")).toEqual(["All is well."]);
    expect(said("Pier pin, Pier pin")).toEqual(["[b Pier pin]", ", Pier pin"]);
    expect(said("")).toEqual([]);
  });
});
