import { describe, expect, it } from "vitest";
import { sleep } from "../support/browser";
import type { Box } from "../support/browser";
import { givenHand } from "./hand";

const at = givenHand();

const bars = '.card-variant [data-layer] rect[fill="#c9d8d2"]';
const played = ".play-host [data-layer]";

const barOf = async (nth: number): Promise<Box> => {
  const box = await (await at.me.page.$$(bars))[nth]?.boundingBox();
  if (!box) throw new Error("no bar");
  return box;
};

/** Draws the bar, and at its first place a notch with a disc in it. */
const drawBar = async (): Promise<void> => {
  const { hand, me } = at;
  await hand.newComponent();
  const card = await me.box(".card-variant");
  const empty = await me.zoom();
  await hand.draw("box", [card.x + 20, card.y + 120], 376 * empty, 99 * empty);
  const notch = await me.box(bars);
  await hand.draw("ellipse", [notch.x + notch.width / 8 - 50, notch.y - 36], 100, 100);
  await hand.write("fill", "only variant", "#ffffff");
  const disc = await me.box(bars);
  await hand.draw("ellipse", [disc.x + disc.width / 8 - 40, disc.y - 26], 80, 80);
  await hand.choose("Ellipse", "Ellipse 2");
  await hand.press("Control", "g");
  await hand.press("Escape");
};

/** Draws an icon over a label, and three more of them at equal distances, each with its own. */
const drawPlaces = async (): Promise<void> => {
  const { hand, me } = at;
  const bar = await me.box(bars);
  const place = bar.x + bar.width / 8;
  await hand.icon("home");
  const icon = await hand.layer("house");
  await hand.drag(icon, place - icon[0], bar.y + 14 - icon[1]);
  await hand.text("Home");
  const label = await hand.layer("Home");
  await hand.drag(label, place - label[0], bar.y + bar.height * 0.78 - label[1]);
  await hand.choose("house", "Home");
  await hand.press("Control", "g");
  await hand.press("Control", "d");
  const [one, two] = [await hand.layer("Group 2"), await hand.layer("Group 3")];
  await hand.drag(two, one[0] + bar.width / 4 - two[0], one[1] - two[1]);
  await hand.press("Control", "d");
  await hand.press("Control", "d");
  await me.find("treeitem", "Group 5");
  for (const [number, word, name] of [
    [2, "ship", "Ships"],
    [3, "map", "Map"],
    [4, "user", "Me"],
  ] as const) {
    await hand.choose(`house ${number}`);
    await hand.clickAt(await hand.middle(".handful-value"));
    await hand.type(word);
    await hand.firstIcon();
    await hand.typeOver(await hand.layer(`Home ${number}`), name);
  }
};

/** Moves the notch with its disc to each of the other places, one on each card. */
const moveDisc = async (): Promise<void> => {
  const { hand, me } = at;
  await hand.choose("Group");
  const disc = `.card-variant [data-layer="${await me.layerId("Group")}"]`;
  for (const nth of [1, 2, 3]) {
    const box = await (await me.page.$$(disc))[nth]?.boundingBox();
    if (!box) throw new Error("no disc");
    const step = (await barOf(nth)).width / 4;
    await hand.drag([box.x + 5, box.y + box.height / 2], step * nth, 0);
  }
};

/** The middles of the labels, and that of the disc, px. */
const shown = () =>
  at.me.page.$$eval(played, (all) => {
    const middle = (e: Element) => {
      const { x, width } = e.getBoundingClientRect();
      return x + width / 2;
    };
    const leaves = all.filter((e) => !e.querySelector("[data-layer]"));
    const discs = leaves.filter((e) => e.querySelector("ellipse, circle"));
    const icons = leaves.filter((e) => e.querySelector("path"));
    return { discs: discs.map(middle), icons: icons.map(middle) };
  });

describe("a bar", () => {
  it("with four icons and labels, notch and disc slide to the chosen one", async () => {
    const { hand, me } = at;
    await drawBar();
    await drawPlaces();
    await hand.trait("Tab: home, ships, map, me", 4);
    await moveDisc();
    await hand.choose("Group 2", "Group 3", "Group 4", "Group 5");
    await hand.click("tab", "Rules");
    await hand.readyMade();
    await hand.placeOnNewScreen();
    await hand.play();
    const before = await shown();
    expect(before.icons).toHaveLength(4);
    expect(before.discs).toHaveLength(2);
    for (const place of [2, 3, 1, 0]) {
      const from = (await shown()).discs[0] ?? 0;
      await hand.clickAt(await hand.middle(".play-host text", place));
      await sleep(90);
      const between = (await shown()).discs[0] ?? 0;
      await sleep(600);
      const { discs, icons } = await shown();
      for (const disc of discs) expect(Math.abs(disc - (icons[place] ?? 0))).toBeLessThan(8);
      const to = discs[0] ?? 0;
      // it slides: on the way it is between the two
      expect(Math.abs(between - from) + Math.abs(to - between)).toBeCloseTo(Math.abs(to - from), 0);
    }
    expect(await me.page.$$eval(".play-host text", (all) => all.map((t) => t.textContent))).toEqual(
      ["Home", "Ships", "Map", "Me"],
    );
    hand.expectAtMost(90);
  });
});
