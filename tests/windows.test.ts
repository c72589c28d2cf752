import { describe, expect, inject, it } from "vitest";
import { becomes, Builder } from "./support/pieces";
import { Person, sleep } from "./support/browser";
import { givenBrowser } from "./support/given";

const given = givenBrowser();
const address = () => inject("address");

describe("two windows on one project", () => {
  it("each shows the other's edits soon after, and edits of both survive", async () => {
    const id = await given.projects.fresh();
    const url = `${address()}/projects/${id}/pieces/cabin-climate`;
    const [one, two] = [
      await Person.open(given.browser, url),
      await Person.open(given.browser, url),
    ];
    for (const p of [one, two]) {
      await p.page.bringToFront();
      await p.click("treeitem", "Porthole");
      await p.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    }
    const value = (p: Person, key: string) =>
      p.page.$eval(`.sheet [data-key=${key}] .cell-text`, (e) => e.textContent);
    await one.page.bringToFront();
    await one.press("Shift", "ArrowRight");
    await two.page.bringToFront();
    await two.press("Shift", "ArrowDown");
    for (const p of [one, two]) {
      await p.until(
        async () => expect([await value(p, "x"), await value(p, "y")]).toEqual(["135", "186"]),
        6000,
      );
    }
    await one.page.bringToFront();
    await one.press("Control", "z");
    await two.until(
      async () => expect([await value(two, "x"), await value(two, "y")]).toEqual(["125", "186"]),
      6000,
    );
    expect([...one.complaints, ...two.complaints]).toEqual([]);
    await one.page.close();
    await two.page.close();
  });

  it("a rename shows in the other window's tree and title bar", async () => {
    const id = await given.projects.fresh();
    const [one, two] = [
      await Person.open(given.browser, `${address()}/projects/${id}/pieces/alert-switch`),
      await Person.open(given.browser, `${address()}/projects/${id}`),
    ];
    await two.page.bringToFront();
    await two.click("button", "Actions for Alert switch");
    await two.click("button", "Rename");
    await two.find("textbox", "Name");
    await two.type("Berth switch");
    await two.press("Enter");
    await one.page.bringToFront();
    await one.find("treeitem", "Berth switch");
    await one.page.close();
    await two.page.close();
  });
});

describe("bad input", () => {
  it("unknown projects, pieces, screens and pages say so and lead back", async () => {
    for (const [path, words] of [
      ["/projects/nowhere", "Page not found"],
      ["/projects/kelpway-kit/pieces/nowhere", "Piece not found"],
      ["/projects/kelpway-kit/play/nowhere", "Screen not found"],
      ["/nowhere/at/all", "Page not found"],
    ] as const) {
      const me = await Person.open(given.browser, address() + path);
      expect(await me.text("h1")).toBe(words);
      await me.page.click("main a.btn");
      await me.until(async () => expect(await me.text("h1")).toMatch(/Projects|Kelpway kit/));
      await me.page.close();
    }
  });

  it("a rule whose layer was removed is shown as broken, and a loop without time is stopped and told in Try", async () => {
    const b = new Builder();
    const piece = b.new("component", "Beacon");
    const lamp = b.layer("box", { x: 20, y: 20 });
    const lit = b.trait("Lit", "no", "yes");
    b.rule({ source: lamp, effects: [becomes(lit.id, lit.v.yes as string)] });
    b.rule({
      trigger: { type: "delay", ms: 0 },
      when: { [lit.id]: [lit.v.yes as string] },
      effects: [becomes(lit.id, lit.v.no as string)],
    });
    b.rule({
      trigger: { type: "delay", ms: 0 },
      when: { [lit.id]: [lit.v.no as string] },
      effects: [becomes(lit.id, lit.v.yes as string)],
    });
    const id = await given.projects.fresh(b.project);
    const me = await Person.open(given.browser, `${address()}/projects/${id}/pieces/${piece}`);
    await me.until(async () => expect(await me.text(".log")).toContain("endless loop stopped"));
    await me.click("tab", "Rules 3");
    expect(await me.page.$$eval(".rule.troubled", (r) => r.length)).toBe(0);
    await me.click("treeitem", "Box");
    await me.press("Delete");
    await me.until(async () =>
      expect(await me.text(".rule.troubled .trouble")).toContain("its layer was deleted"),
    );
    await me.press("Control", "z");
    await me.until(async () =>
      expect(await me.page.$$eval(".rule.troubled", (r) => r.length)).toBe(0),
    );
    expect(me.complaints).toEqual([]);
    await me.page.close();
  });

  it("an over-large change is refused with the reason, and the editor stays usable", async () => {
    const id = await given.projects.fresh();
    const me = await Person.open(given.browser, `${address()}/projects/${id}/pieces/alert-switch`);
    await me.find("treeitem", "Label");
    const refused = await me.page.evaluate(async (project) => {
      const ops = Array.from({ length: 1500 }, (_, i) => ({
        op: "set",
        path: ["pieces", "alert-switch", "looks", "base", "changes", "label", "text"],
        value: `${i}`.padEnd(4500, "x"),
      }));
      const body = JSON.stringify({
        changeId: "toolargechange",
        clientId: "window",
        since: 0,
        base: 0,
        late: false,
        change: { label: "Paste", ops },
      });
      const response = await fetch(`/projects/${project}/changes`, {
        method: "POST",
        body,
        headers: { "Content-Type": "application/json" },
      });
      return { status: response.status, answer: (await response.json()) as { reason: string } };
    }, id);
    expect(refused.status).toBe(413);
    expect(refused.answer.reason).toContain("larger than 6 MB");
    await me.click("treeitem", "Knob");
    await me.press("F2");
    await me.press("Control", "a");
    await me.type("Handle");
    await me.press("Enter");
    await me.saved();
    expect((await given.projects.kept(id))?.pieces["alert-switch"]?.layers.knob?.name).toBe(
      "Handle",
    );
    await me.page.close();
  });
});

describe("every view", () => {
  const views = [
    "/",
    "/projects/kelpway-kit",
    "/projects/kelpway-kit/pieces/alert-switch",
    "/projects/kelpway-kit/pieces/bicycle-tick-box",
    "/projects/kelpway-kit/pieces/trip-settings",
    "/projects/kelpway-kit/play",
  ];

  it.each([
    [1280, 800],
    [1600, 1000],
  ])(
    "fits a window of %d × %d, cuts nothing off, and leaves the console quiet",
    async (width, height) => {
      for (const view of views) {
        const me = await Person.open(given.browser, address() + view);
        await me.page.setViewport({ width, height });
        await sleep(500);
        if (view.includes("/pieces/")) {
          await me.click("button", "Whole piece");
          expect(await me.overflow(), view).toEqual([]);
          await me.page.evaluate(() =>
            (document.querySelectorAll("[role=tab]")[1] as HTMLElement).click(),
          );
        }
        expect(await me.overflow(), view).toEqual([]);
        expect(me.complaints, view).toEqual([]);
        await me.page.close();
      }
    },
  );

  it("the bench can be reached part by part with the Tab key, and the focus shows", async () => {
    const me = await Person.open(
      given.browser,
      `${address()}/projects/kelpway-kit/pieces/alert-switch`,
    );
    await me.find("treeitem", "Knob");
    const reached = new Set<string>();
    for (let i = 0; i < 90; i++) {
      await me.press("Tab");
      const at = await me.page.evaluate(() => {
        const e = document.activeElement as HTMLElement;
        const style = getComputedStyle(e);
        return {
          name: e.getAttribute("aria-label") ?? e.textContent?.trim(),
          part:
            e
              .closest(
                ".bar, .insert-row, .tree, .traits, .scope-bar, .card-variant, .zoom-bar, .drawer, .try",
              )
              ?.className.split(" ")[0] ?? "",
          shown:
            style.outlineStyle !== "none" ||
            style.boxShadow !== "none" ||
            e.closest(".player")?.querySelector(".focus-ring[visibility=visible]") != null,
        };
      });
      if (at.part) {
        reached.add(at.part);
        expect(at.shown, `${at.part}: ${at.name}`).toBe(true);
      }
    }
    expect([...reached].sort()).toEqual([
      "bar",
      "card-variant",
      "drawer",
      "insert-row",
      "scope-bar",
      "side-part",
      "tree",
      "try",
      "zoom-bar",
    ]);
    await me.page.close();
  });
});
