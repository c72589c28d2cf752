import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { valuesOf } from "#core/looks";
import { inOrder } from "#core/project";
import type { Token } from "#core/project";
import type { Designer } from "../support/designer";
import { givenDesk } from "../support/kit";
import { savedProject } from "../support/saved";

const desk = givenDesk();
const folder = mkdtempSync(join(tmpdir(), "nubble-tokens-"));
let me: Designer;
beforeAll(() => {
  me = desk.me;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const open = async (): Promise<void> => {
  await me.page.goto(`${desk.address}/system/tokens`, { waitUntil: "load" });
  await me.find("combobox", "Density");
};
const themes = async () => inOrder((await savedProject(desk)).themes);
const tokenNamed = async (name: string): Promise<Token | undefined> =>
  Object.values((await savedProject(desk)).tokens).find((t) => t.name === name);
const fill = (host: string, layer: string): Promise<string | null> =>
  me.page.$eval(`${host} [data-layer="${layer}"] rect`, (r) => r.getAttribute("fill"));

/** Chooses a file of tokens, and waits for what it would change. */
const choose = async (name: string, json: unknown): Promise<void> => {
  const path = join(folder, name);
  writeFileSync(path, typeof json === "string" ? json : JSON.stringify(json));
  await open();
  await me.until(async () => {
    const [chooser] = await Promise.all([
      me.page.waitForFileChooser({ timeout: 2000 }),
      me.click("button", "Import tokens…"),
    ]);
    await chooser.accept([path]);
  });
  await me.find("dialog", "Import tokens");
  // what still comes in is not where it is pressed
  await me.page.waitForFunction(() =>
    document.getAnimations().every((a) => a.playState === "finished"),
  );
};

describe("themes", () => {
  it("are made, named, given values, and deleted again", async () => {
    await open();
    await me.until(async () => {
      // a press before the page's script has come is lost
      await me.click("button", "New theme");
      await me.click("button", "Contrast: normal, high");
    });
    await me.click("button", "Contrast");
    await me.type("Strength");
    await me.press("Enter");
    const made = async () => (await themes()).find((t) => t.name === "Strength");
    await me.until(async () => expect(await made()).toBeDefined());
    await me.click("button", "Add value", ".theme-row:last-child");
    await me.type("utmost");
    await me.press("Enter");
    await me.click("button", "Actions for high");
    await me.click("button", "Set as default");
    const theme = await made();
    const values = theme ? valuesOf(theme) : [];
    expect(values.map((v) => v.name)).toEqual(["normal", "high", "utmost"]);
    expect(theme?.rest).toBe(values[1]?.id);
    await me.click("button", "Actions for utmost");
    await me.click("button", "Delete");
    await me.until(async () => expect(Object.keys((await made())?.values ?? {})).toHaveLength(2));
    await me.click("button", "Delete theme", ".theme-row:last-child");
    await me.until(async () => expect(await made()).toBeUndefined());
    await me.click("button", "Undo");
    await me.until(async () => expect(await made()).toBeDefined());
    await me.click("button", "Redo");
  });

  it("are begun from what is often wanted, or empty", async () => {
    await open();
    const before = (await themes()).length;
    const items = ".dropdown-menu.show .dropdown-item";
    await me.click("button", "New theme");
    await me.page.waitForSelector(items);
    const entries = await me.page.$$eval(items, (all) => all.map((i) => i.textContent ?? ""));
    expect(entries.length).toBeGreaterThan(1);
    await me.press("Escape");
    await me.page.waitForSelector(items, { hidden: true });
    for (const [i, entry] of entries.entries()) {
      await me.click("button", "New theme");
      await me.page.waitForSelector(items);
      await me.click("button", entry);
      await me.until(async () => expect(await themes()).toHaveLength(before + i + 1));
    }
    const made = (await themes()).slice(before);
    for (const theme of made) expect(valuesOf(theme).length).toBeGreaterThan(0);
    expect(new Set(made.map((theme) => theme.name)).size).toBe(entries.length);
    for (const i of entries.keys()) {
      await me.click("button", "Undo");
      const left = before + entries.length - i - 1;
      await me.until(async () => expect(await themes()).toHaveLength(left));
    }
  });

  it("let a token have another value, until it shall have the default one again", async () => {
    await open();
    await me.pick("Theme", "night");
    await me.click("button", "Edit Buoy");
    const chips = "[role=radiogroup][aria-label='Changes apply to']";
    await me.click("radio", "where Theme is night", chips);
    const field = await me.find("textbox", "Colour");
    await field.click({ count: 3 });
    await me.type("#ff8800");
    const night = async () => Object.values((await tokenNamed("Buoy"))?.looks ?? {});
    await me.until(async () => expect(await night()).toMatchObject([{ value: "#ff8800" }]));
    expect((await tokenNamed("Buoy"))?.value).not.toBe("#ff8800");
    await me.click("button", "Use the default value here, too");
    await me.until(async () => expect(await night()).toEqual([]));
    await me.click("radio", "every theme", chips);
    await field.click({ count: 3 });
    await me.type("#dd6633");
    await me.until(async () => expect((await tokenNamed("Buoy"))?.value).toBe("#dd6633"));
  });

  it("are shown by every page, and by Play through its address", async () => {
    const stage = 'section[aria-label="Variant on"]';
    await desk.go("alert-switch");
    await me.pick("Theme", "day");
    const day = await fill(stage, "toggle");
    await me.pick("Theme", "night");
    await me.until(async () => expect(await fill(stage, "toggle")).not.toBe(day));
    await me.page.goto(`${desk.address}/play/trip-settings`, { waitUntil: "load" });
    const ground = () => fill(".play-host", "root");
    await me.page.waitForSelector(".play-host [data-layer=root] rect");
    const first = await ground();
    await me.click("button", "More");
    await me.click("radio", "day", '[aria-label="Theme"]');
    await me.until(async () => expect(await ground()).not.toBe(first));
    await me.until(() => Promise.resolve(expect(me.page.url()).toContain("theme=theme%3Aday")));
    await me.page.goto(me.page.url(), { waitUntil: "load" });
    await me.page.waitForSelector(".play-host [data-layer=root] rect");
    expect(await ground()).not.toBe(first);
  });
});

describe("a theme that is fixed", () => {
  it("stays on a screen whatever is shown, in all variants or in none", async () => {
    const stage = ".card-variant.active";
    await desk.go("trip-settings");
    await me.pick("Theme", "day");
    const day = await fill(stage, "root");
    await me.click("tab", "Sheet");
    await me.click("treeitem", "Trip settings");
    await me.write("theme:theme", "only variant", "night");
    await me.until(async () => expect(await fill(stage, "root")).not.toBe(day));
    await me.write("theme:theme", "only variant", "not");
    await me.until(async () => expect(await fill(stage, "root")).toBe(day));
  });

  it("stays on a copy with all that is in it", async () => {
    await desk.go("trip-settings");
    const copy = '.card-variant.active [data-layer="delays"] [data-layer="track"] rect';
    const now = () => me.page.$eval(copy, (r) => r.getAttribute("fill"));
    await me.pick("Theme", "night");
    await me.page.waitForSelector(copy);
    const night = await now();
    await me.pick("Theme", "day");
    await me.until(async () => expect(await now()).not.toBe(night));
    await me.click("tab", "Sheet");
    await me.click("treeitem", "Delay alerts");
    await me.write("theme:theme", "only variant", "night");
    await me.until(async () => expect(await now()).toBe(night));
    await me.click("button", "Undo");
  });
});

describe("what is wrong in one theme", () => {
  const shown = async (): Promise<string> =>
    (await me.find("combobox", "Theme")).evaluate(
      (s) => (s as HTMLSelectElement).selectedOptions[0]?.text ?? "",
    );

  it("is found whichever theme is shown, and shown in its own", async () => {
    await choose("dark.json", { Neutral: { $type: "color", Ink: { $value: "#16303c" } } });
    await me.pick("Theme of dark.json", "Theme: night", "[role=dialog]");
    await me.click("button", "Import 1 token");
    await desk.go("fare-panel");
    await me.pick("Theme", "day");
    await me.click("tab", "Checks");
    const line = await me.page.waitForSelector("::-p-xpath(//li[contains(., '(Theme night)')])");
    await (await line?.$("::-p-text(Show layers)"))?.click();
    await me.until(async () => expect(await shown()).toBe("night"));
    const variant = await me.text(".card-variant.active");
    await me.pick("Theme", "day");
    await me.page.goto(`${desk.address}/system/components/fare-panel`, { waitUntil: "load" });
    const link = await me.page.waitForSelector("::-p-xpath(//a[contains(., '(Theme night)')])");
    await link?.click();
    await me.page.waitForSelector(".checks li");
    expect(await me.text(".card-variant.active")).toBe(variant);
    expect(await shown()).toBe("night");
  });
});

describe("what a token is for", () => {
  it("is said with it, as is that it should not be used any more, and why", async () => {
    await open();
    await me.until(async () => {
      // a press before the page's script has come is lost
      await me.click("button", "Edit Rust");
      expect(await me.page.$(".token-about")).not.toBeNull();
    });
    await me.click("textbox", "Description");
    await me.type("Old hulls");
    await me.click("checkbox", "Deprecated");
    await me.click("textbox", "Why it is deprecated");
    await me.type("Use Brick");
    await me.press("Enter");
    await me.until(async () =>
      expect(await tokenNamed("Rust")).toMatchObject({
        about: "Old hulls",
        deprecated: "Use Brick",
      }),
    );
    expect(await me.text(".token-tile.open")).toContain("deprecated");
    await me.click("checkbox", "Deprecated");
    await me.until(async () =>
      expect(Object.keys((await tokenNamed("Rust")) ?? {})).not.toContain("deprecated"),
    );
  });
});

describe("token files", () => {
  it("show what they would change, and change it as one step", async () => {
    await choose("pier.tokens.json", {
      Land: {
        $type: "color",
        Buoy: { $value: "#123abc" },
        Lantern: { $value: "#ffd166" },
      },
    });
    expect(await me.text(".import-table")).toMatch(/Buoy\s+\d+ places in \d+ pieces/);
    await me.click("radio", "New 1", "[role=dialog]");
    expect(await me.text(".import-table")).toContain("Lantern");
    await me.click("button", "Import 2 tokens");
    await me.until(async () => expect(await tokenNamed("Lantern")).toBeDefined());
    await me.click("button", "Undo");
    await me.until(async () => expect(await tokenNamed("Lantern")).toBeUndefined());
  });

  it("may take away what is in none of them, and tell the new, changed and gone apart", async () => {
    const before = Object.keys((await savedProject(desk)).tokens).length;
    await choose("few.json", {
      Land: { $type: "color", Buoy: { $value: "#123abc" }, Beacon: { $value: "#ffd166" } },
    });
    const table = () => me.text(".import-table");
    await me.click("radio", "Changed 1", "[role=dialog]");
    expect(await table()).not.toContain("Beacon");
    await me.click("radio", `Not in the files ${before - 1}`, "[role=dialog]");
    expect(await table()).toContain("Kelp");
    expect(await table()).not.toContain("Beacon");
    await me.page.click("[role=dialog] .form-check-input[type=checkbox]");
    await me.click("button", "Import 2 tokens");
    await me.until(async () =>
      expect(Object.values((await savedProject(desk)).tokens).map((t) => t.name)).toEqual(
        expect.arrayContaining(["Buoy", "Beacon"]) as unknown,
      ),
    );
    expect(Object.keys((await savedProject(desk)).tokens)).toHaveLength(2);
    await me.click("button", "Undo");
    await me.until(async () =>
      expect(Object.keys((await savedProject(desk)).tokens)).toHaveLength(before),
    );
  });

  it("may be for one theme alone", async () => {
    await choose("night.json", {
      Land: { $type: "color", Buoy: { $value: "#abcdef" } },
    });
    await me.pick("Theme of night.json", "Theme: night", "[role=dialog]");
    await me.until(async () => expect(await me.text(".import-table")).toContain("Theme is night"));
    await me.until(async () => expect(await me.text(".import-pieces")).toContain("in Theme night"));
    await me.click("button", "Import 1 token");
    await me.until(async () =>
      expect(Object.values((await tokenNamed("Buoy"))?.looks ?? {})).toMatchObject([
        { value: "#abcdef" },
      ]),
    );
  });

  it("that are broken say where and why, and change nothing", async () => {
    const before = await savedProject(desk);
    await choose("broken.json", '{ "Colours": { "$type": "color", ');
    await me.until(async () => expect(await me.text("[role=dialog]")).toContain("broken.json"));
    await me.click("button", "Cancel");
    expect(await savedProject(desk)).toEqual(before);
  });

  it("and the console had nothing to complain of", () => expect(me.complaints).toEqual([]));
});
