import { describe, expect, it } from "vitest";
import { sleep } from "../support/browser";
import { givenHand } from "./hand";
import type { Point } from "./hand";

const at = givenHand();

const shownTexts = () =>
  at.me.page.$$eval(".play-host text", (all) => all.map((t) => t.textContent ?? ""));
const knobAt = () => at.hand.middle(".play-host :is(ellipse, circle)");

/** A switch that a click turns over, to be placed in the card. */
const drawSwitch = async (): Promise<void> => {
  const { hand, me } = at;
  await hand.newComponent();
  const card = await me.box(".card-variant");
  await hand.draw("box", [card.x + 120, card.y + 90], 52, 28);
  await hand.drag(await hand.middle(".corner-knob"), 240, 240);
  const pill = await me.box(".card-variant [data-layer] rect[rx]");
  const side = pill.height - 24;
  await hand.draw("ellipse", [pill.x + 12, pill.y + 12], side, side);
  await hand.click("button", "Add trait");
  await hand.click("button", "On: off, on");
  await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(2));
  const knob = ".card-variant [data-layer] :is(ellipse, circle)";
  await hand.drag(await hand.middle(knob, 1), (await me.box(knob)).width, 0);
  await hand.press("Shift", "a");
};

/** A card with a title, a price and five features, with the switch at its upper right. */
const drawCard = async (): Promise<void> => {
  const { hand, me } = at;
  await hand.newComponent();
  const card = await me.box(".card-variant");
  await hand.draw("box", [card.x + 60, card.y + 60], 240, 260);
  await hand.write("fill", "only variant", "#ffffff");
  const body = await me.box('.card-variant [data-layer] rect[fill="#ffffff"][rx="8"]');
  const zoom = await me.zoom();
  const spot = (x: number, y: number): Point => [body.x + x * zoom, body.y + y * zoom];
  await hand.text("Season pass", spot(16, 28));
  await hand.text("€ 48", spot(16, 70));
  await hand.text("All ferries", spot(16, 130));
  for (let copy = 0; copy < 4; copy++) await hand.press("Control", "d");
  await me.find("treeitem", "All ferries 5");
  const features = ["Bicycle free", "No fees", "Sun deck", "Guest ticket"];
  for (const [i, feature] of features.entries())
    await hand.typeOver(await hand.layer(`All ferries ${i + 2}`), feature);
  await hand.click("button", "Insert a component");
  await hand.click("button", "Insert Component");
  await me.find("treeitem", "Component");
  const [x, y] = await hand.layer("Component");
  const corner = spot(200, 28);
  await hand.drag([x, y], corner[0] - x, corner[1] - y);
};

describe("a price card", () => {
  it("with a switch inside: texts, price, two more features", async () => {
    const { hand, me } = at;
    await drawSwitch();
    await hand.back();
    await drawCard();
    // a rule on the switch, and the trait it turns over
    await hand.press("a");
    await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(2));
    await hand.click("tab", "Sheet");
    const row = await me.page.waitForSelector('.sheet [data-row^="trait:"]');
    const initial = (await row?.evaluate((e) => (e as HTMLElement).dataset.row)) ?? "";
    await hand.write(initial, "on", "on");
    await hand.choose("Sun deck", "Guest ticket");
    await hand.write("visible", "default", "no");
    await hand.write("visible", "on", "yes");
    await hand.typeOver(await hand.layer("€ 48", 1), "€ 36");
    await hand.placeOnNewScreen();
    await hand.play();
    const fewer = ["Season pass", "€ 48", "All ferries", "Bicycle free", "No fees"];
    expect(await shownTexts()).toEqual(fewer);
    const off = await knobAt();
    await hand.clickAt(off);
    await sleep(700);
    expect(await shownTexts()).toEqual([
      "Season pass",
      "€ 36",
      ...fewer.slice(2),
      "Sun deck",
      "Guest ticket",
    ]);
    const on = await knobAt();
    expect(on[0]).toBeGreaterThan(off[0] + 10);
    await hand.clickAt(on);
    await sleep(700);
    expect(await shownTexts()).toEqual(fewer);
    hand.expectAtMost(80);
  });
});
