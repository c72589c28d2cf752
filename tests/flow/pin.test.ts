import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { root } from "../../scripts/serve";
import { sleep } from "../support/browser";
import { givenHand } from "./hand";
import type { Point } from "./hand";

const at = givenHand();

const drawn = ".card-variant [data-layer]";
const pins = '.play-host path[fill="#d9622b"]';
const texts = () =>
  at.me.page.$$eval(".play-host text", (all) => all.map((t) => t.textContent ?? ""));

/** A bubble with a picture and two texts. */
const drawBubble = async (): Promise<void> => {
  const { hand, me } = at;
  await hand.newComponent();
  const card = await me.box(".card-variant");
  const empty = await me.zoom();
  await hand.draw("box", [card.x + 120, card.y + 60], 250 * empty, 84 * empty);
  const bubble = await me.box(`${drawn} rect[rx]`);
  const zoom = await me.zoom();
  const spot = (x: number, y: number): Point => [bubble.x + x * zoom, bubble.y + y * zoom];
  await hand.files("Image or SVG file", join(root, "demo", "pictures", "gull-isle.png"));
  await me.find("treeitem", "gull-isle");
  const picture = await hand.layer("gull-isle");
  await hand.drag(picture, spot(64, 0)[0] - picture[0], 0);
  await hand.text("Gull Isle", spot(132, 26));
  await hand.text("Ferry at 10:20", spot(132, 50));
};

/** A pin of a disc and a tip under it, united. */
const drawPin = async (): Promise<void> => {
  const { hand, me } = at;
  const bubble = await me.box(`${drawn} rect[rx]`);
  const size = 40 * (await me.zoom());
  await hand.draw("ellipse", [bubble.x + 20, bubble.y + bubble.height + 20], size, size);
  const disc = await me.box(`${drawn} :is(ellipse, circle)`);
  const tip: Point = [disc.x + disc.width * 0.1, disc.y + disc.height * 0.72];
  await hand.draw("polygon", tip, disc.width * 0.8, disc.height * 0.5);
  await hand.write("rotation", "only variant", "180");
  await hand.choose("Ellipse", "Triangle");
  await hand.press("u");
  await me.find("treeitem", "Compound");
};

/** The pin opens the bubble, which pops up and sends a signal when it is clicked. */
const wire = async (): Promise<void> => {
  const { hand, me } = at;
  await hand.press("a");
  await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(2));
  await hand.pick("Easing", "Overshoot");
  await hand.choose("Box");
  await hand.press("a");
  await me.until(async () => expect(await me.page.$$(".rules .rule")).toHaveLength(2));
  await hand.pick("Effect", "send signal", ".rule.chosen");
  await hand.click("tab", "Sheet");
  await hand.write("visible", "default", "no");
  await hand.write("visible", "on", "yes");
  await hand.write("comesFrom", "default", "pops up");
  await hand.choose("Compound");
  await hand.write("fill", "default", "#d9622b");
};

/** A second screen, from which a click leads back; then the way to it from the first. */
const joinScreens = async (): Promise<void> => {
  const { hand, me } = at;
  await hand.placeOnNewScreen();
  await hand.click("link", "Jobs of the trade");
  await hand.click("button", "New screen");
  await me.find("heading", "Screen 2");
  await hand.text("All ferries");
  await hand.press("Shift", "a");
  await hand.pick("Motion", "push", ".rule.chosen");
  await hand.click("link", "Jobs of the trade");
  await hand.click("link", "Screen");
  await me.find("treeitem", "Component");
  await hand.press("a");
  await hand.pick("Trigger", "sends signal", ".rule.chosen");
  await hand.pick("Motion", "push", ".rule.chosen");
};

declare global {
  interface Window {
    /** how wide the picture was in every frame */
    widths_?: number[];
  }
}

/** Runs in the page: a frame missed between two questions is not missed here. */
const watchWidth = (): void => {
  const widths: number[] = [];
  window.widths_ = widths;
  const frame = () => {
    const picture = document.querySelector(".play-host image");
    if (picture) widths.push(picture.getBoundingClientRect().width);
    if (widths.length < 60) requestAnimationFrame(frame);
  };
  requestAnimationFrame(frame);
};

describe("a pin", () => {
  it("with a bubble that pops out; a tap slides to a second screen and back", async () => {
    const { hand, me } = at;
    await drawBubble();
    await drawPin();
    await wire();
    await joinScreens();
    await hand.play();
    expect(await texts()).toEqual([]);
    await me.page.evaluate(watchWidth);
    await hand.clickAt(await hand.middle(pins));
    await sleep(600);
    const sizes = await me.page.evaluate(() => window.widths_ ?? []);
    const { width } = await me.box(".play-host image");
    // it grows from nothing, beyond its size, and back to it
    expect(Math.max(...sizes)).toBeGreaterThan(width + 1);
    expect(Math.min(...sizes)).toBeLessThan(width / 2);
    expect(await texts()).toEqual(["Gull Isle", "Ferry at 10:20"]);
    // the two united are one outline
    expect(await me.page.$$(".play-host :is(ellipse, circle, polygon)")).toEqual([]);

    await hand.clickAt(await hand.middle(".play-host text"));
    await sleep(60);
    // both screens are there while one pushes the other away
    expect(await texts()).toContain("All ferries");
    expect(await texts()).toContain("Gull Isle");
    await sleep(800);
    expect(await texts()).toEqual(["All ferries"]);
    await hand.clickAt(await hand.middle(".play-host text"));
    await sleep(900);
    expect(await me.page.$$(pins)).toHaveLength(1);
    hand.expectAtMost(80);
  });
});
