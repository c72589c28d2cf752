import { beforeAll, describe, expect, it } from "vitest";
import { emptyProject } from "#core/edit";
import { findings } from "./support/axe";
import { Designer } from "./support/designer";
import { givenBrowser } from "./support/given";

const given = givenBrowser();
let me: Designer;
let home = "";
beforeAll(async () => {
  const id = await given.projects.fresh(emptyProject("First steps"));
  home = given.projects.address(id);
  me = await Designer.at(given.browser, home);
});

const at = (step: string) => me.until(async () => expect(await me.text(".guide b")).toBe(step));
const step = (n: number) => at(`Step ${n} of 8`);
/** Draws with the tool at hand, from a place of a card, in shares of the card. */
const draw = async (card: string, fromX: number, fromY: number, byX: number, byY: number) => {
  const box = await me.box(card);
  await me.drag(box.x + box.width * fromX, box.y + box.height * fromY, byX, byY);
};

describe("the guide to a first switch", () => {
  it("is offered where nothing is yet, and leads over the real bench to a switch that works", async () => {
    await me.click("button", "Start");
    await me.find("tree", "Layers");
    await step(1);
    await me.click("button", "Insert box");
    await draw(".card-variant", 0.3, 0.4, 160, 80);
    await step(2);
    await me.write("radius", "only variant", "full");
    await step(3);
    await me.click("button", "Insert ellipse");
    const pill = await me.box(
      ".card-variant [data-layer] rect[rx], .card-variant [data-layer] path",
    );
    await me.drag(pill.x + 8, pill.y + 8, pill.height - 16, pill.height - 16);
    await step(4);
    await me.click("button", "Add trait");
    await me.click("button", "On: off, on");
    await step(5);
    const [, on] = await me.page.$$(".card-variant");
    const knob = await (await on?.$("[data-layer] ellipse, [data-layer] circle"))?.boundingBox();
    if (!knob) throw new Error("there is no knob on the second card");
    await me.drag(knob.x + knob.width / 2, knob.y + knob.height / 2, knob.width, 0);
    await step(6);
    const track = await (await on?.$("[data-layer] rect[rx], [data-layer] path"))?.boundingBox();
    if (!track) throw new Error("there is no pill on the second card");
    await me.page.mouse.click(track.x + 14, track.y + track.height / 2);
    await me.write("fill", "on", "#2c9a70");
    await step(7);
    expect(await findings(me, ".guide")).toEqual([]);
    await me.click("tab", "Rules");
    await me.page.keyboard.press("Escape");
    await (await me.page.waitForSelector(".drawer ::-p-text(Add rule)"))?.click();
    await step(8);
    const running = await me.box(".try-host svg");
    await me.page.mouse.click(running.x + running.width / 2, running.y + running.height / 2);
    await at("Done");
    expect(await me.text(".guide")).toContain("Your switch works");
    await me.click("button", "Close the guide for good");
    await me.until(async () => expect(await me.page.$(".guide")).toBeNull());
    expect(me.complaints).toEqual([]);
  });

  it("is not offered again to who has closed it or said no", async () => {
    const other = given.projects.address(await given.projects.fresh(emptyProject("Another")));
    await me.page.goto(other, { waitUntil: "load" });
    await me.find("button", "New component");
    expect(await me.page.$(".guide-offer")).toBeNull();
    const context = await given.browser.createBrowserContext();
    const somebody = new Designer(await context.newPage());
    await somebody.page.goto(other, { waitUntil: "load" });
    await somebody.click("button", "No, thanks");
    await somebody.page.reload({ waitUntil: "load" });
    await somebody.find("button", "New component");
    expect(await somebody.page.$(".guide-offer")).toBeNull();
    await context.close();
  });
});
