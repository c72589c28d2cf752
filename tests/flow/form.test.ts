import { describe, expect, it } from "vitest";
import { sleep } from "../support/browser";
import { givenHand } from "./hand";

const at = givenHand();

const drawn = ".card-variant [data-layer]";
const played = ".play-host [data-layer]";

/** Draws a box with a tick and a label beside it. */
const drawTickBox = async (label: string): Promise<void> => {
  const { hand, me } = at;
  const card = await me.box(".card-variant");
  await hand.draw("box", [card.x + 120, card.y + 90], 66, 66);
  await hand.icon("tick");
  const box = await me.box(`${drawn} rect[rx]`);
  await hand.text(label, [box.x + box.width + 40, box.y + box.height / 2]);
};

/** Three more below the first, each with its own label. */
const repeatFor = async (...labels: readonly string[]): Promise<void> => {
  const { hand } = at;
  await hand.press("Control", "a");
  await hand.press("Control", "g");
  for (const _ of labels) await hand.press("Control", "d");
  for (const [i, label] of labels.entries()) {
    await hand.typeOver(await hand.middle(`${drawn} text`, i + 1), label);
  }
};

/** Makes a component of the first, with two traits, their looks and their rules. */
const makeComponent = async (): Promise<void> => {
  const { hand, me } = at;
  await hand.choose("Group");
  await hand.press("n");
  await me.until(async () => expect(await me.text("main")).toContain("Created component"));
  await hand.doubleClickAt(await hand.middle(`${drawn} text`));
  await me.find("heading", "Group");
  await hand.click("button", "Add trait");
  await hand.click("button", "Checked: no, yes");
  await hand.trait("Hovered: no, yes", 4);
  await hand.choose("check");
  await hand.write("visible", "default", "no");
  await hand.write("visible", "checked", "yes");
  await hand.choose("Box");
  await hand.write("fill", "hovered", "#8fb5a9");
  await hand.press("Escape");
  await hand.click("tab", "Rules");
  await hand.readyMade();
  await hand.press("Shift", "a");
  await me.until(async () => expect(await me.page.$$(".rules .rule")).toHaveLength(2));
};

/** The labels with whether they are ticked, and the colours of their boxes. */
const ticks = () =>
  at.me.page.$$eval(played, (all) => {
    const copies = all.filter(
      (e) => e.querySelectorAll("text").length === 1 && e.querySelector("rect"),
    );
    const innermost = copies.filter((e) => !copies.some((o) => o !== e && e.contains(o)));
    return innermost.map((e) =>
      [
        e.querySelector("text")?.textContent,
        e.querySelector("path") ? "ticked" : "empty",
        e.querySelector('rect[fill="#8fb5a9"]') ? "hovered" : "plain",
      ].join(" "),
    );
  });

describe("a form", () => {
  it("with four tick boxes: one made a component with four variants, three replaced by it", async () => {
    const { hand, me } = at;
    await hand.newComponent();
    await drawTickBox("Car deck");
    await repeatFor("Saloon", "Sun deck", "Night boat");
    await makeComponent();
    await hand.back();
    await me.find("treeitem", "Group 4");
    await hand.choose("Group 2", "Group 3", "Group 4");
    const chosen = await hand.middle("[role=treeitem][aria-selected=true]");
    await hand.menuAt(chosen, "Replace with a copy of …");
    await hand.click("menuitem", "Group", "[role=group]");
    await hand.placeOnNewScreen();
    await hand.play();
    await hand.clickAt(await hand.middle(`${played} text`, 0));
    await hand.clickAt(await hand.middle(`${played} text`, 2));
    await sleep(500);
    expect(await ticks()).toEqual([
      "Car deck ticked plain",
      "Saloon empty plain",
      "Sun deck ticked hovered",
      "Night boat empty plain",
    ]);
    await hand.clickAt(await hand.middle(`${played} text`, 0));
    await sleep(500);
    expect((await ticks())[0]).toBe("Car deck empty hovered");
    const { pieces } = await at.kept();
    const copies = Object.values(pieces).flatMap((piece) =>
      Object.values(piece.layers).filter((layer) => layer.kind === "instance"),
    );
    // four tick boxes in the form, and the form on the screen
    expect(copies).toHaveLength(5);
    hand.expectAtMost(85);
  });
});
