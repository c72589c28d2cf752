import { describe, expect, it } from "vitest";
import { sleep } from "../support/browser";
import { givenHand } from "./hand";

const at = givenHand();

/** Three discs, one after the other higher than the rest, without end. */
const drawWave = async (): Promise<void> => {
  const { hand, me } = at;
  await hand.newComponent();
  const card = await me.box(".card-variant");
  await hand.draw("ellipse", [card.x + 120, card.y + 120], 40, 40);
  await hand.press("Control", "d");
  await hand.press("Control", "d");
  await me.find("treeitem", "Ellipse 3");
  await hand.trait("Wave: still, first, second, third", 4);
  for (const [i, disc] of ["Ellipse", "Ellipse 2", "Ellipse 3"].entries()) {
    await hand.choose(disc);
    await hand.drag(await hand.layer(disc, i + 1), 0, -30);
  }
  await hand.press("Escape");
  await hand.click("tab", "Rules");
  await hand.readyMade("Advance Wave automatically, in a loop");
};

/** Five pieces, and two choices of which one is chosen. */
const drawPieces = async (): Promise<void> => {
  const { hand, me } = at;
  await hand.newComponent();
  const card = await me.box(".card-variant");
  await hand.draw("box", [card.x + 60, card.y + 60], 260, 36);
  for (let copy = 0; copy < 4; copy++) await hand.press("Control", "d");
  await me.find("treeitem", "Box 5");
  const last = await me.box(`.card-variant [data-layer="${await me.layerId("Box 5")}"]`);
  await hand.draw("box", [last.x, last.y + last.height + 10], last.width * 0.4, 26);
  await hand.text("Boat");
  await hand.choose("Box 6");
  await hand.press("Control", "d");
  await me.find("treeitem", "Boat 2");
  await hand.typeOver(await hand.layer("Boat 2"), "Train");
  await hand.trait("Way: boat, train", 2);
  await hand.choose("Box 6");
  await hand.write("fill", "boat", "#8fb5a9");
  await hand.write("fill", "train", "#c9d8d2");
  await hand.choose("Box 7");
  await hand.write("fill", "train", "#8fb5a9");
  await hand.choose("Box 6", "Box 7");
  await hand.click("tab", "Rules");
  await hand.readyMade();
};

/** The seven come in one after the other, before the wave. */
const bringIn = async (): Promise<void> => {
  const { hand, me } = at;
  await hand.choose("Box", "Box 2", "Box 3", "Box 4", "Box 5", "Box 6", "Box 7");
  await hand.readyMade("Appear one after another");
  await hand.press("Escape");
  await hand.click("button", "Insert a component");
  await hand.click("button", "Insert Component");
  await me.find("treeitem", "Component");
  await hand.menuAt(await hand.middle("[role=treeitem][aria-selected=true]"), "Send to back");
};

/** How far the boxes have come in: one number each, from 0 to 1. */
const opacities = (ids: readonly string[]) =>
  at.me.page.evaluate(
    (all) =>
      all.map((id) => {
        const element = document.querySelector(`.play-host [data-layer$="${id}"]`);
        return element ? Number(element.getAttribute("opacity") ?? 1) : 0;
      }),
    ids,
  );

/** Which of the three discs is higher than the others; -1 where none is. */
const raised = () =>
  at.me.page.$$eval(".play-host :is(ellipse, circle)", (all) => {
    const heights = all.map((e) => e.getBoundingClientRect().y);
    const top = Math.min(...heights);
    const low = Math.max(...heights);
    return low - top < 6 ? -1 : heights.indexOf(top);
  });

const chosen = () =>
  at.me.page.$$eval(".play-host [data-layer]", (all) =>
    all
      .filter((e) => e.querySelectorAll("text").length === 1)
      .filter((e) => e.querySelector('rect[fill="#8fb5a9"]'))
      .map((e) => e.querySelector("text")?.textContent),
  );

describe("an entrance", () => {
  it("five pieces come in staggered, then two choices, inside an endless wave of three parts", async () => {
    const { hand, me } = at;
    await drawWave();
    await hand.back();
    await drawPieces();
    const ids: string[] = [];
    for (const box of ["Box", "Box 2", "Box 3", "Box 4", "Box 5", "Box 6", "Box 7"])
      ids.push(await me.layerId(box));
    await bringIn();
    await hand.placeOnNewScreen();
    await hand.play();
    const moments: number[][] = [];
    for (let moment = 0; moment < 40; moment++) {
      moments.push(await opacities(ids));
      await sleep(25);
    }
    // staggered: whatever comes in later is never clearer than what comes before it
    expect(moments.some((m) => (m[0] ?? 0) > (m[6] ?? 0) + 0.5)).toBe(true);
    for (const moment of moments)
      expect(moment.every((o, i) => i === 0 || o <= (moment[i - 1] ?? 0) + 0.02)).toBe(true);
    expect(moments.at(-1)).toEqual([1, 1, 1, 1, 1, 1, 1]);

    const seen: number[] = [];
    for (let moment = 0; moment < 60 && new Set(seen.filter((n) => n >= 0)).size < 3; moment++) {
      seen.push(await raised());
      await sleep(120);
    }
    const order = seen.filter((n, i) => n >= 0 && n !== seen[i - 1]);
    expect(new Set(order).size).toBe(3);
    // it goes on: the one that was raised first is raised again
    const [first] = order;
    await me.until(async () => expect(await raised()).toBe(first));

    await hand.clickAt(await hand.middle(".play-host text", 1));
    await me.until(async () => expect((await chosen()).at(-1)).toBe("Train"));
    await hand.clickAt(await hand.middle(".play-host text", 0));
    await me.until(async () => expect((await chosen()).at(-1)).toBe("Boat"));
    hand.expectAtMost(100);
  });
});
