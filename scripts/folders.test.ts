import { readdirSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { root } from "./serve";

/** More files than this in one folder and nobody finds one by looking. */
const MOST = 20;

/** Folders with how many files lie in each, themselves and what is in them. */
const counted = (folder: string): (readonly [string, number])[] => {
  const entries = readdirSync(join(root, folder), { withFileTypes: true });
  const inside = entries.filter((e) => e.isDirectory() && e.name !== "kept");
  return [
    [folder, entries.filter((e) => e.isFile()).length],
    ...inside.flatMap((e) => counted(join(folder, e.name))),
  ];
};

describe("the house", () => {
  it(`has no folder with more than ${MOST} files`, () => {
    const all = ["app", "core", "demo", "player", "scripts", "server", "tests", "workers"].flatMap(
      counted,
    );
    expect(all.length).toBeGreaterThan(60);
    expect(all.filter(([, count]) => count > MOST)).toEqual([]);
  });
});
