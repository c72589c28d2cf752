import type { Browser, Page } from "puppeteer-core";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { newId } from "../../core/project/index.ts";
import { kelpwayKit } from "../../demo/index.ts";
import { openDatabase, ProjectLog } from "../../server/index.ts";
import { launch, sleep } from "../../tests/support/browser.ts";
import { startHarbour } from "../../tests/support/servers/harbour.ts";
import { build } from "../build.ts";
import { root } from "../serve.ts";
import { largeProject } from "./large.ts";
import type { Line } from "./support.ts";

/** Nudges that are measured, after some that are not. */
const TIMES = 30;
const WARM = 10;
/** Between two of them, ms: long enough that what one causes is over before the next. */
const PAUSE = 120;

interface Nudges {
  /** script of the page for one nudge, ms, sorted */
  readonly script: readonly number[];
  /** from the key to the frame that shows it, ms, sorted */
  readonly frame: readonly number[];
  /** a fixed piece of script in the same page, ms, sorted: how fast the machine was meanwhile */
  readonly yardstick: readonly number[];
  /** parts that rendered for the last nudge, by their kind */
  readonly renders: Readonly<Record<string, number>>;
}

/**
 * Tells how much script the page has run since it was opened, ms of processor time: of Chromium's
 * metrics, in the time of its thread, so that what else runs on the machine does not count.
 */
const scriptClock = async (page: Page): Promise<() => Promise<number>> => {
  const session = await page.createCDPSession();
  await session.send("Performance.enable", { timeDomain: "threadTicks" });
  return async () => {
    const { metrics } = await session.send("Performance.getMetrics");
    return (metrics.find((m) => m.name === "ScriptDuration")?.value ?? 0) * 1000;
  };
};

/**
 * Runs a fixed piece of arithmetic in the page; returns how long it took, ms. It leaves nothing
 * behind that would have to be cleared away in the time of a nudge.
 */
const measureYardstick = (page: Page): Promise<number> =>
  page.evaluate(() => {
    const begin = performance.now();
    let at = 1;
    for (let i = 0; i < 3_000_000; i++) at = (Math.imul(at, 1_664_525) + 1_013_904_223) | 0;
    return performance.now() - begin + (at === 0 ? 1 : 0);
  });

const sorted = (list: readonly number[]): number[] => [...list].sort((a, b) => a - b);

const pressArrow = (page: Page, i: number): Promise<void> =>
  page.keyboard.press(i % 2 ? "ArrowLeft" : "ArrowRight");

/** Script of each nudge, ms, with nothing of ours in the page that would count with it. */
const measureScript = async (page: Page): Promise<number[]> => {
  const scriptOf = await scriptClock(page);
  const script: number[] = [];
  for (let i = 0; i < WARM + TIMES; i++) {
    const before = await scriptOf();
    await pressArrow(page, i);
    await sleep(PAUSE);
    if (i >= WARM) script.push((await scriptOf()) - before);
  }
  return script;
};

/** From the key to the frame that shows it, ms, and the parts that rendered for the last one. */
const measureFrames = async (page: Page): Promise<Pick<Nudges, "frame" | "renders">> => {
  const frame: number[] = [];
  for (let i = 0; i < TIMES; i++) {
    await page.evaluate(() => {
      const w = globalThis as { nubbleRenders?: Map<string, number>; shown_?: Promise<number> };
      w.nubbleRenders = new Map();
      w.shown_ = new Promise((done) => {
        const onKey = () => {
          const begin = performance.now();
          requestAnimationFrame(() => {
            const after = new MessageChannel();
            after.port1.onmessage = () => done(performance.now() - begin);
            after.port2.postMessage(0);
          });
        };
        window.addEventListener("keydown", onKey, { capture: true, once: true });
      });
    });
    await pressArrow(page, i);
    // until panels that may wait have followed, too
    await sleep(3 * PAUSE);
    frame.push(await page.evaluate(() => (globalThis as { shown_?: Promise<number> }).shown_ ?? 0));
  }
  const renders = await page.evaluate(
    () =>
      Object.fromEntries(
        (globalThis as { nubbleRenders?: Map<string, number> }).nubbleRenders ?? new Map(),
      ) as Record<string, number>,
  );
  return { frame, renders };
};

/** Presses arrow keys on a chosen layer, and looks at what each costs. */
const nudges = async (page: Page, layer: string): Promise<Nudges> => {
  await page.click(`[data-line="${layer}"]`);
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await sleep(1500);
  const script = await measureScript(page);
  const yardstick: number[] = [];
  for (let i = 0; i < TIMES; i++) yardstick.push(await measureYardstick(page));
  const { frame, renders } = await measureFrames(page);
  return { script: sorted(script), frame: sorted(frame), yardstick: sorted(yardstick), renders };
};

const at = (list: readonly number[], part: number): number =>
  list[Math.min(list.length - 1, Math.floor(list.length * part))] ?? 0;

const spread = (list: readonly number[]): string =>
  `${at(list, 0.5).toFixed(1)} ms (${at(list, 0.1).toFixed(1)} to ${at(list, 0.9).toFixed(1)})`;

const tell = (line: Line, what: string, { script, frame, yardstick, renders }: Nudges): void => {
  line(`nudge: ${what}: script`, `${spread(script)}; to the frame ${spread(frame)}`);
  const ratio = at(script, 0.5) / at(yardstick, 0.5);
  line(`nudge: ${what}: yardstick`, `${spread(yardstick)}; a nudge is ${ratio.toFixed(2)} of it`);
  const parts = Object.entries(renders).map(([kind, n]) => `${n} × ${kind}`);
  line(`nudge: ${what}: renders`, parts.join(", ") || "none");
};

const openPiece = async (browser: Browser, address: string): Promise<Page> => {
  const page = await browser.newPage();
  await page.goto(address, { waitUntil: "load" });
  await page.waitForSelector("[data-line]");
  await sleep(1500);
  return page;
};

/** What one nudge of a layer costs: in the kit's switch, and in a large piece of a large project. */
export const nudge = async (line: Line): Promise<void> => {
  const home = mkdtempSync(join(tmpdir(), "nubble-bench-nudge-"));
  const folder = join(root, "build");
  build(folder);
  const harbour = await startHarbour(home, folder);
  const db = openDatabase(harbour.postgres.url);
  const { browser, close } = await launch();
  try {
    const { address } = harbour.served;
    const log = new ProjectLog(db);
    const kit = newId();
    await log.create(kit, kelpwayKit());
    const small = await openPiece(browser, `${address}/projects/${kit}/pieces/alert-switch`);
    tell(line, "a layer of the kit's switch", await nudges(small, "knob"));
    await small.close();
    const made = largeProject(300, 200, 24);
    const large = newId();
    await log.create(large, made.project);
    const page = await openPiece(browser, `${address}/projects/${large}/pieces/${made.piece}`);
    tell(line, "300 pieces, 200 layers, 24 variants", await nudges(page, made.ids[0] ?? ""));
    await page.close();
  } finally {
    await close();
    await db.close();
    await harbour.stop();
    rmSync(home, { recursive: true, force: true });
  }
};
