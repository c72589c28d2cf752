import type { Browser } from "puppeteer-core";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { launch, sleep } from "./support/browser";
import { Designer } from "./support/designer";
import { Projects } from "./support/projects";

let browser: Browser;
let me: Designer;
let close: () => Promise<void>;
let projects: Projects;
beforeAll(async () => {
  ({ browser, close } = await launch());
  projects = new Projects();
  me = await Designer.at(browser, projects.address(await projects.fresh(), "cabin-climate"));
});
afterAll(async () => {
  await close();
  await projects.close();
});

const names = () => me.page.$$eval(".tree-name", (all) => all.map((n) => n.textContent));
const texts = () => me.page.$$eval(".card-variant text", (all) => all.map((t) => t.textContent));
const frame = () => me.box(".card-variant.active .frame");

describe("working on a card by hand", () => {
  it("Alt drags a copy, which is one layer more and keeps its looks", async () => {
    await me.click("treeitem", "Title");
    const f = await frame();
    await me.page.keyboard.down("Alt");
    // Ctrl keeps edges from catching, so that the way is exactly the pointer's
    await me.page.keyboard.down("Control");
    await me.drag(f.x + 20, f.y + 8, 10, 50);
    await me.page.keyboard.up("Control");
    await me.page.keyboard.up("Alt");
    expect((await names()).filter((n) => n?.startsWith("Title"))).toEqual(["Title 2", "Title"]);
    const z = await me.zoom();
    expect(Number((await me.cell("y", "only variant"))?.text)).toBe(98 + Math.round(50 / z));
    expect((await texts()).filter((t) => t === "Cabin 214")).toHaveLength(2);
  });

  it("a double click on a text types in its place; Esc ends it; all of it is one step of undo", async () => {
    const f = await frame();
    await me.page.mouse.click(f.x + 20, f.y + 8, { count: 2 });
    await me.find("textbox", "Text of the layer");
    await me.type("Cabin 9, starboard");
    expect(await texts()).toContain("Cabin 9, starboard");
    await me.press("Escape");
    await me.press("Control", "z");
    expect((await texts()).filter((t) => t === "Cabin 214")).toHaveLength(2);
    await me.press("Control", "z");
    await me.press("Control", "z");
    await me.until(async () =>
      expect((await names()).filter((n) => n?.startsWith("Title"))).toEqual(["Title"]),
    );
  });

  it("Shift keeps a drag to one direction, several layers move together, and Esc chooses nothing", async () => {
    await me.click("treeitem", "Title");
    await me.page.keyboard.down("Control");
    await me.click("treeitem", "Subtitle");
    await me.page.keyboard.up("Control");
    const f = await me.box(".card-variant.active .frame");
    await me.page.mouse.move(f.x + 20, f.y + 8);
    await me.page.mouse.down();
    await me.page.keyboard.down("Shift");
    // Ctrl keeps edges from catching, so that the way is exactly the pointer's
    await me.page.keyboard.down("Control");
    await me.page.mouse.move(f.x + 24, f.y + 38, { steps: 5 });
    await me.page.mouse.up();
    await me.page.keyboard.up("Control");
    await me.page.keyboard.up("Shift");
    const at = await me.page.$$eval(".card-variant [data-frame]", (all) => all.length);
    expect(at).toBe(2);
    await me.click("treeitem", "Subtitle");
    const z = await me.zoom();
    expect(await me.cell("x", "only variant")).toMatchObject({ text: "24" });
    expect(Number((await me.cell("y", "only variant"))?.text)).toBe(136 + Math.round(30 / z));
    await me.press("Escape");
    // with nothing chosen the sheet shows the piece as a whole
    await me.until(async () =>
      expect(await me.page.$eval(".bench-chosen", (b) => (b as HTMLElement).dataset.chosen)).toBe(
        "",
      ),
    );
    expect(await me.cell("scrolls", "only variant")).toMatchObject({ text: "none" });
  });

  it("a double click on a copy goes into its component, and layers that are arranged say why they stay", async () => {
    await me.click("treeitem", "Fresh air");
    const f = await frame();
    await me.page.mouse.click(f.x + 12, f.y + 10, { count: 2 });
    await me.find("treeitem", "Knob");
    await me.click("treeitem", "Toggle");
    const toggle = await frame();
    await me.drag(toggle.x + toggle.width * 0.7, toggle.y + toggle.height / 2, 30, 0);
    expect(await me.text(".scope-hint")).toContain("lays out its layers in a row");
    await sleep(100);
    expect(me.complaints).toEqual([]);
  });

  it("picks a colour from the field, shown at once, and Esc takes it back", async () => {
    await me.click("treeitem", "Track");
    const box = await me.cellBox("fill", "off");
    await me.page.mouse.click(box.x + 60, box.y + box.height / 2);
    await me.press("Enter");
    // it is bound to a token of the kit, so the panel opens there
    await me.click("tab", "Colour");
    const field = await me.box(".panel .react-colorful__saturation");
    await me.page.mouse.click(field.x + field.width - 8, field.y + 8);
    const fill = () =>
      me.page.$eval('[aria-label="Variant off"] [data-layer="track"] rect', (r) =>
        r.getAttribute("fill"),
      );
    await me.until(async () => expect(await fill()).not.toBe("#c9c3b4"));
    await me.press("Escape");
    await me.until(async () => expect(await fill()).toBe("#c9c3b4"));
  });
});
