import { readdirSync, readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { LayoutEnv } from "#core/layout";
import { launch } from "../support/browser";
import { testEnv } from "../support/env";
import { differences, repainted } from "../support/pictures";

let env: LayoutEnv;
let opened: Awaited<ReturnType<typeof launch>>;
beforeAll(async () => {
  env = await testEnv();
  opened = await launch();
});
afterAll(() => opened.close());

// at small sizes the two ways the browser smooths arcs and curves differ more than the outlines do
const SIZE = 128;
const home = join(
  dirname(createRequire(import.meta.url).resolve("bootstrap-icons/package.json")),
  "icons",
);

describe("icons read as SVG", () => {
  it("are painted as the browser paints the files: 200 of them, less than 1 % of a pixel apart", async () => {
    const all = readdirSync(home)
      .filter((f) => f.endsWith(".svg"))
      .sort();
    const sample = Array.from(
      { length: 200 },
      (_, i) => all[Math.floor((i * all.length) / 200)] as string,
    );
    const page = await opened.browser.newPage();
    const pairs = sample.map((f) => {
      const source = readFileSync(join(home, f), "utf8");
      return [source, repainted(env, source)] as const;
    });
    const off = await differences(page, pairs, SIZE);
    expect(off).toHaveLength(200);
    expect(sample.filter((_, i) => !((off[i] as number) < 0.01))).toEqual([]);
    // the check can fail: another icon is far away
    const [other] = await differences(
      page,
      [[pairs[0]?.[0] as string, pairs[1]?.[1] as string]],
      SIZE,
    );
    expect(other).toBeGreaterThan(0.01);
  });
});
