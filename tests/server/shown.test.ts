import { rmSync } from "node:fs";
import { join } from "node:path";
import type { Browser } from "puppeteer-core";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import { FORMAT, newId, set } from "#core/project";
import routes from "../../app/routes";
import { freePort } from "../../scripts/run/postgres";
import { LogFile } from "../../scripts/run/logs";
import { serve } from "../../scripts/serve";
import type { Served } from "../../scripts/serve";
import { launch } from "../support/browser";
import { Designer } from "../support/designer";
import { Projects } from "../support/projects";
import { makeScratch } from "../../scripts/run/scratch";

const home = makeScratch("shown");
let projects: Projects;
let id = "";
let served: Served;
let origin = "";
let browser: Browser;
let close: () => Promise<void>;

beforeAll(async () => {
  projects = new Projects();
  id = await projects.fresh();
  const port = await freePort(25_000 + Math.floor(Math.random() * 2000));
  const playPort = await freePort(port + 1);
  origin = `http://127.0.0.1:${playPort}`;
  served = await serve({
    build: inject("build"),
    port,
    databaseUrl: inject("databaseUrl"),
    log: new LogFile(join(home, "server.log")),
    shown: { host: "127.0.0.1", origin, secret: "a secret of this test" },
  });
  ({ browser, close } = await launch());
});
afterAll(async () => {
  await close();
  await served.stop();
  await projects.close();
  rmSync(home, { recursive: true, force: true });
});

const status = (path: string, init: RequestInit = {}): Promise<number> =>
  fetch(`${origin}${path}`, init).then(async (response) => {
    await response.body?.cancel();
    return response.status;
  });

/** Every address that the app has a page or data for, with our project in it. */
const addresses = (list: typeof routes, before = ""): string[] =>
  list.flatMap((r) => {
    const path = r.path === undefined ? before : `${before}/${r.path}`;
    const filled = path
      .replace(":projectId", id)
      .replace(":pieceId?", "trip-settings")
      .replace(":pieceId", "trip-settings")
      .replace("/:name?", "")
      .replace(":hash", "some-file")
      .replace("*", "anywhere");
    return [filled || "/", ...addresses(r.children ?? [], path)];
  });

/** What somebody at the editor sees in Play's menu. */
const phoneAddress = async (): Promise<string> => {
  const me = await Designer.at(browser, `${served.address}/projects/${id}/play/trip-settings`);
  await me.click("button", "More");
  const link = await me.find("link", "Open the address");
  const address = await link.evaluate((a) => (a as HTMLAnchorElement).href);
  expect(await me.page.$(".play-phone svg[role=img]")).not.toBeNull();
  expect(me.complaints).toEqual([]);
  await me.page.close();
  return address;
};

describe("where prototypes are shown to a phone in the same room", () => {
  it("no page, data or action of the editor answers, whatever is asked and how", async () => {
    const others = addresses(routes).filter((a) => !a.startsWith("/shown"));
    expect(others.length).toBeGreaterThan(8);
    const paths = [...others, ...others.map((a) => `${a}.data`), "/live", "/__manifest"];
    for (const path of paths) {
      expect(await status(path), path).toBe(404);
      for (const method of ["POST", "PUT", "PATCH", "DELETE"])
        expect(await status(path, { method }), `${method} ${path}`).toBe(405);
    }
  });

  it("only the very address opens a project, and that only", async () => {
    const address = await phoneAddress();
    const { pathname } = new URL(address);
    expect(address.startsWith(`${origin}/shown/${id}/`)).toBe(true);
    const [, , , key = ""] = pathname.split("/");
    expect(await status(pathname)).toBe(200);
    for (const wrong of [
      `/shown/${id}`,
      `/shown/${id}/`,
      `/shown/${id}/${key.slice(0, -1)}`,
      `/shown/${id}/${key.toLowerCase()}`,
      `/shown/kelpway-kit/${key}`,
      `/shown/${id}/wrong/live?after=0`,
      `/shown/${id}/${key}/trip-settings/name/more`,
    ])
      expect(await status(wrong), wrong).toBe(404);
    expect(await status(pathname, { method: "POST" })).toBe(405);
    const other = await fetch(`${origin}${pathname}`, {
      headers: { "Sec-Fetch-Site": "cross-site" },
    });
    expect(other.status).toBe(403);
  });

  it("is used with a finger, follows edits without losing its state, and leads nowhere else", async () => {
    const phone = new Designer(await browser.newPage());
    await phone.page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
    await phone.page.goto(await phoneAddress(), { waitUntil: "load" });
    const knob = await phone.box('.play-host [data-layer="delays"] [data-layer="track"]');
    await phone.page.touchscreen.tap(knob.x + knob.width / 2, knob.y + knob.height / 2);
    const track = () =>
      phone.page.$eval('.play-host [data-layer="delays"] [data-layer="track"] rect', (r) =>
        r.getAttribute("fill"),
      );
    await phone.until(async () => expect(await track()).toBe("#2c9a70"));
    const label = ["pieces", "trip-settings", "looks", "base", "changes", "title", "text"];
    const answer = await fetch(`${served.address}/projects/${id}/changes`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({
        format: FORMAT,
        changeId: newId(),
        clientId: "the-editor",
        since: 0,
        base: 0,
        late: false,
        change: { label: "Text", ops: [set(label, "Your journey")] },
      }),
    });
    expect(answer.status).toBe(200);
    await phone.until(async () =>
      expect(
        await phone.page.$$eval(".play-host text", (all) => all.map((t) => t.textContent)),
      ).toContain("Your journey"),
    );
    expect(await track()).toBe("#2c9a70");
    const links = await phone.page.$$eval("a[href]", (all) =>
      all.map((a) => a.getAttribute("href")),
    );
    expect(links.filter((l) => l?.includes("/projects"))).toEqual([]);
    await phone.page.reload({ waitUntil: "load" });
    await phone.until(async () => expect(await track()).toBe("#2c9a70"));
    expect(phone.complaints).toEqual([]);
  });
});
