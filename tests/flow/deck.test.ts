import { join } from "node:path";
import { describe, expect, it } from "vitest";
import { root } from "../../scripts/serve";
import { sleep } from "../support/browser";
import { givenHand } from "./hand";

const at = givenHand();

const picture = (name: string): string => join(root, "demo", "pictures", `${name}.png`);
const images = ".play-host image";

/** The pictures from the back to the front, as they are painted. */
const pile = () => at.me.page.$$eval(images, (all) => all.map((i) => i.getAttribute("href") ?? ""));
const front = async () => (await pile()).at(-1);

describe("a deck", () => {
  it("of three cards with pictures, both directions, following the hand, on a phone screen", async () => {
    const { hand, me } = at;
    await hand.newComponent();
    await hand.files("Image or SVG file", ...["car-deck", "gull-isle", "night-boat"].map(picture));
    await me.find("treeitem", "night-boat");
    await hand.press("Control", "a");
    await hand.write("width", "only variant", "260");
    await hand.type("340");
    await hand.press("Enter");
    await hand.write("radius", "only variant", "24");
    await hand.click("treeitem", "gull-isle");
    await hand.press("Shift", "ArrowDown");
    await hand.click("treeitem", "car-deck");
    await hand.press("Shift", "ArrowDown");
    await hand.press("Shift", "ArrowDown");
    await hand.press("Control", "a");
    await hand.click("tab", "Rules");
    await hand.click("button", "Ready-made behaviour…");
    await hand.pick("Drag", "next card left, previous card right", ".modal");
    await hand.click("button", "Add", ".modal");
    await hand.placeOnNewScreen();
    await hand.play();
    await me.until(async () => expect(await pile()).toHaveLength(3));
    const first = await front();
    const [x, y] = await hand.middle(images, 2);

    // it follows the hand, and comes back where it is let go too early
    await me.page.mouse.move(x, y);
    await me.page.mouse.down();
    await me.page.mouse.move(x - 30, y, { steps: 6 });
    await sleep(250);
    expect((await hand.middle(images, 2))[0]).toBeLessThan(x - 15);
    await me.page.mouse.up();
    await sleep(900);
    expect(await front()).toBe(first);
    expect((await hand.middle(images, 2))[0]).toBeCloseTo(x, 0);

    const seen = [first];
    for (let turn = 0; turn < 3; turn++) {
      await hand.drag([x, y], -200, 0);
      await sleep(900);
      seen.push(await front());
    }
    expect(new Set(seen).size).toBe(3);
    expect(seen.at(-1)).toBe(first);
    await hand.drag([x, y], 200, 0);
    await sleep(900);
    expect(await front()).toBe(seen[2]);
    const screen = await me.box(".play-host svg");
    expect(screen.width / screen.height).toBeCloseTo(390 / 844, 2);
    hand.expectAtMost(55);
  });
});
