import { describe, expect, it } from "vitest";
import { sleep } from "../support/browser";
import { givenHand } from "./hand";

const at = givenHand();

/** Draws a pill with a knob that slides in 800 ms, with two values that a click changes. */
const drawSwitch = async (): Promise<void> => {
  const { hand, me } = at;
  await hand.newComponent();
  const card = await me.box(".card-variant");
  await hand.draw("box", [card.x + 120, card.y + 90], 160, 80);
  await hand.drag(await hand.middle(".corner-knob"), 240, 240);
  const pill = await me.box(".card-variant [data-layer] rect[rx]");
  await hand.draw("ellipse", [pill.x + 8, pill.y + 8], pill.height - 16, pill.height - 16);
  await hand.click("button", "Add trait");
  await hand.click("button", "On: off, on");
  await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(2));
  const knob = ".card-variant [data-layer] :is(ellipse, circle)";
  const wide = (await me.box(knob)).width;
  await hand.drag(await hand.middle(knob, 1), wide, 0);
  await hand.press("Shift", "a");
  await hand.number("Duration in milliseconds", "800", ".drawer");
};

const cards = ".card-variant";
/** Those of the switches, not the screen they lie on. */
const pills = '.play-host [data-layer] rect[rx]:not([fill="#ffffff"])';
const knobs = ".play-host svg [data-layer] :is(ellipse, circle)";

const colours = () =>
  at.me.page.$$eval(pills, (all) => all.map((r) => r.getAttribute("fill")).join());

describe("switches", () => {
  it("the simplest one: pill, knob, two values, 800 ms; placed on a screen, played", async () => {
    const { hand, me } = at;
    await drawSwitch();
    await hand.placeOnNewScreen();
    await hand.play();
    const from = await hand.middle(knobs);
    await me.page.mouse.click(...from);
    await sleep(350);
    const between = await hand.middle(knobs);
    await sleep(900);
    const to = await hand.middle(knobs);
    expect(to[0]).toBeGreaterThan(from[0] + 10);
    expect(between[0]).toBeGreaterThan(from[0] + 1);
    expect(between[0]).toBeLessThan(to[0] - 1);
    // and back
    await me.page.mouse.click(...to);
    await sleep(1200);
    expect((await hand.middle(knobs))[0]).toBeCloseTo(from[0], 0);
    expect(
      await me.page.$$eval(".play-host rect[rx]", (all) =>
        all.some((r) => Number(r.getAttribute("rx")) * 2 === Number(r.getAttribute("height"))),
      ),
    ).toBe(true);
    hand.expectAtMost(18);
    // a second one, on the screen that is there now
    await me.page.goBack();
    await me.find("heading", "Screen");
    await me.page.goBack();
    await me.find("heading", "Component");
    await me.click("button", "Place on screen");
    await me.click("button", "Screen");
    await me.find("treeitem", "Component 2");
  });

  it("three on a screen of 320×390, in all eight combinations, with one token for their colour", async () => {
    const { hand, me } = at;
    await drawSwitch();
    const pill = await me.box(`${cards}.active [data-layer] rect[rx]`);
    await hand.clickAt([pill.x + 20, pill.y + pill.height / 2]);
    await hand.click("tab", "Sheet");
    await hand.write("fill", "on", "#2c9a70");
    const fill = await me.cellBox("fill", "on");
    await hand.menuAt([fill.x + 40, fill.y + 10], "Create token…");
    await me.find("textbox", "Name");
    await hand.type("Pill");
    await hand.press("Enter");
    await hand.placeOnNewScreen();
    const copies = `${cards} [data-layer] rect[rx]:not([fill="#ffffff"])`;
    const first = await hand.middle(copies);
    const { y, height } = await me.box(".card-variant .scene");
    // where a screen of 390 px has its upper part
    await hand.drag(first, 0, y + height * 0.08 - first[1]);
    await hand.press("Control", "d");
    await hand.press("Control", "d");
    await hand.click("treeitem", "Screen");
    await hand.write("width", "only variant", "320");
    await hand.type("390");
    await hand.press("Enter");
    await hand.play();
    const seen = new Set([await colours()]);
    // each turn changes one of the three, so that all combinations come once
    for (const turned of [0, 1, 0, 2, 0, 1, 0]) {
      await hand.clickAt(await hand.middle(pills, turned));
      await sleep(1000);
      seen.add(await colours());
    }
    expect([...seen].sort()).toEqual(
      ["000", "001", "010", "011", "100", "101", "110", "111"]
        .map((bits) => [...bits].map((b) => (b === "1" ? "#2c9a70" : "#c9d8d2")).join())
        .sort(),
    );
    const screen = await me.box(".play-host svg");
    expect(screen.width / screen.height).toBeCloseTo(320 / 390, 2);
    const { tokens } = await at.kept();
    expect(Object.values(tokens).map((t) => [t.type, t.value])).toEqual([["colour", "#2c9a70"]]);
    hand.expectAtMost(55);
  });
});
