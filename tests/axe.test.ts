import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { findings } from "./support/axe";
import { sleep } from "./support/browser";
import { Designer } from "./support/designer";
import { givenBrowser } from "./support/given";

const given = givenBrowser();

/** Of openers that look alike and lie alike, so many are looked into. */
const ALIKE = 4;

/** What is open above the page. */
const OPEN = ".modal.show, .dropdown-menu.show, .panel, [role=menu], [role=listbox]";

/** Opens whatever says that it opens something, one after the other, and looks into each. */
const walkOpeners = async (me: Designer, within: string): Promise<Map<string, string[]>> => {
  const found = new Map<string, string[]>();
  const kinds = new Map<string, number>();
  const selector = `${within} :is([aria-haspopup], [aria-expanded=false]):not(:disabled)`;
  const count = await me.page.$$eval(selector, (all) => all.length);
  for (let i = 0; i < count; i++) {
    const opener = (await me.page.$$(selector))[i];
    if (!opener) continue;
    const { name, kind, shown } = await opener.evaluate((e) => ({
      name: e.getAttribute("aria-label") ?? e.textContent ?? "",
      kind: `${e.className} in ${e.parentElement?.className ?? ""}`,
      shown: e.checkVisibility(),
    }));
    const before = kinds.get(kind) ?? 0;
    if (found.has(name) || !shown || before === ALIKE) continue;
    kinds.set(kind, before + 1);
    await opener.evaluate((e) => {
      e.scrollIntoView({ block: "nearest" });
    });
    await opener.click();
    await sleep(60);
    const open = await me.page.$(OPEN);
    found.set(name, await findings(me, open ? OPEN : within));
    await me.press("Escape");
    await me.page.waitForSelector(".modal", { hidden: true });
  }
  return found;
};

/** What was found, by what was opened; empty when nothing was found in anything. */
const troubles = (
  found: ReadonlyMap<string, readonly string[]>,
): Record<string, readonly string[]> =>
  Object.fromEntries([...found].filter(([, all]) => all.length > 0));

describe("nothing for axe to find", () => {
  let me: Designer;
  let project: string;
  beforeAll(async () => {
    project = await given.projects.fresh();
    me = await Designer.at(given.browser, given.projects.address(project, "alert-switch"));
    // what fades in has other contrasts on the way
    await me.page.emulateMediaFeatures([{ name: "prefers-reduced-motion", value: "reduce" }]);
    await me.find("treeitem", "Knob");
  });
  afterAll(() => me.page.close());

  it.each(["Sheet", "Rules 2", "Timing", "Map", "Checks", "Rehearsals 5"])(
    "on the bench with its drawer at %s, and in all that opens there",
    async (tab) => {
      await me.click("treeitem", "Knob");
      await me.click("tab", tab);
      await me.page.waitForSelector(".drawer [role=tabpanel] *");
      await me.until(async () => {
        const text = await me.page.$eval(".drawer", (d) => d.textContent ?? "");
        if (/(Checking|Exploring|Loading|Drawing)[^.]*…/.test(text))
          throw new Error("it is still looking");
      });
      expect(await findings(me)).toEqual([]);
      expect(troubles(await walkOpeners(me, ".drawer"))).toEqual({});
    },
  );

  it.each([
    ["the left", ".bench-left"],
    ["the stage", ".stage"],
  ])("in all that opens at %s", async (_, room) => {
    const found = await walkOpeners(me, room);
    expect(found.size).toBeGreaterThan(0);
    expect(troubles(found)).toEqual({});
  });

  it.each(["fill", "shadow", "opacity", "x"])("while a cell of %s is edited", async (key) => {
    await me.click("tab", "Sheet");
    const box = await me.cellBox(key, "off");
    await me.page.mouse.click(box.x + 20, box.y + box.height / 2, { clickCount: 2 });
    await me.page.waitForSelector(".cell-edit, .panel");
    expect(await findings(me)).toEqual([]);
    await me.press("Escape");
  });

  it("in the menus of layers and cards", async () => {
    await (await me.find("treeitem", "Track")).click({ button: "right" });
    await me.page.waitForSelector("[role=menu]");
    expect(await findings(me, OPEN)).toEqual([]);
    await me.press("Escape");
    const card = await me.box(".card-variant .frame");
    await me.page.mouse.click(card.x + 4, card.y + 4, { button: "right" });
    await me.page.waitForSelector("[role=menu]");
    expect(await findings(me, OPEN)).toEqual([]);
    await me.press("Escape");
  });

  it("while a wire is made", async () => {
    await me.click("treeitem", "Knob");
    await (await me.page.waitForSelector(".socket"))?.focus();
    await me.press("Enter");
    await me.page.waitForSelector("[role=menu]");
    expect(await findings(me)).toEqual([]);
    await me.press("Enter");
    await me.page.waitForSelector(".wire-panel");
    expect(await findings(me)).toEqual([]);
    await me.press("Escape");
  });

  it.each([
    ["Keys", () => me.click("button", "Shortcuts")],
    ["Find and replace", () => me.press("Control", "f")],
    [
      "Compare",
      async () => {
        await me.click("button", "Actions for variant on");
        await me.click("menuitem", "Compare with “off”…");
      },
    ],
    [
      "Gather",
      async () => {
        await me.choose("Knob", "Track");
        await me.menu("Knob", "Gather 2 layers as variants…");
        // the pairs come a moment later
        await me.page.waitForSelector(".gather-row:nth-child(2)");
      },
    ],
    [
      "Film",
      async () => {
        await me.click("tab", "Timing");
        await me.click("button", "Export…");
        await me.click("button", "Animated GIF…");
      },
    ],
  ] as const)("in the window %s", async (_, open) => {
    await open();
    await me.page.waitForSelector("[role=dialog]");
    expect(await findings(me, ".modal.show")).toEqual([]);
    await me.press("Escape");
    await me.page.waitForSelector("[role=dialog]", { hidden: true });
  });

  it.each([
    ["all projects", () => given.projects.address("").replace(/projects\/.*$/, "")],
    ["a project", () => given.projects.address(project)],
    ["its library", () => `${given.projects.address(project)}/system`],
    ["its tokens", () => `${given.projects.address(project)}/system/tokens`],
    ["its motions", () => `${given.projects.address(project)}/system/timing`],
    ["a component", () => `${given.projects.address(project)}/system/components/seat-side-chooser`],
    ["its prototype", () => `${given.projects.address(project)}/play`],
    ["a piece that is gone", () => given.projects.address(project, "gone")],
    ["a project that is gone", () => given.projects.address("gone")],
    ["nothing", () => `${given.projects.address(project)}/nowhere`],
  ] as const)("on the page of %s, and in all that opens there", async (_, address) => {
    await me.page.goto(address(), { waitUntil: "load" });
    await me.page.waitForSelector("h1");
    expect(await findings(me)).toEqual([]);
    expect(troubles(await walkOpeners(me, "body"))).toEqual({});
  });
});
