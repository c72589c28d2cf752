import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { readSvg } from "#core/formats/svg";
import type { LayoutEnv } from "#core/layout";
import { launch } from "../support/browser";
import { drawing } from "../support/chance/drawings";
import { testEnv } from "../support/env";
import { differences, repainted } from "../support/pictures";

let env: LayoutEnv;
let opened: Awaited<ReturnType<typeof launch>>;
beforeAll(async () => {
  env = await testEnv();
  opened = await launch();
});
afterAll(() => opened.close());

const SIZE = 200;

describe("SVG files drawn by chance", () => {
  it("are painted as the browser paints them, once they are layers", async () => {
    const off: string[] = [];
    const pairs: (readonly [string, string])[] = [];
    const seeds: number[] = [];
    for (let seed = 1; pairs.length < 400; seed++) {
      const source = drawing(seed);
      const read = readSvg(source);
      // what shows nothing at all is refused, and what cannot be kept is named
      if (!read.ok || read.picture.lost.length > 0) continue;
      pairs.push([source, repainted(env, source)]);
      seeds.push(seed);
    }
    const page = await opened.browser.newPage();
    const found = await differences(page, pairs, SIZE);
    for (const [i, difference] of found.entries())
      if (!(difference < 0.01)) off.push(`${seeds[i]}: ${(difference * 100).toFixed(1)} %`);
    expect(off).toEqual([]);
  });
});
