// Pictures of the main views for the docs, made from fresh demo data on a server of their own.
import { mkdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import type { Page } from "puppeteer-core";
import { launch, sleep } from "../tests/support/browser.ts";
import { startHarbour } from "../tests/support/servers/harbour.ts";
import { build } from "./build.ts";
import { root } from "./serve.ts";
import { makeScratch } from "./run/scratch.ts";

const out = join(root, "docs/screenshots");
const home = makeScratch("pictures");
const choose = (page: Page, layer: string) =>
  page.evaluate(
    (l) => (document.querySelector(`[data-line="${l}"]`) as HTMLElement).click(),
    layer,
  );
const look = (page: Page, variant: string) =>
  page.evaluate(
    (v) => (document.querySelector(`[data-variant="${v}"] .card-name`) as HTMLElement).click(),
    variant,
  );
const tab = (page: Page, name: string) =>
  page.evaluate(
    (n) =>
      [...document.querySelectorAll<HTMLElement>(".drawer-tabs [role=tab]")]
        .find((t) => t.textContent?.startsWith(n))
        ?.click(),
    name,
  );
const press = async (page: Page, selector: string) => {
  const box = await (await page.$(selector))?.boundingBox();
  if (!box) throw new Error(`nothing at ${selector}`);
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await sleep(160);
  await page.mouse.up();
};

/** Four drawings of a berth light, pasted and gathered. */
const gatherSeats = async (page: Page): Promise<void> => {
  const drawing = (on: boolean, pressed: boolean) =>
    `<svg xmlns="http://www.w3.org/2000/svg" width="100" height="50"><rect id="Track" x="8" y="7" width="64" height="36" rx="18" fill="${on ? "#2c9a70" : "#c9c3b4"}"/><circle id="Knob" cx="${on ? 54 : 26}" cy="25" r="${pressed ? 16 : 14}" fill="#ffffff"/>${pressed ? '<circle id="Glow" cx="86" cy="25" r="6" fill="#f0c04e"/>' : ""}</svg>`;
  const names = [
    "Berth light off",
    "Berth light on",
    "Berth light off pressed",
    "Berth light on pressed",
  ];
  for (const [i, name] of names.entries()) {
    await page.evaluate(
      (t) => {
        const data = new DataTransfer();
        data.setData("text/plain", t);
        window.dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true }));
      },
      drawing(i % 2 === 1, i > 1),
    );
    await sleep(250);
    await page.keyboard.press("F2");
    await page.keyboard.type(name);
    await page.keyboard.press("Enter");
    await sleep(150);
    await page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await page.keyboard.press("Escape");
  }
  const line = (name: string) => page.$(`[role=treeitem][aria-label="${name}"]`);
  await (await line(names[0] as string))?.click();
  await page.keyboard.down("Control");
  for (const name of names.slice(1)) await (await line(name))?.click();
  await page.keyboard.up("Control");
  await (await line(names[3] as string))?.click({ button: "right" });
  await sleep(250);
  await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>("[role=menuitem]")]
      .find((m) => m.textContent?.startsWith("Gather"))
      ?.click(),
  );
  await sleep(1200);
};

/** The project as it is at night. */
const atNight = async (page: Page): Promise<void> => {
  await page.select("select[aria-label=Theme]", "night");
  await sleep(1200);
};

const views: { name: string; path: string; act?: (page: Page) => Promise<void> }[] = [
  { name: "projects", path: "/" },
  { name: "project", path: "/projects/kelpway-kit", act: (page) => atNight(page) },
  {
    name: "bench-sheet",
    path: "/projects/kelpway-kit/pieces/alert-switch",
    act: async (page) => {
      await look(page, "alerts-on.pressed-no");
      await choose(page, "knob");
      await press(page, '.try-host [data-layer="track"]');
      await sleep(90);
    },
  },
  {
    name: "bench-rules",
    path: "/projects/kelpway-kit/pieces/bicycle-tick-box",
    act: async (page) => {
      await choose(page, "square");
      await tab(page, "Rules");
      await press(page, '.try-host [data-layer="square"]');
      await sleep(400);
    },
  },
  {
    name: "bench-stage",
    path: "/projects/kelpway-kit/pieces/menu-button",
    act: async (page) => {
      await choose(page, "body");
      await look(page, "open-yes.contact-hovered");
      await sleep(200);
    },
  },
  { name: "gather", path: "/projects/kelpway-kit/pieces/seat-plan", act: gatherSeats },
  {
    name: "library",
    path: "/projects/kelpway-kit/system",
    act: () => sleep(1500),
  },
  {
    name: "component",
    path: "/projects/kelpway-kit/system/components/alert-switch",
    act: () => sleep(1500),
  },
  {
    name: "system",
    path: "/projects/kelpway-kit/system/tokens",
    act: async (page) => {
      await page.evaluate(() =>
        document.querySelector<HTMLElement>('[aria-label="Edit Kelp"]')?.click(),
      );
      await sleep(300);
    },
  },
  {
    name: "editions",
    path: "/projects/kelpway-kit/system/editions/compare?from=1.1.0&to=2.0.0",
    act: async (page) => {
      await page.waitForSelector(".difference-row");
      await page.evaluate(() =>
        [...document.querySelectorAll<HTMLElement>("label")]
          .find((label) => label.textContent?.startsWith("Patches"))
          ?.click(),
      );
      await sleep(2500);
    },
  },
  { name: "adopted", path: "/projects/island-app/system/adopted" },
  {
    name: "report",
    path: "/projects/island-app/system/adopted/kit?to=2.0.0",
    act: async (page) => {
      await page.waitForSelector(".report-row");
      await sleep(2500);
    },
  },
  {
    name: "history",
    path: "/projects/kelpway-kit/history?at=1",
    act: async (page) => {
      await page.waitForSelector(".moment-piece");
      await sleep(2500);
    },
  },
  {
    name: "bench-timing",
    path: "/projects/kelpway-kit/pieces/route-bell",
    act: async (page) => {
      await tab(page, "Timing");
      await sleep(1500);
      await page.select("select[aria-label=Rule]", "fill");
      await sleep(300);
      const ruler = await (await page.$(".lane-track.time"))?.boundingBox();
      if (ruler) await page.mouse.click(ruler.x + ruler.width * 0.27, ruler.y + 12);
      await page.evaluate(() =>
        document.querySelector<HTMLElement>(".lane-row.of-key .lane-name")?.click(),
      );
      await sleep(300);
    },
  },
  {
    name: "bench-map",
    path: "/projects/kelpway-kit/pieces/route-bell",
    act: async (page) => {
      await tab(page, "Map");
      await sleep(2500);
    },
  },
  {
    name: "bench-checks",
    path: "/projects/kelpway-kit/pieces/harbour-dock-bar",
    act: async (page) => {
      await tab(page, "Rules");
      await sleep(200);
      // one place can no longer be gone to
      await page.evaluate(() =>
        document.querySelectorAll<HTMLInputElement>(".rule .form-check-input")[0]?.click(),
      );
      await sleep(2500);
      await tab(page, "Checks");
      await sleep(300);
    },
  },
  {
    name: "bench-rehearsals",
    path: "/projects/kelpway-kit/pieces/sailing-card-deck",
    act: async (page) => {
      await tab(page, "Rehearsals");
      await sleep(2000);
      await page.evaluate(() =>
        [...document.querySelectorAll<HTMLElement>("button")]
          .find((b) => b.textContent === "Play in Try")
          ?.click(),
      );
      await sleep(620);
    },
  },
  {
    name: "bench-wiring",
    path: "/projects/kelpway-kit/pieces/deck-tabs",
    act: async (page) => {
      await choose(page, "sun-tab");
      await sleep(300);
      const socket = await (await page.$(".socket"))?.boundingBox();
      const to = await (await page.$('[data-variant="deck-sun"]'))?.boundingBox();
      if (!socket || !to) throw new Error("no socket");
      await page.mouse.move(socket.x + 9, socket.y + 9);
      await page.mouse.down();
      await page.mouse.move(to.x + 60, to.y + 70, { steps: 8 });
      await page.mouse.up();
      await sleep(300);
    },
  },
  {
    name: "play",
    path: "/projects/kelpway-kit/play",
    act: async (page) => {
      await press(page, '.play-host [data-layer="delays"] [data-layer="track"]');
      await sleep(400);
    },
  },
];

const folder = join(root, "build");
build(folder);
const harbour = await startHarbour(home, folder);
const { browser, close } = await launch();
try {
  mkdirSync(out, { recursive: true });
  // all, or those named
  for (const view of views.filter(
    (v) => process.argv.length < 3 || process.argv.includes(v.name),
  )) {
    // of its own: what one view is shown in is not kept for the next
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    // what compiles scripts on the fly wraps inner functions in a helper that the page does not
    // have
    await page.evaluateOnNewDocument("globalThis.__name ??= (f) => f");
    await page.goto(harbour.served.address + view.path, { waitUntil: "load" });
    await sleep(1200);
    await view.act?.(page);
    await sleep(150);
    await page.screenshot({ path: join(out, `${view.name}.png`) });
    await context.close();
    console.log(view.name);
  }
} finally {
  await close();
  await harbour.stop();
  rmSync(home, { recursive: true, force: true });
}
