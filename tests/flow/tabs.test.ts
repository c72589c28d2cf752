import { describe, expect, it } from "vitest";
import { sleep } from "../support/browser";
import { givenHand } from "./hand";
import type { Point } from "./hand";

const at = givenHand();

const texts = ".card-variant [data-layer] text";
const played = ".play-host [data-layer]";

/** Writes a tab's name to the right of those that are there. */
const writeTab = async (name: string): Promise<void> => {
  const { hand, me } = at;
  const card = await me.box(".card-variant");
  const last = await (await me.page.$$(texts)).at(-1)?.boundingBox();
  const place: Point = last
    ? [last.x + last.width + 30, last.y + last.height / 2]
    : [card.x + 120, card.y + 90];
  await hand.text(name, place);
};

const boxOf = async (name: string) =>
  at.me.box(`.card-variant [data-layer="${await at.me.layerId(name)}"]`);

/** Drags a line to under a tab. */
const underline = async (line: string, tab: string): Promise<void> => {
  const { hand } = at;
  await hand.choose(line);
  const [from, to] = [await boxOf(line), await boxOf(tab)];
  const [x, y] = [from.x + from.width / 2, from.y + from.height / 2];
  await hand.drag([x, y], to.x + to.width / 2 - x, 0);
};

/** The tabs' opacities, and the middle of what lies under one of them. */
const shown = () =>
  at.me.page.$$eval(played, (all) => {
    const leaves = all.filter((e) => !e.querySelector("[data-layer]"));
    const middle = (e: Element) => {
      const { x, width } = e.getBoundingClientRect();
      return x + width / 2;
    };
    const tabs = leaves.filter((e) => e.querySelector("text"));
    const line = leaves.find((e) => !e.querySelector("text") && e.querySelector("rect"));
    return {
      faded: tabs.map((e) => Number(e.getAttribute("opacity") ?? 1)),
      places: tabs.map(middle),
      line: line ? middle(line) : 0,
    };
  });

describe("tabs", () => {
  it("three gathered from three drawings, faded when not chosen", async () => {
    const { hand, me } = at;
    await hand.newComponent();
    for (const name of ["Car", "Saloon", "Sun"]) await writeTab(name);
    const first = await me.box(texts);
    await hand.draw("box", [first.x, first.y + first.height + 6], first.width, 8);
    await hand.press("Control", "a");
    await hand.press("Control", "g");
    await hand.press("Control", "d");
    await hand.press("Control", "d");
    await me.find("treeitem", "Group 3");
    await underline("Box 2", "Saloon 2");
    await underline("Box 3", "Sun 3");
    await hand.choose("Saloon", "Sun", "Car 2", "Sun 2", "Car 3", "Saloon 3");
    await hand.write("opacity", "only variant", ".4");
    await hand.choose("Group", "Group 2", "Group 3");
    const chosen = await hand.middle("[role=treeitem][aria-selected=true]");
    await hand.menuAt(chosen, "Gather 3 layers as variants…");
    await me.until(async () => expect(await me.text(".modal")).toContain("All layers matched"));
    await hand.click("button", "Create component");
    await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(3));
    await hand.choose("Car", "Saloon", "Sun");
    await hand.click("tab", "Rules");
    await hand.readyMade();
    await hand.placeOnNewScreen();
    await hand.play();
    for (const tab of [1, 2, 0]) {
      await hand.clickAt(await hand.middle(".play-host text", tab));
      await sleep(700);
      const { faded, places, line } = await shown();
      expect(faded).toEqual([0, 1, 2].map((i) => (i === tab ? 1 : 0.4)));
      expect(Math.abs(line - (places[tab] ?? 0))).toBeLessThan(6);
    }
    hand.expectAtMost(60);
  });
});
