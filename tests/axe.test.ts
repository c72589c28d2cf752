import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import type { AxeResults } from "axe-core";
import { Designer } from "./support/designer";
import { givenBrowser } from "./support/given";

const given = givenBrowser();
const source = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

/** What axe finds on the page as it is: WCAG 2.2 A and AA, good practice, and names that differ. */
const findings = async (me: Designer): Promise<string[]> => {
  await me.page.evaluate(source);
  const { violations } = await me.page.evaluate(() =>
    (globalThis as unknown as { axe: { run: (options: unknown) => Promise<AxeResults> } }).axe.run({
      rules: { "label-content-name-mismatch": { enabled: true } },
    }),
  );
  return violations.flatMap((v) =>
    v.nodes.map((n) => `${v.id}: ${n.target.join(" ")} (${n.failureSummary ?? ""})`),
  );
};

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
    "on the bench with its drawer at %s",
    async (tab) => {
      await me.click("treeitem", "Knob");
      await me.click("tab", tab);
      await me.page.waitForSelector(".drawer [role=tabpanel] *");
      await me.until(async () => {
        const text = await me.page.$eval(".drawer", (d) => d.textContent ?? "");
        if (/(Looking|Drawing)[^.]* …/.test(text)) throw new Error("it is still looking");
      });
      expect(await findings(me)).toEqual([]);
    },
  );

  it("while a cell is edited in a panel", async () => {
    await me.click("tab", "Sheet");
    const box = await me.cellBox("fill", "off");
    await me.page.mouse.click(box.x + 20, box.y + box.height / 2, { clickCount: 2 });
    await me.page.waitForSelector(".panel");
    expect(await findings(me)).toEqual([]);
    await me.press("Escape");
  });

  it("in the menus of layers, cards, traits and the stage", async () => {
    await (await me.find("treeitem", "Track")).click({ button: "right" });
    await me.page.waitForSelector("[role=menu]");
    expect(await findings(me)).toEqual([]);
    await me.press("Escape");
    for (const name of ["More for variant on", "New trait", "Cards", "Reference picture"]) {
      await me.click("button", name);
      expect(await findings(me)).toEqual([]);
      await me.press("Escape");
    }
  });

  it("in the dialogs of the bench", async () => {
    await me.click("button", "Keys");
    await me.page.waitForSelector("[role=dialog]");
    expect(await findings(me)).toEqual([]);
    await me.press("Escape");
    await me.page.waitForSelector("[role=dialog]", { hidden: true });
    await me.click("button", "Find and replace");
    await me.page.waitForSelector("[role=dialog]");
    expect(await findings(me)).toEqual([]);
    await me.press("Escape");
  });

  it.each([
    ["all projects", () => given.projects.address("").replace(/projects\/.*$/, "")],
    ["a project", () => given.projects.address(project)],
    ["its design system", () => `${given.projects.address(project)}/system`],
    ["its prototype", () => `${given.projects.address(project)}/play`],
    ["nothing", () => `${given.projects.address(project)}/nowhere`],
  ] as const)("on the page of %s", async (_, address) => {
    await me.page.goto(address(), { waitUntil: "load" });
    await me.page.waitForSelector("h1");
    expect(await findings(me)).toEqual([]);
  });
});
