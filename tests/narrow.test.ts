import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { sleep } from "./support/browser";
import { Designer } from "./support/designer";
import { givenBrowser } from "./support/given";

const given = givenBrowser();

describe("in small windows", () => {
  let me: Designer;
  let project: string;
  beforeAll(async () => {
    project = await given.projects.fresh();
    me = await Designer.at(given.browser, given.projects.address(project, "alert-switch"));
  });
  afterAll(() => me.page.close());

  /** Shows a page in a window of a size; the page must not be wider than its window. */
  const show = async (address: string, width: number, height: number) => {
    await me.page.setViewport({ width, height });
    await me.page.goto(address, { waitUntil: "load" });
    await me.page.waitForSelector("h1");
    await sleep(400);
    const wide = await me.page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide).toBeLessThanOrEqual(width);
  };

  it.each([
    [1024, 768],
    [640, 400],
  ])(
    "the bench has all its parts at %i × %i, and none lies over another",
    async (width, height) => {
      await show(given.projects.address(project, "alert-switch"), width, height);
      const boxes = await me.page.$$eval("[data-part]", (all) =>
        all.map((part) => {
          const r = part.getBoundingClientRect();
          return { left: r.left, top: r.top, right: r.right, bottom: r.bottom };
        }),
      );
      expect(boxes).toHaveLength(4);
      for (const [i, a] of boxes.entries()) {
        expect(a.right - a.left).toBeGreaterThan(150);
        expect(a.bottom - a.top).toBeGreaterThan(80);
        for (const b of boxes.slice(i + 1)) {
          const apart =
            a.right <= b.left + 1 ||
            b.right <= a.left + 1 ||
            a.bottom <= b.top + 1 ||
            b.bottom <= a.top + 1;
          expect(apart).toBe(true);
        }
      }
      for (const tab of ["Rules 2", "Timing", "Rehearsals 5", "Sheet"]) {
        await me.click("tab", tab);
        await sleep(150);
        const head = await me.page.$$eval(".drawer-head > *", (all) =>
          all.map((e) => {
            const r = e.getBoundingClientRect();
            return { left: r.left, top: r.top, right: r.right, bottom: r.bottom };
          }),
        );
        for (const [i, a] of head.entries())
          for (const b of head.slice(i + 1))
            expect(a.right <= b.left + 1 || a.bottom <= b.top + 1 || b.bottom <= a.top + 1).toBe(
              true,
            );
      }
    },
  );

  it.each([
    ["all projects", () => given.projects.address("").replace(/projects\/.*$/, "")],
    ["a project", () => given.projects.address(project)],
    ["its library", () => `${given.projects.address(project)}/system`],
    ["its tokens", () => `${given.projects.address(project)}/system/tokens`],
    ["its motions", () => `${given.projects.address(project)}/system/timing`],
    ["a component", () => `${given.projects.address(project)}/system/components/seat-side-chooser`],
    ["its prototype", () => `${given.projects.address(project)}/play`],
    ["nothing", () => `${given.projects.address(project)}/nowhere`],
  ] as const)("the page of %s fits a telephone", async (_, address) => {
    await show(address(), 390, 844);
    // whatever can be pressed lies in the window, or in something that scrolls
    const outside = await me.page.$$eval("button, a[href], input, select", (all) =>
      all
        .filter((e) => e.checkVisibility())
        .filter((e) => {
          const r = e.getBoundingClientRect();
          const scrolls = e.closest(".list-group, .play-stage, .skip-link, .table-responsive");
          return !scrolls && r.width > 1 && (r.left < -1 || r.right > window.innerWidth + 1);
        })
        .map((e) => e.outerHTML.slice(0, 120)),
    );
    expect(outside).toEqual([]);
  });
});
