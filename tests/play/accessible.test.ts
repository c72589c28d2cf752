import { beforeAll, describe, expect, it } from "vitest";
import { kelpwayKit } from "../../demo/index";
import { accessibleTree } from "../support/accessible";
import { findings } from "../support/axe";
import type { Designer } from "../support/designer";
import { givenDesk } from "../support/kit";

const desk = givenDesk();
let me: Designer;
beforeAll(() => {
  me = desk.me;
});

const PLAYER = ".play-host .player";
const open = async (piece: string) => {
  await me.page.goto(`${desk.address}/play/${piece}`, { waitUntil: "load" });
  // the layer is there before the first picture is, and what is in it comes with that
  await me.page.waitForSelector(`${PLAYER} .access > *`);
};
/** What has the page's focus: its role and name as the browser computes them. */
const focused = () =>
  me.page.evaluate(() => {
    const e = document.activeElement;
    return `${e?.getAttribute("role") ?? e?.tagName.toLowerCase()} ${e?.getAttribute("aria-label") ?? e?.textContent}`;
  });
const pieces = Object.keys(kelpwayKit().pieces);

describe("what is played reaches assistive technology", () => {
  it("as roles, names and states of every part of the kit, with nothing for axe to find", async () => {
    const trees: string[] = [];
    const found: string[] = [];
    for (const piece of pieces) {
      await open(piece);
      trees.push(await accessibleTree(me.page, PLAYER));
      found.push(...(await findings(me, ".play-stage")).map((f) => `${piece}: ${f}`));
    }
    await expect(`${trees.join("\n\n")}\n`).toMatchFileSnapshot("../kept/accessible.txt");
    expect(found).toEqual([]);
  }, 240_000);

  it("at 390 × 844, with a finger, too", async () => {
    await me.page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
    await open("trip-settings");
    expect(await accessibleTree(me.page, PLAYER)).toContain("switch “Delay alerts” checked: false");
    expect(await findings(me)).toEqual([]);
    await me.page.setViewport({ width: 1280, height: 800 });
  });
});

describe("whoever uses it without a pointer", () => {
  it("stops at each control with the page's own focus, forwards and back, and goes on beyond", async () => {
    await open("trip-settings");
    await me.page.$eval(".play-bar", (bar) => {
      const last = [...bar.querySelectorAll<HTMLElement>("button, a, input")].at(-1);
      last?.focus();
    });
    await (await me.find("button", "More")).focus();
    const stops: string[] = [];
    for (let i = 0; i < 60 && stops.length < 6; i++) {
      await me.press("Tab");
      if (await me.page.$eval(PLAYER, (p) => p.contains(document.activeElement)))
        stops.push(await focused());
    }
    expect(stops).toEqual([
      "switch Dock alerts",
      "switch Delay alerts",
      "switch Weather alerts",
      "checkbox Bring a bicycle",
      "link Cabin climate",
      "button Tell us about the crossing",
    ]);
    await me.press("Shift", "Tab");
    expect(await focused()).toBe("link Cabin climate");
    await me.press("Tab");
    await me.press("Tab");
    expect(await me.page.$eval(PLAYER, (p) => p.contains(document.activeElement))).toBe(false);
  });

  it("clicks without any pointer, hears the new state, and what is shown next", async () => {
    await open("trip-settings");
    const clickOn = (name: string) =>
      me.page.$$eval(
        `${PLAYER} .access [role]`,
        (all, n) =>
          all
            .find((e): e is HTMLElement => (e.getAttribute("aria-label") ?? e.textContent) === n)
            ?.click(),
        name,
      );
    const checked = () =>
      me.page.$eval(`${PLAYER} .access [aria-label="Delay alerts"]`, (e) =>
        e.getAttribute("aria-checked"),
      );
    expect(await checked()).toBe("false");
    await clickOn("Delay alerts");
    await me.until(async () => expect(await checked()).toBe("true"));
    await clickOn("Tell us about the crossing");
    const said = () => me.text(`${PLAYER} .said`);
    await me.until(async () => expect(await said()).toBe("Notice"));
    expect(await accessibleTree(me.page, PLAYER)).not.toContain("Delay alerts");
    await clickOn("Close");
    await me.until(async () => expect(await said()).toBe("Trip settings"));
    await clickOn("Cabin climate");
    await me.until(async () => expect(await said()).toBe("Cabin climate"));
    expect(await me.page.title()).toContain("Cabin climate");
  });

  it("hears a state that a presenter shows", async () => {
    await open("trip-settings");
    await me.click("radio", "on", '[aria-label="Delay alerts: Alerts"]');
    await me.until(async () => expect(await me.text(`${PLAYER} .said`)).toBe("Alerts: on"));
  });

  it("is told of the place one is at, and of the tab that is shown", async () => {
    await open("saltholm-pier");
    const current = () =>
      me.page.$$eval(`${PLAYER} .access [aria-current=true]`, (all) =>
        all.map((e) => e.getAttribute("aria-label")),
      );
    expect(await current()).toEqual(["Map"]);
    await open("deck-tabs");
    const tab = await me.find("tab", "Sun", PLAYER);
    await tab.focus();
    await me.press("Enter");
    await me.until(async () =>
      expect(
        await me.page.$$eval(`${PLAYER} [aria-selected=true]`, (all) =>
          all.map((e) => e.getAttribute("aria-label")),
        ),
      ).toEqual(["Sun"]),
    );
  });
});

describe("on the bench", () => {
  it("a trait is given a state, and Try tells it at once; without one a check says so and mends it", async () => {
    await desk.go("board-now-button");
    const tree = () => accessibleTree(me.page, ".try-host .player");
    await me.page.waitForSelector(".try-host .access");
    expect(await tree()).toContain("button “Board now”\n");
    const tool = await me.find("button", "Accessibility state of Contact: none");
    await tool.focus();
    await me.press("Enter");
    await me.click("radio", "pressed", ".state-menu");
    await me.until(async () => expect(await tree()).toContain("button “Board now” pressed: false"));
    await me.press("Escape");
    await me.find("button", "Accessibility state of Contact: pressed");
    await desk.go("alert-switch");
    await me.find("button", "Accessibility state of Alerts: checked").then((e) => e.click());
    await me.click("radio", "none", ".state-menu");
    await me.press("Escape");
    await me.click("tab", "Checks");
    await me.find("button", "Let Alerts stand for checked").then((fix) => fix.click());
    await me.find("button", "Accessibility state of Alerts: checked");
    await me.until(async () =>
      expect(await tree()).toContain("switch “Dock alerts” checked: false"),
    );
    expect(me.complaints).toEqual([]);
  });

  it("a trait is given a motion, by which Try's switch shows it", async () => {
    await desk.go("alert-switch");
    await me.find("button", "Accessibility state of Alerts: checked").then((e) => e.click());
    await me.click("checkbox", "Has a motion of its own", ".state-menu");
    await me.press("Escape");
    const duration = await me.find("textbox", "Duration in milliseconds", ".trait-motion");
    await duration.click({ count: 3 });
    await me.type("4000");
    await me.press("Enter");
    await me.saved();
    await me.click("radio", "on", '[aria-label="Alerts in Try"]');
    const knob = async () => (await me.layer(".try-host", "knob"))?.x ?? NaN;
    const from = await knob();
    await me.until(async () => expect(await knob()).toBeGreaterThan(from + 1));
    expect(await knob()).toBeLessThan(from + 26);
  });
});
