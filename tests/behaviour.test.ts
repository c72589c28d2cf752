import { beforeAll, describe, expect, it } from "vitest";
import type { Designer } from "./support/designer";
import { givenDesk, kitWithout } from "./support/kit";

const desk = givenDesk(kitWithout("sailing-card-deck"));
let me: Designer;
beforeAll(() => {
  me = desk.me;
});

const rule = (n: number) => `.rules .rule:nth-child(${n})`;
const blur = () => me.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
const log = () => me.text(".log");
const hears = (words: string) => me.until(async () => expect(await log()).toContain(words));
const middle = async (layer: string) => {
  const b = await me.box(`.try-host [data-layer="${layer}"]`);
  return [b.x + b.width / 2, b.y + b.height / 2] as const;
};

describe("wiring", () => {
  it("a copy's signals are among what a rule can listen for, and a new one is made where it is raised", async () => {
    await desk.go("seat-side-chooser");
    await me.click("tab", "Rules 3");
    await me.click("treeitem", "Starboard");
    await me.click("button", "Add rule on Starboard");
    await me.pick("Trigger", "is double-clicked", rule(4));
    await me.pick("Effect", "send signal", rule(4));
    await me.pick("Signal", "new signal…", rule(4));
    await me.find("button", "Delete signal signal");
    await (await me.find("button", "signal", ".signals")).press("F2");
    await me.press("Control", "a");
    await me.type("undecided");
    await me.press("Enter");
    await me.find("button", "Delete signal undecided");
    await me.saved();
    await desk.go("seat-plan");
    await me.click("tab", "Rules 3");
    await me.click("treeitem", "Side chooser");
    await me.click("button", "Add rule on Side chooser");
    await me.pick("Trigger", "sends undecided", rule(4));
    await me.pick("New value of Side", "Middle", rule(4));
    await me.saved();
    const [x, y] = await middle("starboard");
    await me.page.mouse.click(x, y);
    await me.page.mouse.click(x, y);
    await hears("Side chooser sends undecided → Side Middle");
  });

  it("makers wire what is usual in one step: contact with its trait, one of several layers, and the way back of a rule", async () => {
    await desk.go("sailing-card-deck");
    const before = await me.page.$$eval(".tree-name", (all) => all.map((n) => n.textContent));
    expect(before.length).toBeGreaterThan(3);
    await me.click("treeitem", before[0] ?? "");
    await me.click("tab", "Rules");
    await me.click("button", "Ready-made behaviour…");
    await me.until(async () =>
      expect(await me.text(".make-preview")).toContain(
        "New trait Contact: none, hovered, focused, pressed",
      ),
    );
    await me.click("button", "Add");
    await me.until(async () => expect(await me.page.$$(".rules .rule")).toHaveLength(3));
    await me.press("Control", "z");
    await me.until(async () => expect(await me.page.$$(".rules .rule")).toHaveLength(0));
    await desk.go("bicycle-tick-box");
    await me.click("tab", "Rules 2");
    await me.click("treeitem", "Square");
    await me.click("button", "Add rule on Square");
    await me.pick("Trigger", "gets the pointer", rule(3));
    await me.pick("New value of Checked", "yes", rule(3));
    await me.click("button", "Add return rule of rule 3", rule(3));
    await me.until(async () =>
      expect(
        await me.page.$$eval(
          ".rules .rule",
          (all) =>
            (all[3] as HTMLElement | undefined)?.querySelector<HTMLSelectElement>(
              '[aria-label="Trigger"]',
            )?.selectedOptions[0]?.text,
        ),
      ).toBe("loses the pointer"),
    );
    await me.find("button", "while Checked is yes", rule(4));
    await me.click("button", "Delete rule 4", rule(4));
    await me.click("button", "Delete rule 3", rule(3));
    await me.saved();
  });

  it("long lists of rules are kept to what matters now, and grouped", async () => {
    await desk.go("menu-button");
    await me.click("tab", "Rules 4");
    const shown = () => me.page.$$eval(".rules .rule", (all) => all.length);
    expect(await shown()).toBe(4);
    await me.pick("Rule order", "by trigger");
    expect(await me.page.$$eval(".rule-group", (all) => all.map((h) => h.textContent))).toEqual([
      "Is hovered",
      "Gets focus",
      "Is pressed",
      "Is clicked",
    ]);
    await me.pick("Rule order", "in order");
    await me.click("treeitem", "Cross");
    await me.click("checkbox", "For the selection");
    expect(await shown()).toBe(0);
    expect(await me.text(".rules")).toContain("None of the 4 rules match these filters.");
    await me.click("treeitem", "Menu button");
    expect(await shown()).toBe(4);
  });

  it("a removed signal leaves a rule that says why it does nothing, and comes back with undo", async () => {
    await desk.go("seat-side-chooser");
    await me.click("tab", "Rules 4");
    await me.click("button", "Delete signal port");
    await me.until(async () =>
      expect(await me.text(".rule.troubled .trouble")).toContain("the signal it sends was deleted"),
    );
    await blur();
    await me.press("Control", "z");
    await me.until(async () => expect(await me.page.$(".rule.troubled")).toBeNull());
  });

  it("a drag along a line goes one of four ways; what keeps with the hand goes in any", async () => {
    await desk.go("bicycle-tick-box");
    await me.click("tab", "Rules 2");
    await me.click("treeitem", "Square");
    await me.click("button", "Add rule on Square");
    await me.pick("Trigger", "is dragged", rule(3));
    const offered = () =>
      me.page.$$eval(`${rule(3)} [aria-label=Direction] option`, (all) =>
        all.map((o) => o.textContent),
      );
    const four = ["left", "right", "up", "down"];
    await me.until(async () => expect(await offered()).toEqual(four));
    await me.pick("Drag path", "freely", rule(3));
    await me.until(async () => expect(await offered()).toEqual([...four, "in any direction"]));
    await me.pick("Direction", "in any direction", rule(3));
    await me.pick("Drag path", "along a line", rule(3));
    await me.until(async () => expect(await offered()).toEqual(four));
    const direction = await me.find("combobox", "Direction", rule(3));
    expect(await direction.evaluate((d) => (d as HTMLSelectElement).value)).toBe("right");
  });

  it("keys, holds, settling, traits of copies and addresses are said in the sentence", async () => {
    await desk.go("cabin-climate");
    await me.click("tab", "Rules 1");
    await me.click("treeitem", "Title");
    for (let i = 0; i < 2; i++) await me.click("button", "Add rule on Title");
    await me.pick("Trigger", "gets a key press", rule(2));
    await me.press("h");
    await me.until(async () =>
      expect(await (await me.find("button", "Key", rule(2))).evaluate((b) => b.textContent)).toBe(
        "H",
      ),
    );
    await me.pick("Source", "the whole piece", rule(2));
    await me.pick("Effect", "Heating: Alerts", rule(2));
    await me.pick("New value of Alerts", "the opposite value", rule(2));
    await me.pick("Trigger", "is held", rule(3));
    await me.pick("Effect", "open web address", rule(3));
    const field = await me.find("textbox", "Web address", rule(3));
    await field.click({ count: 3 });
    await me.type("kelpway.example/cabins");
    await me.press("Enter");
    await me.until(async () =>
      expect(
        await (
          await me.find("textbox", "Web address", rule(3))
        ).evaluate((i) => (i as HTMLInputElement).value),
      ).toBe("https://kelpway.example/cabins"),
    );
    await me.saved();
    const [x, y] = await middle("title");
    await me.page.mouse.move(x, y);
    await me.page.mouse.down();
    await hears("would open https://kelpway.example/cabins");
    await me.page.mouse.up();
    await me.press("h");
    await hears("key H → Heating: Alerts off");
  });
});

describe("Try", () => {
  it("goes by keyboard alone: Tab to what can be used, a ring around it, Enter and Space, and out again", async () => {
    await desk.go("trip-settings");
    await me.click("button", "Restart");
    const ring = () =>
      me.page.$eval(".try-host .focus-ring", (r) => ({
        shown: r.getAttribute("visibility"),
        y: Math.round(r.getBoundingClientRect().y),
      }));
    await (await me.find("button", "Reduced motion")).focus();
    // between the switches and the copy is how forms are answered
    for (let i = 0; i < 4 && (await ring()).shown === "hidden"; i++) await me.press("Tab");
    await me.until(async () => expect((await ring()).shown).toBe("visible"));
    const first = (await ring()).y;
    await me.press("Enter");
    await hears("click → Alerts");
    await me.press("Tab");
    await me.until(async () => expect((await ring()).y).toBeGreaterThan(first));
    await me.press("Shift", "Tab");
    await me.until(async () => expect((await ring()).y).toBe(first));
    for (let i = 0; i < 12 && (await ring()).shown === "visible"; i++) await me.press("Tab");
    expect((await ring()).shown).toBe("hidden");
    expect(
      await me.page.evaluate(() => document.activeElement?.closest(".try-host") === null),
    ).toBe(true);
  });

  it("is slowed down, paused in mid-motion, moved on by single steps, and goes on", async () => {
    await desk.go("alert-switch");
    const knob = () => me.layer(".try-host", "knob").then((k) => k?.x ?? NaN);
    const still = async () => {
      const a = await knob();
      await new Promise((r) => setTimeout(r, 250));
      return Math.abs((await knob()) - a) < 0.01;
    };
    const from = await knob();
    await me.click("button", "Pause");
    const [x, y] = await middle("track");
    await me.page.mouse.click(x, y);
    await hears("click → Alerts on");
    expect(await still()).toBe(true);
    for (let i = 0; i < 5; i++) await me.click("button", "Step");
    const between = await knob();
    expect(between).toBeGreaterThan(from + 1);
    expect(between).toBeLessThan(from + 27);
    expect(await still()).toBe(true);
    await me.pick("Playback speed", "10 %");
    await me.click("button", "Resume");
    await me.until(async () => expect(await knob()).toBeCloseTo(from + 28, 0));
  });

  it("with a finger nothing is hovered; the ground is chosen", async () => {
    await desk.go("bicycle-tick-box");
    const [x, y] = await middle("square");
    await me.page.mouse.move(x, y);
    await hears("hover → Contact hovered");
    await me.page.mouse.move(x, y + 300);
    await me.click("radio", "Touch");
    await me.click("button", "Restart");
    await me.until(async () => expect(await log()).toContain("Click, hover or type"));
    await me.page.mouse.move(x, y);
    await me.page.mouse.move(x + 2, y);
    expect(await log()).not.toContain("hover →");
    await me.page.mouse.click(x, y);
    await hears("click → Checked yes");
    await me.pick("Background", "on night");
    expect(await me.page.$eval(".try-room", (r) => getComputedStyle(r).backgroundColor)).toBe(
      "rgb(22, 33, 31)",
    );
  });

  it("and the console had nothing to complain of", () => expect(me.complaints).toEqual([]));
});
