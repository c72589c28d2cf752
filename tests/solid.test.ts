import type { Browser, Page } from "puppeteer-core";
import { afterAll, beforeAll, describe, expect, inject, it } from "vitest";
import type { Sequelize } from "sequelize";
import { newId, set } from "#core/project";
import type { Piece, Project } from "#core/project";
import { openDatabase, ProjectLog } from "#server";
import { kelpwayKit } from "../demo/index";
import { launch, Person, sleep } from "./support/browser";
import { Designer } from "./support/designer";

let browser: Browser, close: () => Promise<void>, db: Sequelize, log: ProjectLog;
beforeAll(async () => {
  ({ browser, close } = await launch());
  db = openDatabase(inject("databaseUrl"));
  log = new ProjectLog(db);
});
afterAll(async () => {
  await close();
  await db.close();
});

const fresh = async (project: Project = kelpwayKit()): Promise<string> => {
  const id = newId();
  await log.create(id, project);
  return id;
};
const bench = (id: string, piece: string) => Designer.at(browser, `${inject("address")}/projects/${id}/pieces/${piece}`);
const kept = async (id: string) => (await log.read(id))?.project;
const portholeX = async (id: string) => (await kept(id))?.pieces["cabin-climate"]?.looks.base?.changes.porthole?.x;

/** Nudges the porthole on the stage. */
const nudge = async (me: Person, times = 1) => {
  await me.click("treeitem", "Porthole");
  await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
  for (let i = 0; i < times; i++) await me.press("Shift", "ArrowRight");
};

/** From now on nothing this window asks for arrives, or it does again. */
const cut = async (page: Page, offline: boolean) => page.setOfflineMode(offline);

describe("twenty windows of one browser", () => {
  it("load, save and hear of one another over one stream", async () => {
    const ids = await Promise.all([0, 1, 2, 3].map(() => fresh()));
    const windows: Person[] = [];
    for (let i = 0; i < 20; i++) windows.push(await Person.open(browser, `${inject("address")}/projects/${ids[i % 4]}`));
    for (const [i, me] of windows.entries()) {
      await me.page.bringToFront();
      await me.box(".tile-item");
      await me.page.evaluate(async (project, n) => {
        const body = JSON.stringify({ changeId: `twentywindows${n}`, clientId: "window", since: 0, base: 0, late: false, change: { label: "Start", ops: [{ op: "set", path: ["pieces", "alert-switch", "name"], value: `Switch ${n}` }] } });
        await fetch(`/projects/${project}/changes`, { method: "POST", body, headers: { "Content-Type": "application/json" } });
      }, ids[i % 4] ?? "", i);
    }
    for (const [i, me] of windows.entries()) {
      await me.page.bringToFront();
      await me.until(async () => expect(await me.text("main")).toContain(`Switch ${16 + (i % 4)}`), 15_000);
      expect(me.complaints).toEqual([]);
    }
    expect(browser.targets().filter((t) => t.type() === "shared_worker").length).toBe(1);
    for (const me of windows) await me.page.close();
  });
});

describe("text that no database keeps", () => {
  it("is cleaned, saved, and holds nothing up", async () => {
    const id = await fresh();
    const me = await bench(id, "alert-switch");
    await me.find("treeitem", "Knob");
    await me.pasteText("Boat \u0000 times \ud83d and \udc00 more");
    await me.saved();
    await me.pasteText(`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><g id="  &#8; "><rect id="Gull&#0;" width="4" height="4" fill="red"/></g></svg>`);
    await me.until(async () => expect(await me.text(".scope-hint")).toContain("the impossible character &#0;"));
    await me.saved();
    await me.rename("Knob", "Handle");
    await me.saved();
    const piece = (await kept(id))?.pieces["alert-switch"] as Piece;
    const texts = Object.values(piece.looks.base?.changes ?? {}).map((c) => c.text).filter(Boolean);
    expect(texts).toContain("Boat  times \ufffd and \ufffd more");
    expect(Object.values(piece.layers).map((l) => l.name)).toContain("Gull");
    expect(piece.layers.knob?.name).toBe("Handle");
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });
});

describe("a large piece", () => {
  it("can be removed, brought back and duplicated, and each time one thing is said", async () => {
    const kit = kelpwayKit();
    const base = kit.pieces["alert-switch"] as Piece;
    const layers = Object.fromEntries(Array.from({ length: 2000 }, (_, i) => [`wave${i}`, { id: `wave${i}`, kind: "box" as const, name: `Wave ${i}`, parent: "root", order: "a1" }]));
    const changes = Object.fromEntries(Object.keys(layers).map((l, i) => [l, { x: i, y: i, width: 4, height: 4, fill: "#8fb5a9", label: "x".repeat(450) }]));
    const large: Piece = { ...base, id: "large", name: "Wide sea", layers: { ...base.layers, ...layers }, looks: { ...base.looks, base: { ...base.looks.base, id: "base", when: {}, order: "a0", changes: { ...base.looks.base?.changes, ...changes } } } };
    const id = await fresh({ ...kit, pieces: { ...kit.pieces, large } });
    expect(JSON.stringify(large).length).toBeGreaterThan(1_200_000);
    const me = await Person.open(browser, `${inject("address")}/projects/${id}`);
    await me.click("button", "More for Wide sea");
    await me.click("button", "Remove");
    await me.saved();
    expect((await kept(id))?.pieces.large).toBeUndefined();
    await me.click("button", "Undo", ".notice");
    await me.until(async () => expect(await me.text("main")).toContain("Wide sea"));
    await me.saved();
    expect((await kept(id))?.pieces.large).toEqual(large);
    await me.click("button", "More for Wide sea");
    await me.click("button", "Duplicate");
    await me.until(async () => expect(Object.values((await kept(id))?.pieces ?? {}).map((p) => p.name)).toContain("Wide sea 2"));
    await me.saved();
    expect(await me.page.$$eval(".aside-mark, .notice.bad", (all) => all.length)).toBe(0);
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });
});

describe("what was made offline", () => {
  it("does not go over what is newer: it is shown, with what it would change, and chosen", async () => {
    const id = await fresh();
    const [me, other] = [await bench(id, "cabin-climate"), await bench(id, "cabin-climate")];
    const before = (await portholeX(id)) as number;
    await me.page.bringToFront();
    await me.find("treeitem", "Porthole");
    await cut(me.page, true);
    await nudge(me, 3);
    await me.until(async () => expect(await me.text(".save")).toMatch(/Not saved yet: .*kept in this browser/), 20_000);
    await other.page.bringToFront();
    await nudge(other, 1);
    await other.saved();
    await me.page.bringToFront();
    await cut(me.page, false);
    await me.until(async () => expect(await me.text(".aside-mark")).toBe("1 edit set aside"));
    await me.saved();
    await (await me.page.$(".aside-mark"))?.click();
    const dialog = await me.text("[role=dialog]");
    expect(dialog).toMatch(/Others changed it since: “Set x of Porthole”/);
    expect(dialog).toMatch(new RegExp(`x of “Porthole” in “Cabin climate”\\s+${before + 10}\\s+${before + 30}`));
    expect(await portholeX(id)).toBe(before + 10);
    await me.click("button", "Use mine: Set x of Porthole");
    await me.until(async () => expect(await portholeX(id)).toBe(before + 30));
    await me.press("Escape");
    await me.saved();
    await other.page.bringToFront();
    await other.until(async () => expect(await other.page.$eval(".sheet [data-key=x] .cell-text", (e) => e.textContent)).toBe(String(before + 30)));
    for (const p of [me, other]) await p.page.close();
  });

  it("is left as others have it when that is chosen, and not asked about again", async () => {
    const id = await fresh();
    const me = await bench(id, "cabin-climate");
    await me.find("treeitem", "Porthole");
    await cut(me.page, true);
    await nudge(me, 1);
    await me.until(async () => expect(await me.text(".save")).toContain("Not saved yet"), 20_000);
    const change = { label: "Align", ops: [set(["pieces", "cabin-climate", "looks", "base", "changes", "porthole", "x"], 7)] };
    await log.append(id, { changeId: newId(), clientId: "elsewhere", since: 0, base: 0, late: false, change });
    await cut(me.page, false);
    await me.until(async () => expect(await me.text(".aside-mark")).toBe("1 edit set aside"));
    await (await me.page.$(".aside-mark"))?.click();
    await me.click("button", "Keep what is there: Set x of Porthole");
    await me.until(async () => expect(await me.text("[role=dialog]")).toContain("Nothing is set aside any more."));
    await me.press("Escape");
    await me.page.reload();
    await me.find("treeitem", "Porthole");
    expect(await me.page.$(".aside-mark")).toBeNull();
    expect(await portholeX(id)).toBe(7);
    await me.page.close();
  });

  it("is told live, with one's own value to take back, where both worked at the same moment", async () => {
    const id = await fresh();
    const [me, other] = [await bench(id, "cabin-climate"), await bench(id, "cabin-climate")];
    await me.page.bringToFront();
    await nudge(me);
    await me.saved();
    const mine = await portholeX(id);
    // somebody who has not heard of it yet
    await log.append(id, { changeId: newId(), clientId: "elsewhere", since: 0, base: 0, late: false, change: { label: "Align", ops: [set(["pieces", "cabin-climate", "looks", "base", "changes", "porthole", "x"], 7)] } });
    await other.page.evaluate(async (project) => {
      await fetch(`/projects/${project}/changes`, { method: "POST", headers: { "Content-Type": "application/json" }, body: JSON.stringify({ changeId: "alignedatonce", clientId: "elsewhere", since: 2, base: 0, late: false, change: { label: "Align", ops: [{ op: "set", path: ["pieces", "cabin-climate", "looks", "base", "changes", "porthole", "x"], value: 8 }] } }) });
    }, id);
    await me.until(async () => expect(await me.text(".notice")).toContain("Another window changed x of “Porthole” in “Cabin climate” at the same time as you (“Align”)"));
    await me.click("button", "Use mine");
    await me.until(async () => expect(await portholeX(id)).toBe(mine));
    for (const p of [me, other]) await p.page.close();
  });
});

describe("a browser that keeps nothing", () => {
  it("is not said to keep: the mark says so, and the window asks before it is closed", async () => {
    const id = await fresh();
    const me = new Person(await browser.newPage());
    await me.page.evaluateOnNewDocument(() => { IDBFactory.prototype.open = () => { throw new DOMException("no room", "QuotaExceededError"); }; });
    await me.page.goto(`${inject("address")}/projects/${id}/pieces/cabin-climate`, { waitUntil: "load" });
    await me.find("treeitem", "Porthole");
    await cut(me.page, true);
    await nudge(me, 2);
    await me.until(async () => expect(await me.text(".save")).toMatch(/(One change is|2 changes are) only in this window: leave it open/), 20_000);
    await cut(me.page, false);
    await me.saved();
    await cut(me.page, true);
    await nudge(me, 1);
    await sleep(300);
    await me.page.goto("about:blank").catch(() => undefined);
    expect(me.dialogs).toEqual(["beforeunload"]);
    await me.page.close();
  });
});

describe("every day", () => {
  it("the sheet keeps the first character that is typed, also when the cell shows just that", async () => {
    const id = await fresh();
    const me = await bench(id, "cabin-climate");
    await me.choose("Porthole");
    const first = async (value: string) => {
      const box = await me.cellBox("x", "only variant");
      await me.page.mouse.click(box.x + 20, box.y + box.height / 2);
      await sleep(60);
      await me.type(value);
      await me.press("Enter");
    };
    await first("2");
    await me.until(async () => expect((await me.cell("x", "only variant"))?.text).toBe("2"));
    await first("26");
    await me.until(async () => expect((await me.cell("x", "only variant"))?.text).toBe("26"));
    await first("2");
    await first("2.5");
    await me.until(async () => expect((await me.cell("x", "only variant"))?.text).toBe("2.5"));
    await me.page.close();
  });

  it("the effect in which only lanes move can be chosen", async () => {
    const id = await fresh();
    const me = await bench(id, "alert-switch");
    await me.find("treeitem", "Knob");
    for (const tab of await me.page.$$("[role=tab]")) if ((await tab.evaluate((t) => t.textContent ?? "")).startsWith("Rules")) await tab.click();
    await me.pick("Effect", "stir: only its lanes move", ".rules .rule:nth-child(1)");
    await me.until(async () => expect(Object.values((await kept(id))?.pieces["alert-switch"]?.rules ?? {}).some((r) => r.effects.some((e) => e.type === "stir"))).toBe(true));
    await me.page.close();
  });
});
