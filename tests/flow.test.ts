import { beforeAll, describe, expect, it } from "vitest";
import { emptyProject } from "#core/edit";
import { sleep } from "./support/browser";
import { CountedHand } from "./support/counted";
import { Designer } from "./support/designer";
import { givenBrowser } from "./support/given";

const given = givenBrowser();
let me: Designer;
let hand: CountedHand;
beforeAll(async () => {
  const id = await given.projects.fresh(emptyProject("Jobs of the trade"));
  me = await Designer.at(given.browser, given.projects.address(id));
  hand = new CountedHand(me);
});

const middle = async (selector: string, nth = 0): Promise<[number, number]> =>
  me.until(async () => {
    const box = await (await me.page.$$(selector))[nth]?.boundingBox();
    if (!box) throw new Error(`nothing at ${selector}`);
    return [box.x + box.width / 2, box.y + box.height / 2];
  });

describe("jobs of the trade, from New component to the running part in Play", () => {
  it("the simplest switch: pill, knob, two values, 800 ms; placed on a screen, played", async () => {
    await hand.click("button", "New component");
    await me.find("tree", "Layers");
    await me.press("Escape");
    await hand.press("b");
    const card = await me.box(".card-variant");
    await hand.drag([card.x + 120, card.y + 90], 160, 80);
    await hand.write("radius", "only variant", "40");
    await hand.click("button", "Insert ellipse");
    const pill = await me.box(".card-variant [data-layer] rect[rx]");
    await hand.drag([pill.x + 8, pill.y + 8], pill.height - 16, pill.height - 16);
    await hand.click("button", "Add trait");
    await hand.click("button", "On: off, on");
    await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(2));
    const knob = ".card-variant [data-layer] :is(ellipse, circle)";
    const wide = (await me.box(knob)).width;
    await hand.drag(await middle(knob, 1), wide, 0);
    await hand.press("Shift", "a");
    const duration = await me.find("textbox", "Duration in milliseconds", ".drawer");
    await duration.click({ count: 3 });
    hand.done.push("click Duration");
    await hand.type("800");
    await hand.press("Enter");
    await hand.click("button", "Place on screen");
    await hand.click("button", "New screen");
    await me.until(() => Promise.resolve(expect(me.page.url()).toContain("/pieces/")));
    await me.find("heading", "Screen");
    await hand.click("link", "Play");

    const shown = ".play-host svg [data-layer] :is(ellipse, circle)";
    const from = await middle(shown);
    await me.page.mouse.click(...from);
    await sleep(350);
    const between = await middle(shown);
    await sleep(900);
    const to = await middle(shown);
    expect(to[0]).toBeGreaterThan(from[0] + 10);
    expect(between[0]).toBeGreaterThan(from[0] + 1);
    expect(between[0]).toBeLessThan(to[0] - 1);
    // and back
    await me.page.mouse.click(...to);
    await sleep(1200);
    expect((await middle(shown))[0]).toBeCloseTo(from[0], 0);
    expect(hand.count, hand.done.join(", ")).toBeLessThanOrEqual(18);
    expect(me.complaints).toEqual([]);
  });
});
