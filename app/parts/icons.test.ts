import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { CatalogueIcon } from "../session/assets";
import { findIcons } from "./icons";

const icon = (name: string, more: Partial<CatalogueIcon> = {}): CatalogueIcon => ({
  name,
  width: 16,
  height: 16,
  shapes: [],
  ...more,
});
const names = (icons: readonly CatalogueIcon[]) => icons.map((i) => i.name);

describe("icons", () => {
  it("are found by all words of their name, those that begin with it first", () => {
    const list = ["alarm", "bell", "bell-fill", "door-bell", "house"].map((n) => icon(n));
    expect(names(findIcons(list, "bell"))).toEqual(["bell", "bell-fill", "door-bell"]);
    expect(names(findIcons(list, "fill bell"))).toEqual(["bell-fill"]);
    expect(findIcons(list, "")).toHaveLength(5);
  });

  it("are found by what they are used for before what only has the word among its tags", () => {
    const list = [
      icon("calendar-x", { tags: ["close date"] }),
      icon("x", { uses: ["close"] }),
      icon("closed-caption"),
    ];
    expect(names(findIcons(list, "close"))).toEqual(["x", "closed-caption", "calendar-x"]);
    expect(findIcons(list, "anchor")).toEqual([]);
  });

  // the catalogue is made before the tests run
  const shipped = JSON.parse(readFileSync("generated/icons.json", "utf8")) as CatalogueIcon[];

  it.each([
    ["close", /^x/],
    ["menu", /list|dots|menu/],
    ["hamburger", /list|hamburger/],
    ["tick", /check/],
    ["like", /heart|thumb/],
    ["bin", /trash/],
    ["settings", /gear|sliders/],
    ["home", /house/],
    ["back", /left/],
    ["down", /-down/],
    ["log out", /sign-out|box-arrow-right/],
    ["favourite", /heart|star|thumb/],
    ["ferry", /boat|ferry/],
  ])("that people ask for as %s come first among those that ship", (word, wanted) => {
    const first = names(findIcons(shipped, word)).slice(0, 3);
    expect(first.length).toBeGreaterThan(1);
    for (const name of first) expect(name).toMatch(wanted);
  });
});
