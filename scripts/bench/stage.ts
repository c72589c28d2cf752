import type { Browser, Page } from "puppeteer-core";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { newId } from "../../core/project/index.ts";
import { openDatabase, ProjectLog } from "../../server/index.ts";
import { launch, sleep } from "../../tests/support/browser.ts";
import { startHarbour } from "../../tests/support/harbour.ts";
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
    await mapBench(browser, harbour.served.address, db, line);
    if (mapAlone) return;
    const log = new ProjectLog(db);
    const measure = async (pieces: number, layers: number, variants: number) => {
      const made = largeProject(pieces, layers, variants);
      const id = newId();
      await log.create(id, made.project);
      const page = await open(browser, `${harbour.served.address}/projects/${id}`);
      await page.waitForSelector(".tile");
      await sleep(1500);
      // from the click on a piece in the loaded project to its painted cards
      const opening = await page.evaluate(async (piece) => {
        const begin = performance.now();
        (document.querySelector(`a[href$="/pieces/${piece}"]`) as HTMLElement).click();
        while (!document.querySelector(".card-variant [data-layer]"))
          await new Promise((r) => requestAnimationFrame(r));
        await new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(r)));
        return performance.now() - begin;
      }, made.piece);
      // and the same by its own address: from the load of the page to its painted cards
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
      await page.goto(`${harbour.served.address}/projects/${id}/pieces/${made.piece}`, {
        waitUntil: "load",
      });
      const loading = await page.evaluate(
        () => (window as unknown as { opened_: Promise<number> }).opened_,
      );
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
    const full = await measure(300, 200, 24);
    line(
      "stage: 300 pieces, 200 layers, 24 variants: an edit on all visible cards",
      `${full.edit.toFixed(1)} ms until the next frame; of an arranged layer ${full.within.toFixed(1)} ms`,
    );
    line("stage: the same, dragging", `${full.drag.toFixed(0)} frames/s`);
    line(
      "stage: the same, opening the bench after load",
      `${full.loading.toFixed(0)} ms by its address, ${full.opening.toFixed(0)} ms from the list of 300 pieces`,
    );
    for (const [what, args] of [
      ["20 layers", [300, 20, 24]],
      ["50 layers", [300, 50, 24]],
      ["100 layers", [300, 100, 24]],
      ["4 variants", [300, 200, 4]],
      ["8 variants", [300, 200, 8]],
      ["30 pieces", [30, 200, 24]],
    ] as const) {
      const m = await measure(...(args as [number, number, number]));
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
