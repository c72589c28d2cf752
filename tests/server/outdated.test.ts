import { rmSync } from "node:fs";
import type { Browser, HTTPRequest } from "puppeteer-core";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import type { Project } from "#core/project";
import { openDatabase, ProjectLog } from "#server";
import { launch, Person, sleep } from "../support/browser";
import { startHarbour } from "../support/servers/harbour";
import type { Harbour } from "../support/servers/harbour";
import { makeScratch } from "../../scripts/run/scratch";

let browser: Browser;
let closeBrowser: () => Promise<void>;
let harbour: Harbour;
let home: string;
beforeAll(async () => {
  home = makeScratch("outdated");
  harbour = await startHarbour(home, inject("build"));
  ({ browser, close: closeBrowser } = await launch());
});
afterAll(async () => {
  await closeBrowser();
  await harbour.stop();
  rmSync(home, { recursive: true, force: true });
});

const kept = async (): Promise<number> => {
  const db = openDatabase(harbour.postgres.url);
  try {
    const snapshot = await new ProjectLog(db).read("kelpway-kit");
    const project: Project | undefined = snapshot?.project;
    return project?.pieces["cabin-climate"]?.looks.base?.changes.porthole?.x as number;
  } finally {
    await db.close();
  }
};

/** A window to which a newer server answers that it is of an older build, as long as `isOld`. */
const olderWindow = async () => {
  const me = await Person.open(
    browser,
    `${harbour.served.address}/projects/kelpway-kit/pieces/cabin-climate`,
  );
  const window = { me, isOld: true, loads: 0, refused: 0 };
  me.page.on("load", () => window.loads++);
  await me.page.setRequestInterception(true);
  me.page.on("request", (request: HTTPRequest) => {
    const isSave = request.method() === "POST" && request.url().endsWith("/changes");
    if (!isSave || !window.isOld) return void request.continue();
    window.refused++;
    void request.respond({
      status: 409,
      contentType: "application/json",
      body: JSON.stringify({ kind: "outdated" }),
    });
  });
  return window;
};

const nudge = async (me: Person, times: number) => {
  await me.click("treeitem", "Porthole");
  await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
  for (let i = 0; i < times; i++) await me.press("Shift", "ArrowRight");
};

describe("a window of an older build", () => {
  it("loads anew once with what it could not save, shows it, and saves it when it can", async () => {
    const before = await kept();
    const window = await olderWindow();
    const { me } = window;
    await me.find("treeitem", "Porthole");
    await nudge(me, 3);
    await me.until(() => Promise.resolve(expect(window.loads).toBe(1)), 15_000);
    // the one it loaded is no newer: it does not load again and again, and keeps what it has
    await me.find("treeitem", "Porthole");
    await me.until(() => Promise.resolve(expect(window.refused).toBeGreaterThan(1)), 15_000);
    await sleep(2500);
    expect(window.loads).toBe(1);
    expect(await kept()).toBe(before);
    expect(await me.text(".save")).toContain("Nubble was updated");
    // now it is
    window.isOld = false;
    await me.page.reload();
    await me.until(async () => expect(await kept()).toBe(before + 30), 20_000);
    await me.until(async () => expect(await me.text(".save")).toBe("Saved"), 20_000);
    await me.click("treeitem", "Porthole");
    await me.until(async () =>
      expect(await me.page.$eval(".sheet [data-key=x] .cell-text", (e) => e.textContent)).toBe(
        String(before + 30),
      ),
    );
    await me.page.close();
  });
});
