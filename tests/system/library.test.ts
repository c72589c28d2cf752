import { beforeAll, describe, expect, it } from "vitest";
import { inOrder } from "#core/project";
import { sleep } from "../support/browser";
import type { Designer } from "../support/designer";
import { givenDesk } from "../support/kit";
import { savedProject } from "../support/saved";

const desk = givenDesk();
let me: Designer;
beforeAll(() => {
  me = desk.me;
});

const open = async (place = ""): Promise<void> => {
  await me.page.goto(`${desk.address}/system${place}`, { waitUntil: "load" });
  await me.page.waitForSelector(".running svg [data-layer]");
};
const names = (): Promise<string[]> =>
  me.page.$$eval(".library-tile .tile-name", (all) => all.map((e) => e.textContent ?? ""));
const tile = (name: string): string => `.library-tile:has([aria-label="Actions for ${name}"])`;
const component = async (id: string) => (await savedProject(desk)).pieces[id];

describe("the library", () => {
  it("runs every component in its tile, and shows any of its variants", async () => {
    await open();
    const knob = () => me.layer(tile("Alert switch"), "knob");
    const off = await knob();
    const { x, y, width, height } = await me.box(`${tile("Alert switch")} [data-layer="toggle"]`);
    await me.page.mouse.click(x + width / 2, y + height / 2);
    await me.until(async () => expect((await knob())?.x).toBeGreaterThan((off?.x ?? 0) + 15));
    // the list says which variant it is in now
    const shown = await me.find("combobox", "Variant of Alert switch");
    await me.until(async () =>
      expect(
        await shown.evaluate((s) => (s as HTMLSelectElement).selectedOptions[0]?.text),
      ).toMatch(/^on/),
    );
    await me.pick("Variant of Alert switch", "off");
    await me.until(async () => expect((await knob())?.x).toBeCloseTo(off?.x ?? 0, 0));
  });

  it("is searched by name, description, token and trait; nothing found says so", async () => {
    await open();
    const search = await me.find("searchbox", "Search components");
    for (const [words, found] of [
      ["swi", "Alert switch"],
      ["what comes with a booking wheelchair", "none"],
      ["wheelchair", "Bicycle tick box"],
      ["starboard", "Seat side chooser"],
    ] as const) {
      await search.click({ count: 3 });
      await me.type(words);
      await me.until(async () =>
        found === "none"
          ? expect(await me.text(".page-empty")).toContain(words)
          : expect(await names()).toContain(found),
      );
    }
    await search.click({ count: 3 });
    await me.type("zeppelin");
    await me.click("button", "Clear search");
    await me.until(async () => expect(await names()).toHaveLength(17));
  });

  it("is sorted by name, by use, by age and by findings", async () => {
    await open();
    await me.pick("Sort by", "name");
    // within the first group
    const third = async () => (await names())[2];
    await me.until(async () => expect(await third()).toBe("Seat plan"));
    await me.pick("Sort by", "most used");
    await me.until(async () => expect((await names())[0]).toBe("Alert switch"));
    await me.pick("Sort by", "findings");
    await me.until(async () => expect(await third()).toBe("Seat side chooser"));
    await me.pick("Sort by", "last changed");
    await me.until(async () => expect(await names()).toHaveLength(17));
  });

  it("puts components into groups by dragging, and by their menu", async () => {
    await me.page.setViewport({ width: 1280, height: 2000 });
    await open();
    await me.click("button", "Actions for Seat plan");
    await me.click("button", "Move to Cards");
    expect((await component("seat-plan"))?.group).toBe("Cards");
    await me.click("button", "Actions for Seat plan");
    await me.click("button", "New group…");
    expect((await component("seat-plan"))?.group).toBe("New group");
    await me.click("button", "New group");
    await me.type("Ships");
    await me.press("Enter");
    expect((await component("seat-plan"))?.group).toBe("Ships");
    await me.click("button", "Actions for Seat plan");
    await me.click("button", "Take out of its group");
    expect((await component("seat-plan"))?.group).toBeUndefined();
    const grip = await me.box(`${tile("Seat side chooser")} .library-grip`);
    const onto = await me.box(tile("Route bell"));
    const from = [grip.x + grip.width / 2, grip.y + grip.height / 2] as const;
    await me.drag(from[0], from[1], onto.x + 60 - from[0], onto.y + 60 - from[1]);
    await me.page.setViewport({ width: 1280, height: 800 });
    await me.until(async () =>
      expect((await component("seat-side-chooser"))?.group).toBe("Buttons"),
    );
    await me.click("button", "Undo");
    expect((await component("seat-side-chooser"))?.group).toBe("Choices");
  });

  it("begins a new group where a component is dropped for that, and opens the bench from its menu", async () => {
    await me.page.setViewport({ width: 1280, height: 2600 });
    await open();
    const grip = await me.box(`${tile("Alert switch")} .library-grip`);
    const [x, y] = [grip.x + grip.width / 2, grip.y + grip.height / 2];
    await me.page.mouse.move(x, y);
    await me.page.mouse.down();
    await me.page.mouse.move(x + 10, y + 20, { steps: 4 });
    const to = await me.box(".library-new");
    await me.page.mouse.move(to.x + 60, to.y + to.height / 2, { steps: 8 });
    await me.page.waitForSelector(".library-drop.over .library-new");
    await me.page.mouse.up();
    await me.page.setViewport({ width: 1280, height: 800 });
    await me.until(async () => expect((await component("alert-switch"))?.group).toBe("New group"));
    await me.click("button", "Undo");
    await me.click("button", "Actions for Alert switch");
    await me.click("link", "Edit");
    await me.find("tree", "Layers");
    expect(me.page.url()).toMatch(/pieces\/alert-switch$/);
  });

  it("marks components as drafts and as ready", async () => {
    await open();
    // what can be done with a component comes with it into sight
    await (await me.find("link", "Menu button")).focus();
    await me.click("button", "Actions for Menu button");
    await me.click("button", "Mark as ready");
    expect((await component("menu-button"))?.status).toBe("ready");
    await me.click("button", "Actions for Menu button");
    await me.click("button", "Mark as draft");
    expect((await component("menu-button"))?.status).toBeUndefined();
  });

  it("says what could be better about all together, and mends it", async () => {
    await open();
    const kind = (name: string) => `section[aria-label="${name}"]`;
    await me.click("button", "Align names in Alert switch");
    await me.until(async () => expect(await me.page.$(kind("Names that differ"))).toBeNull());
    const values = Object.values((await component("alert-switch"))?.traits.alerts?.values ?? {});
    expect(values.map((v) => v.name)).toEqual(["no", "yes"]);
    await me.click("button", "Fix all 5", kind("Roles without their states"));
    await me.until(async () =>
      expect(await me.page.$(kind("Roles without their states"))).toBeNull(),
    );
    expect(
      inOrder((await component("route-bell"))?.rules ?? {}).map((r) => r.trigger.type),
    ).toEqual(expect.arrayContaining(["press", "focus"]));
    await me.click("button", "Undo");
    await me.page.waitForSelector(kind("Roles without their states"));
  });

  it("checks every component in all themes, and can be stopped", async () => {
    await open();
    await me.click("button", "Check 17 components in all themes");
    await me.click("button", "Stop");
    await me.click("button", "Check 17 components in all themes");
    await me.until(
      async () => expect(await me.text(".component-checks")).toContain("in any theme"),
      60_000,
    );
  });
});

describe("the page of a component", () => {
  it("is written in place, in Markdown that cannot do harm", async () => {
    await open("/components/menu-button");
    await me.click("button", "Write: When to use it");
    await me.type(
      "Left of the **title**. <img src=x onerror=alert(1)> [pier](javascript:alert(1))",
    );
    await me.press("Control", "Enter");
    const about = (await component("menu-button"))?.about;
    expect(about?.use).toContain("<img");
    const html = await me.page.$eval(".about-use .markdown", (e) => e.innerHTML);
    expect(html).toContain("<strong>title</strong>");
    expect(html).not.toMatch(/<img|onerror|javascript:/);
    await me.click("button", "Change: When to use it");
    await me.press("Escape");
    expect((await component("menu-button"))?.about).toEqual(about);
  });

  it("takes name, status and group", async () => {
    await open("/components/route-bell");
    await me.pick("Status", "ready");
    expect((await component("route-bell"))?.status).toBe("ready");
    await me.pick("Status", "superseded by Menu button");
    expect((await component("route-bell"))?.status).toEqual({ supersededBy: "menu-button" });
    await me.pick("Group", "Cards");
    expect((await component("route-bell"))?.group).toBe("Cards");
    await me.pick("Group", "none");
    expect((await component("route-bell"))?.group).toBeUndefined();
  });

  it("runs the component with any traits and options, and keeps that as a sample", async () => {
    await open("/components/bicycle-tick-box");
    const given = ".try-here .given";
    await me.pick("Checked", "yes", given);
    const label = await me.find("textbox", "Label", given);
    await label.click({ count: 3 });
    await me.type("Bring a dog");
    await me.press("Enter");
    await me.until(async () =>
      expect(await me.page.$eval(".try-here svg", (e) => e.textContent)).toContain("Bring a dog"),
    );
    await me.click("button", "Keep as sample");
    await me.page.waitForSelector(".sample-card svg [data-layer]");
    const [sample] = Object.values((await component("bicycle-tick-box"))?.samples ?? {});
    expect(Object.values(sample?.values ?? {})).toContain("Bring a dog");
    await me.pick("Advice", "avoid", ".sample-card");
    await me.click("textbox", "Caption", ".sample-card");
    await me.type("Dogs have a box of their own.");
    await me.press("Tab");
    await me.click("button", "Set…", ".sample-card");
    await me.pick("Checked", "no", ".sample-card .given");
    const [changed] = Object.values((await component("bicycle-tick-box"))?.samples ?? {});
    expect(changed).toMatchObject({
      advice: "avoid",
      caption: "Dogs have a box of their own.",
    });
    expect(changed?.values).not.toEqual(sample?.values);
    await me.click("button", "Delete sample");
    expect((await component("bicycle-tick-box"))?.samples).toEqual({});
    await me.click("button", "Add sample");
    await me.until(async () =>
      expect(Object.keys((await component("bicycle-tick-box"))?.samples ?? {})).toHaveLength(1),
    );
  });

  it("says what it tells a screen reader, and what the practice misses", async () => {
    await open("/components/seat-side-chooser");
    await me.until(async () =>
      expect(await me.text("section:has(> #spoken)")).toContain(
        "missing: Arrow Right or Arrow Down goes to the next one",
      ),
    );
  });

  it("leads to where it is used, to its tokens, to the bench, and back", async () => {
    await open("/components/seat-side-chooser");
    // what is found by running it comes later, above the places
    await me.page.waitForSelector("section:has(> #spoken) tbody");
    await me.page.waitForSelector(".found");
    await me.click("link", "Seat plan", ".place-list");
    await me.until(async () => expect(await me.text("h1")).toBe("Seat plan"));
    await me.click("link", "Edit");
    await me.find("tree", "Layers");
    await me.click("link", "In library");
    await me.until(async () => expect(await me.text("h1")).toBe("Seat plan"));
    await me.page.goto(`${desk.address}/system/components/nobody`, { waitUntil: "load" });
    await me.click("link", "To the library");
    await me.until(async () => expect(await me.text("h1")).toContain("Components of"));
  });
});

describe("inserting from the library", () => {
  const copies = async () => {
    const ticket = await component("ticket");
    return Object.values(ticket?.looks.base?.changes ?? {}).filter(
      (said) => said.component === "bicycle-tick-box",
    );
  };

  it("finds by typing, shows it, and gives it options before it lands", async () => {
    await desk.go("ticket");
    await me.click("button", "Insert a component");
    await me.find("combobox", "Search components");
    await me.type("wheelch");
    const label = await me.find("textbox", "Label", ".offers");
    await label.click({ count: 3 });
    await me.type("Bring a dog");
    await me.press("Tab");
    await me.click("button", "Insert Bicycle tick box");
    await me.until(async () => expect(await copies()).toHaveLength(1));
    expect(Object.values((await copies())[0] ?? {})).toContain("Bring a dog");
  });

  it("offers first what was used last; the arrow keys and Enter are enough", async () => {
    await desk.go("ticket");
    await me.click("button", "Insert a component");
    const options = () =>
      me.page.$$eval(".offers [role=option]", (all) => all.map((e) => e.textContent));
    await me.until(async () => expect((await options())[0]).toBe("Bicycle tick box recent"));
    await me.press("ArrowDown");
    await me.press("ArrowUp");
    await me.press("Enter");
    await me.until(async () => expect(await copies()).toHaveLength(2));
    await me.click("button", "Insert a component");
    await me.press("Escape");
    await me.until(async () => expect(await me.page.$(".offers")).toBeNull());
  });

  it("is dragged onto a card, where it lands", async () => {
    await desk.go("ticket");
    await me.click("button", "Insert a component");
    const item = await me.find("option", "Bicycle tick box recent");
    const from = await item.boundingBox();
    const onto = await me.box(".card-variant .scene");
    const [x, y] = [onto.x + onto.width / 2, onto.y + onto.height / 2];
    const { mouse } = me.page;
    await mouse.move((from?.x ?? 0) + 20, (from?.y ?? 0) + 8);
    await mouse.down();
    await mouse.move((from?.x ?? 0) + 40, (from?.y ?? 0) + 20, { steps: 4 });
    // the panel makes way for the card
    await sleep(100);
    await mouse.move(x, y, { steps: 6 });
    await mouse.move(x + 1, y + 1);
    await mouse.up();
    await me.until(async () => expect(await copies()).toHaveLength(3));
  });

  it("and the console had nothing to complain of", () => expect(me.complaints).toEqual([]));
});
