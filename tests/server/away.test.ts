import { rmSync } from "node:fs";
import type { Browser } from "puppeteer-core";
import { afterAll, beforeAll, describe, expect, inject, it, vi } from "vitest";
import { FORMAT, newId, set } from "#core/project";
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
  home = makeScratch("away");
  harbour = await startHarbour(home, inject("build"));
  ({ browser, close: closeBrowser } = await launch());
});
afterAll(async () => {
  await closeBrowser();
  await harbour.stop();
  rmSync(home, { recursive: true, force: true });
});

const bench = () =>
  Person.open(browser, `${harbour.served.address}/projects/kelpway-kit/pieces/cabin-climate`);
/** What the database has, read by somebody who was not there. */
const kept = async (): Promise<Project> => {
  const db = openDatabase(harbour.postgres.url);
  try {
    const snapshot = await new ProjectLog(db).read("kelpway-kit");
    if (!snapshot) throw new Error("the project is gone");
    return snapshot.project;
  } finally {
    await db.close();
  }
};
const x = (p: Project) => p.pieces["cabin-climate"]?.looks.base?.changes.porthole?.x as number;

describe("when the database dies in the middle of editing", () => {
  it("editing goes on, says why it is not saved, and is saved when the database is back", async () => {
    const me = await bench();
    await me.find("treeitem", "Porthole");
    const before = x(await kept());
    await harbour.postgres.kill();
    await me.page.focus("[data-line=root]");
    await me.click("treeitem", "Porthole");
    await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await nudgeOnStage(me, 3);
    await me.until(
      async () =>
        expect(await me.text(".save")).toContain("Not saved: the database is not responding"),
      15_000,
    );
    await nudgeOnStage(me, 2);
    expect(await me.page.$eval(".sheet [data-key=x] .cell-text", (e) => e.textContent)).toBe(
      String(before + 50),
    );
    await harbour.postgres.restart();
    await me.until(async () => expect(await me.text(".save")).toBe("Saved"), 20_000);
    expect(x(await kept())).toBe(before + 50);
    await me.page.close();
  });

  it("a page opened meanwhile says so, and works again afterwards", async () => {
    await harbour.postgres.kill();
    const me = await Person.open(browser, `${harbour.served.address}/`);
    expect(await me.text("h1")).toBe("The database is not responding");
    await harbour.postgres.restart();
    await me.until(async () => {
      if ((await me.text("h1")) === "Projects") return;
      await me.click("button", "Try again");
      await sleep(400);
      expect(await me.text("h1")).toBe("Projects");
    }, 60_000);
    await me.page.close();
  });
});

/** Arrow keys with the focus on the stage, not in the tree. */
const nudgeOnStage = async (me: Person, times: number) => {
  for (let i = 0; i < times; i++) await me.press("Shift", "ArrowRight");
};

describe("when the server dies in the middle of a save", () => {
  it("edits made before and after are saved once it is back, each once", async () => {
    const me = await bench();
    const before = x(await kept());
    await me.click("treeitem", "Porthole");
    await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await nudgeOnStage(me, 2);
    await sleep(155);
    await harbour.served.stop("SIGKILL");
    await nudgeOnStage(me, 3);
    await me.until(
      async () => expect(await me.text(".save")).toContain("the server is not responding"),
      15_000,
    );
    await harbour.serveAgain();
    await me.until(async () => expect(await me.text(".save")).toBe("Saved"), 20_000);
    expect(x(await kept())).toBe(before + 50);
    await me.page.close();
  });

  it("edits of a window that was closed unsaved are saved by the next visit", async () => {
    const me = await bench();
    const before = x(await kept());
    await me.click("treeitem", "Porthole");
    await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await harbour.served.stop("SIGKILL");
    await nudgeOnStage(me, 4);
    await me.until(
      async () => expect(await me.text(".save")).toContain("kept in this browser"),
      15_000,
    );
    await me.page.close();
    await harbour.serveAgain();
    const again = await bench();
    await again.until(async () => expect(x(await kept())).toBe(before + 40), 15_000);
    await again.page.close();
  });

  it("whatever was acknowledged is there, however often server and database are killed", async () => {
    const acknowledged: { seq: number; value: number }[] = [];
    let value = 5000;
    let over = false;
    const change = () => ({
      label: "x",
      ops: [set(["pieces", "cabin-climate", "looks", "base", "changes", "porthole", "y"], ++value)],
    });
    const writer = (async () => {
      while (!over) {
        const body = JSON.stringify({
          format: FORMAT,
          changeId: newId(),
          clientId: "window",
          since: 0,
          base: 0,
          late: false,
          change: change(),
        });
        const sent = value;
        const answer = await fetch(`${harbour.served.address}/projects/kelpway-kit/changes`, {
          method: "POST",
          headers: { "Content-Type": "application/json" },
          body,
        })
          .then((r) => r.json() as Promise<{ kind: string; seq?: number }>)
          .catch(() => null);
        if (answer?.kind === "kept" && answer.seq !== undefined)
          acknowledged.push({ seq: answer.seq, value: sent });
        else await sleep(20);
      }
    })();
    const acknowledges = (more: number) => {
      const enough = acknowledged.length + more;
      return vi.waitFor(() => expect(acknowledged.length).toBeGreaterThan(enough), 20_000);
    };
    for (let i = 0; i < 3; i++) {
      // however slow the machine is, it is killed amid work
      await acknowledges(10);
      await sleep(i * 130);
      await harbour.served.stop("SIGKILL");
      await harbour.serveAgain();
      await sleep(300);
      await harbour.postgres.kill();
      await harbour.postgres.restart();
    }
    await acknowledges(5);
    over = true;
    await writer;
    const db = openDatabase(harbour.postgres.url);
    const [rows] = (await db.query(
      "select seq, ops from changes where project_id = 'kelpway-kit'",
    )) as [{ seq: number; ops: { value: number }[] }[], unknown];
    await db.close();
    const bySeq = new Map(rows.map((r) => [r.seq, r.ops[0]?.value]));
    expect(acknowledged.filter((a) => bySeq.get(a.seq) !== a.value)).toEqual([]);
  });
});
