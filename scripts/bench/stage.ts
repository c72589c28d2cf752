import type { Browser, Page } from "puppeteer-core";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { newId } from "../../core/project/index.ts";
import { openDatabase, ProjectLog } from "../../server/index.ts";
import { launch, sleep } from "../../tests/support/browser.ts";
import { startHarbour } from "../../tests/support/servers/harbour.ts";
import { build } from "../build.ts";
import { root } from "../serve.ts";
import { framesWhile } from "./browser.ts";
import { largeProject } from "./large.ts";
import { mapBench } from "./map.ts";
import type { Line } from "./support.ts";

const open = async (browser: Browser, url: string): Promise<Page> => {
  const page = await browser.newPage();
  await page.goto(url, { waitUntil: "load" });
  return page;
};

/**
 * From the press of a key that edits until the frame after all visible cards were painted anew: ms,
 * the middle of many.
 */
const editTime = async (page: Page, layer: string): Promise<number> => {
  await page.evaluate(
    (id) => (document.querySelector(`[data-line="${id}"]`) as HTMLElement).click(),
    layer,
  );
  await sleep(300);
  return page.evaluate(async () => {
    (document.activeElement as HTMLElement | null)?.blur();
    const frame = () =>
      new Promise<number>((r) =>
        requestAnimationFrame(() => {
          const c = new MessageChannel();
          c.port1.onmessage = () => r(performance.now());
          c.port2.postMessage(0);
        }),
      );
    const times: number[] = [];
    for (let i = 0; i < 40; i++) {
      await frame();
      const begin = performance.now();
      window.dispatchEvent(
        new KeyboardEvent("keydown", { key: i % 2 ? "ArrowLeft" : "ArrowRight", bubbles: true }),
      );
      const end = await frame();
      if (i >= 10) times.push(end - begin);
    }
    return times.sort((a, b) => a - b)[Math.floor(times.length / 2)] as number;
  });
};

/** Frames per second while a layer is dragged by real pointer events. */
const dragRate = async (page: Page, layer: string): Promise<number> => {
  await page.evaluate(
    (id) => (document.querySelector(`[data-line="${id}"]`) as HTMLElement).click(),
    layer,
  );
  await sleep(300);
  const frame = await (await page.$(`.card-variant.active [data-frame="${layer}"]`))?.boundingBox();
  if (!frame) throw new Error("nothing to drag");
  const [x, y] = [frame.x + Math.min(30, frame.width / 2), frame.y + frame.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  return framesWhile(page, async () => {
    const end = Date.now() + 2500;
    for (let i = 0; Date.now() < end; i++)
      await page.mouse.move(x + 20 * Math.sin(i / 6), y + 14 * Math.cos(i / 5));
    await page.mouse.up();
  });
};

/** From the click on a piece in the loaded project to its painted cards, ms. */
const openingTime = (page: Page, piece: string): Promise<number> =>
  page.evaluate(async (id) => {
    const begin = performance.now();
    (document.querySelector(`a[href$="/pieces/${id}"]`) as HTMLElement).click();
    while (!document.querySelector(".card-variant [data-layer]"))
      await new Promise((r) => requestAnimationFrame(r));
    await new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(r)));
    return performance.now() - begin;
  }, piece);

/** The same by its own address: from the load of the page to its painted cards, ms. */
const loadingTime = async (page: Page, address: string): Promise<number> => {
  await page.evaluateOnNewDocument(() => {
    const w = window as unknown as { opened_: Promise<number> };
    w.opened_ = new Promise((done) =>
      window.addEventListener("load", () => {
        const begin = performance.now();
        const look = () => {
          if (document.querySelector(".card-variant [data-layer]"))
            requestAnimationFrame(() =>
              requestAnimationFrame(() => done(performance.now() - begin)),
            );
          else requestAnimationFrame(look);
        };
        look();
      }),
    );
  });
  await page.goto(address, { waitUntil: "load" });
  return page.evaluate(() => (window as unknown as { opened_: Promise<number> }).opened_);
};

interface Size {
  readonly pieces: number;
  readonly layers: number;
  readonly variants: number;
}

/** Opens, edits and drags in a project of a size. */
const measure = async (browser: Browser, address: string, log: ProjectLog, size: Size) => {
  const made = largeProject(size.pieces, size.layers, size.variants);
  const id = newId();
  await log.create(id, made.project);
  const page = await open(browser, `${address}/projects/${id}`);
  await page.waitForSelector(".tile");
  await sleep(1500);
  const opening = await openingTime(page, made.piece);
  const loading = await loadingTime(page, `${address}/projects/${id}/pieces/${made.piece}`);
  await page.waitForSelector("[data-line]");
  await sleep(800);
  const row = made.ids[0] as string;
  const inner = made.ids[4] as string;
  const edit = await editTime(page, row);
  const within = await editTime(page, inner);
  const drag = await dragRate(page, row);
  await page.close();
  return { opening, loading, edit, within, drag };
};

const usual: Size = { pieces: 300, layers: 200, variants: 24 };

const smaller: readonly (readonly [what: string, size: Size])[] = [
  ["20 layers", { ...usual, layers: 20 }],
  ["50 layers", { ...usual, layers: 50 }],
  ["100 layers", { ...usual, layers: 100 }],
  ["4 variants", { ...usual, variants: 4 }],
  ["8 variants", { ...usual, variants: 8 }],
  ["30 pieces", { ...usual, pieces: 30 }],
];

/**
 * What a person feels on the stage: editing, dragging, opening; and how that grows with layers,
 * variants and pieces.
 */
export const stage = async (line: Line, mapAlone = false): Promise<void> => {
  const home = mkdtempSync(join(tmpdir(), "nubble-bench-stage-"));
  const folder = join(root, "build");
  build(folder);
  const harbour = await startHarbour(home, folder);
  const db = openDatabase(harbour.postgres.url);
  const { browser, close } = await launch();
  try {
    const { address } = harbour.served;
    await mapBench(browser, address, db, line);
    if (mapAlone) return;
    const log = new ProjectLog(db);
    const full = await measure(browser, address, log, usual);
    line(
      "stage: 300 pieces, 200 layers, 24 variants: an edit on all visible cards",
      `${full.edit.toFixed(1)} ms until the next frame; of an arranged layer ${full.within.toFixed(1)} ms`,
    );
    line("stage: the same, dragging", `${full.drag.toFixed(0)} frames/s`);
    line(
      "stage: the same, opening the bench after load",
      `${full.loading.toFixed(0)} ms by its address, ${full.opening.toFixed(0)} ms from the list of 300 pieces`,
    );
    for (const [what, size] of smaller) {
      const m = await measure(browser, address, log, size);
      line(
        `stage: with ${what} instead`,
        `edit ${m.edit.toFixed(1)} ms, drag ${m.drag.toFixed(0)} frames/s, opening ${m.loading.toFixed(0)} ms`,
      );
    }
  } finally {
    await close();
    await db.close();
    await harbour.stop();
    rmSync(home, { recursive: true, force: true });
  }
};
