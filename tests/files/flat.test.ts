import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { layout } from "#core/layout";
import type { LayoutBox, LayoutEnv } from "#core/layout";
import { Resolver, variantsOf } from "#core/looks";
import { markup, paint } from "#core/paint";
import { kelpwayKit } from "../../demo/index";
import { launch } from "../support/browser";
import { testEnv } from "../support/env";
import { differences } from "../support/pictures";

let env: LayoutEnv;
let opened: Awaited<ReturnType<typeof launch>>;
beforeAll(async () => {
  env = await testEnv();
  opened = await launch();
});
afterAll(() => opened.close());

const page = (root: LayoutBox, flat: boolean): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="${root.width}" height="${root.height}" viewBox="0 0 ${root.width} ${root.height}">${markup(paint(root, flat))}</svg>`;

describe("painting for still pictures", () => {
  it("shows every variant of every part of the kit as painting for movement does, with fewer transforms", async () => {
    const project = kelpwayKit();
    const pairs: [string, string][] = [];
    for (const piece of Object.values(project.pieces))
      for (const variant of variantsOf(piece)) {
        const root = layout(env, new Resolver().tree(project, piece.id, variant) as never);
        pairs.push([page(root, false), page(root, true)]);
      }
    expect(pairs.length).toBeGreaterThan(50);
    const off = await differences(await opened.browser.newPage(), pairs, 240);
    expect(Math.max(...off)).toBeLessThan(0.002);
    const transforms = (i: 0 | 1) =>
      pairs.reduce((n, p) => n + (p[i].match(/ transform=/g)?.length ?? 0), 0);
    expect(transforms(1)).toBeLessThan(transforms(0) * 0.8);
  });
});
