import { describe, expect, it } from "vitest";
import { sleep } from "../support/browser";
import type { Frame } from "../support/film";
import { givenHand } from "./hand";

const at = givenHand();

const card = ".card-variant [data-layer]";
const played = ".play-host [data-layer]";

describe("a button", () => {
  it("glossy: gradient, border, glow, clipped shine on hover, tuned spring", async () => {
    const { hand, me } = at;
    await hand.newComponent();
    const empty = await me.box(".card-variant");
    await hand.draw("box", [empty.x + 120, empty.y + 90], 220, 70);
    await hand.drag(await hand.middle(".corner-knob"), 60, 60);
    await hand.write("fill", "only variant", "linear-gradient(180deg, #f0935f, #b9531f)");
    await hand.write("borderColour", "only variant", "#ffffff80");
    await hand.type("1.5");
    await hand.press("Enter");
    await hand.write("shadow", "only variant", "0 8 24 #e0703a99");
    await hand.write("clip", "only variant", "yes");
    await hand.text("Board");
    await hand.write("fill", "only variant", "#ffffff");
    const body = await me.box(`${card} rect[rx]`);
    await hand.draw("box", [body.x + 24, body.y + 8], 40, body.height - 16);
    const sheen = "linear-gradient(90deg, #ffffff00, #ffffffa6, #ffffff00)";
    await hand.write("fill", "only variant", sheen);
    await hand.drag(await hand.middle(".turn-handle"), 4, -12);
    await hand.press("Escape");
    await hand.click("tab", "Rules");
    await hand.readyMade();
    await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(4));
    await hand.pick("Easing", "Spring");
    await hand.number("Spring bounce in per cent", "40");
    await hand.click("treeitem", "Box 2");
    const shine = `section[aria-label="Variant hovered"] ${"rect[fill^=url]"}`;
    await hand.drag(await hand.middle(shine, 1), 200, 0);
    await hand.placeOnNewScreen();
    await hand.play();

    const colours = await me.page.$$eval(`${played} linearGradient stop`, (all) =>
      all.map((stop) => stop.getAttribute("stop-color")),
    );
    expect(colours).toEqual(expect.arrayContaining(["#f0935f", "#b9531f"]));
    expect(await me.page.$$(`${played} [clip-path] rect[fill^=url]`)).not.toEqual([]);
    const text = await hand.middle(`${played} text`);
    const moving = `${played} g[clip-path] [data-layer]`;
    const ids = await me.page.$$eval(moving, (layers) =>
      layers.flatMap((l) => (l.querySelector("text") ? [] : [l.getAttribute("data-layer") ?? ""])),
    );
    const point = () => me.page.mouse.move(...text);
    const leave = () => me.page.mouse.move(text[0], text[1] + 200);
    const places = (film: readonly Frame[]) => film.map((frame) => frame.at(-1)?.x ?? NaN);
    const filmed = async (act: () => Promise<unknown>, putBack: () => Promise<unknown>) =>
      places(await me.film(".play-host", ids, act, putBack));
    const settled = async (act: () => Promise<unknown>) => {
      await act();
      await sleep(900);
    };
    const [before = NaN, ...there] = await filmed(point, () => settled(leave));
    const end = there.at(-1) ?? NaN;
    expect(end).toBeGreaterThan(before + 20);
    // a spring of 40 per cent goes beyond its end before it comes to rest there
    expect(Math.max(...there)).toBeGreaterThan(end + 1);
    const back = await filmed(leave, () => settled(point));
    expect(back.at(-1)).toBeCloseTo(before, 0);
    hand.expectAtMost(50);
  });
});
