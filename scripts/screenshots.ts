// Pictures of the main views for the docs, made from fresh demo data on a server of their own.
import { mkdirSync, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import type { Page } from "puppeteer-core";
import { launch, sleep } from "../tests/support/browser.ts";
import { startHarbour } from "../tests/support/harbour.ts";
import { build } from "./build.ts";
import { root } from "./serve.ts";

const out = join(root, "docs/screenshots");
const choose = (page: Page, layer: string) => page.evaluate((l) => (document.querySelector(`[data-line="${l}"]`) as HTMLElement).click(), layer);
const look = (page: Page, variant: string) => page.evaluate((v) => (document.querySelector(`[data-variant="${v}"] .card-name`) as HTMLElement).click(), variant);
const tab = (page: Page, n: number) => page.evaluate((i) => (document.querySelectorAll("[role=tab]")[i] as HTMLElement).click(), n);
const press = async (page: Page, selector: string) => {
  const box = await (await page.$(selector))?.boundingBox();
  if (!box) throw new Error(`nothing at ${selector}`);
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await sleep(160);
  await page.mouse.up();
};

const views: { name: string; path: string; act?: (page: Page) => Promise<void> }[] = [
  { name: "projects", path: "/" },
  { name: "project", path: "/projects/kelpway-kit" },
  {
    name: "bench-sheet", path: "/projects/kelpway-kit/pieces/alert-switch", act: async (page) => {
      await look(page, "alerts-on.pressed-no");
      await choose(page, "knob");
      await press(page, '.try-host [data-layer="track"]');
      await sleep(90);
    },
  },
  {
    name: "bench-rules", path: "/projects/kelpway-kit/pieces/bicycle-tick-box", act: async (page) => {
      await choose(page, "square");
      await tab(page, 1);
      await press(page, '.try-host [data-layer="square"]');
      await sleep(400);
    },
  },
  { name: "bench-screen", path: "/projects/kelpway-kit/pieces/cabin-climate", act: (page) => choose(page, "air") },
  {
    name: "play", path: "/projects/kelpway-kit/play", act: async (page) => {
      await press(page, '.play-host [data-layer="delays"] [data-layer="track"]');
      await sleep(400);
    },
  },
];

const home = mkdtempSync(join(tmpdir(), "nubble-pictures-"));
const folder = join(root, "build");
build(folder);
const harbour = await startHarbour(home, folder);
const { browser, close } = await launch();
try {
  mkdirSync(out, { recursive: true });
  for (const view of views) {
    const page = await browser.newPage();
    await page.goto(harbour.served.address + view.path, { waitUntil: "load" });
    await sleep(1200);
    await view.act?.(page);
    await sleep(150);
    await page.screenshot({ path: join(out, `${view.name}.png`) });
    await page.close();
    console.log(view.name);
  }
} finally {
  await close();
  await harbour.stop();
  rmSync(home, { recursive: true, force: true });
}
