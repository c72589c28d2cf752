import { describe, expect, it } from "vitest";
import { FORMAT } from "#core/project";
import type { Piece } from "#core/project";
import { kelpwayKit } from "../../demo/index";
import { Person, sleep } from "../support/browser";
import { Designer } from "../support/designer";
import { givenBrowser } from "../support/given";

const given = givenBrowser();

const bench = (id: string, piece: string) =>
  Designer.at(given.browser, given.projects.address(id, piece));

describe("twenty windows of one browser", () => {
  it("load, save and hear of one another over one stream", async () => {
    const ids = await Promise.all([0, 1, 2, 3].map(() => given.projects.fresh()));
    const windows: Person[] = [];
    for (let i = 0; i < 20; i++)
      windows.push(await Person.open(given.browser, given.projects.address(ids[i % 4] ?? "")));
    for (const [i, me] of windows.entries()) {
      await me.page.bringToFront();
      await me.box(".tile-item");
      await me.page.evaluate(
        async (project, n, format) => {
          const body = JSON.stringify({
            format,
            changeId: `twentywindows${n}`,
            clientId: "window",
            since: 0,
            base: 0,
            late: false,
            change: {
              label: "Start",
              ops: [{ op: "set", path: ["pieces", "alert-switch", "name"], value: `Switch ${n}` }],
            },
          });
          await fetch(`/projects/${project}/changes`, {
            method: "POST",
            body,
            headers: { "Content-Type": "application/json" },
          });
        },
        ids[i % 4] ?? "",
        i,
        FORMAT,
      );
    }
    for (const [i, me] of windows.entries()) {
      await me.page.bringToFront();
      await me.until(
        async () => expect(await me.text("main")).toContain(`Switch ${16 + (i % 4)}`),
        15_000,
      );
      expect(me.complaints).toEqual([]);
    }
    const kinds = given.browser.targets().map((target): string => target.type());
    expect(kinds.filter((kind) => kind === "shared_worker").length).toBe(1);
    for (const me of windows) await me.page.close();
  });
});

describe("text that no database keeps", () => {
  it("is cleaned, saved, and holds nothing up", async () => {
    const id = await given.projects.fresh();
    const me = await bench(id, "alert-switch");
    await me.find("treeitem", "Knob");
    await me.pasteText("Boat \u0000 times \ud83d and \udc00 more");
    await me.saved();
    await me.pasteText(
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9"><g id="  &#8; "><rect id="Gull&#0;" width="4" height="4" fill="red"/></g></svg>`,
    );
    await me.until(async () =>
      expect(await me.text(".scope-hint")).toContain("the impossible character &#0;"),
    );
    await me.saved();
    await me.rename("Knob", "Handle");
    await me.saved();
    const piece = (await given.projects.kept(id))?.pieces["alert-switch"] as Piece;
    const texts = Object.values(piece.looks.base?.changes ?? {})
      .map((c) => c.text)
      .filter(Boolean);
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
    const layers = Object.fromEntries(
      Array.from({ length: 2000 }, (_, i) => [
        `wave${i}`,
        { id: `wave${i}`, kind: "box" as const, name: `Wave ${i}`, parent: "root", order: "a1" },
      ]),
    );
    const changes = Object.fromEntries(
      Object.keys(layers).map((l, i) => [
        l,
        { x: i, y: i, width: 4, height: 4, fill: "#8fb5a9", label: "x".repeat(450) },
      ]),
    );
    const large: Piece = {
      ...base,
      id: "large",
      name: "Wide sea",
      layers: { ...base.layers, ...layers },
      looks: {
        ...base.looks,
        base: {
          ...base.looks.base,
          id: "base",
          when: {},
          order: "a0",
          changes: { ...base.looks.base?.changes, ...changes },
        },
      },
    };
    const id = await given.projects.fresh({ ...kit, pieces: { ...kit.pieces, large } });
    expect(JSON.stringify(large).length).toBeGreaterThan(1_200_000);
    const me = await Person.open(given.browser, given.projects.address(id));
    await me.click("button", "Actions for Wide sea");
    await me.click("button", "Delete");
    await me.until(async () => expect(await me.text(".notices")).toContain("Deleted Wide sea."));
    await me.saved();
    expect((await given.projects.kept(id))?.pieces.large).toBeUndefined();
    await me.click("button", "Undo", ".notice");
    await me.until(async () => expect(await me.text("main")).toContain("Wide sea"));
    await me.saved();
    expect((await given.projects.kept(id))?.pieces.large).toEqual(large);
    expect(await me.page.$(".notice")).toBeNull();
    await me.press("Control", "Shift", "z");
    await me.until(async () => expect(await me.text("main")).not.toContain("Wide sea"));
    await me.press("Control", "z");
    await me.until(async () => expect(await me.text("main")).toContain("Wide sea"));
    await me.click("button", "Actions for Wide sea");
    await me.click("button", "Duplicate");
    await me.until(async () =>
      expect(
        Object.values((await given.projects.kept(id))?.pieces ?? {}).map((p) => p.name),
      ).toContain("Wide sea 2"),
    );
    await me.saved();
    expect(await me.page.$$eval(".aside-mark, .notice.bad", (all) => all.length)).toBe(0);
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });
});

describe("a browser that keeps nothing", () => {
  it("is not said to keep: the mark says so, and the window asks before it is closed", async () => {
    const id = await given.projects.fresh();
    const me = new Designer(await given.browser.newPage());
    await me.page.evaluateOnNewDocument(() => {
      IDBFactory.prototype.open = () => {
        throw new DOMException("no room", "QuotaExceededError");
      };
    });
    await me.page.goto(given.projects.address(id, "cabin-climate"), { waitUntil: "load" });
    await me.find("treeitem", "Porthole");
    await me.page.setOfflineMode(true);
    await me.nudge("Porthole", 2);
    await me.until(
      async () =>
        expect(await me.text(".save")).toMatch(
          /(1 change is|2 changes are) only in this window: keep it open/,
        ),
      20_000,
    );
    await me.page.setOfflineMode(false);
    await me.saved();
    await me.page.setOfflineMode(true);
    await me.nudge("Porthole");
    await sleep(300);
    await me.page.goto("about:blank").catch(() => undefined);
    expect(me.dialogs).toEqual(["beforeunload"]);
    await me.page.close();
  });
});

describe("every day", () => {
  it("the sheet keeps the first character that is typed, also when the cell shows just that", async () => {
    const id = await given.projects.fresh();
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
    const id = await given.projects.fresh();
    const me = await bench(id, "alert-switch");
    await me.find("treeitem", "Knob");
    for (const tab of await me.page.$$("[role=tab]"))
      if ((await tab.evaluate((t) => t.textContent ?? "")).startsWith("Rules")) await tab.click();
    await me.pick("Effect", "animate lanes only", ".rules .rule:nth-child(1)");
    await me.until(async () =>
      expect(
        Object.values((await given.projects.kept(id))?.pieces["alert-switch"]?.rules ?? {}).some(
          (r) => r.effects.some((e) => e.type === "stir"),
        ),
      ).toBe(true),
    );
    await me.page.close();
  });
});
