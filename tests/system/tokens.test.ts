import { mkdtempSync, readFileSync, readdirSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { unzipSync } from "fflate";
import { beforeAll, describe, expect, it } from "vitest";
import type { Rule, Token } from "#core/project";
import type { Designer } from "../support/designer";
import { givenDesk } from "../support/kit";
import { savedProject } from "../support/saved";

const desk = givenDesk();
let me: Designer;
beforeAll(() => {
  me = desk.me;
});

const open = async (): Promise<void> => {
  await me.page.goto(`${desk.address}/system/tokens`, { waitUntil: "load" });
  await me.find("combobox", "Density");
};
const tokenNamed = async (name: string): Promise<Token | undefined> =>
  Object.values((await savedProject(desk)).tokens).find((t) => t.name === name);
const says = (name: string, value: unknown): Promise<void> =>
  me.until(async () => expect((await tokenNamed(name))?.value).toEqual(value));

describe("new tokens", () => {
  /** Makes a token of a kind, which is named at once, and stays open to be changed. */
  const make = async (kind: string, name: string): Promise<void> => {
    await me.until(async () => {
      // a press before the page's script has come is lost
      await me.click("button", `New ${kind}`);
      expect(await me.page.$(".token-tile.open input[aria-label='Token name']")).not.toBeNull();
    });
    await me.page.keyboard.type(name);
    await me.press("Enter");
    await me.find("button", name);
  };
  const tile = (name: string): string => `.token-tile:has([aria-label="Actions for ${name}"])`;
  const number = async (name: string, label: string, text: string): Promise<void> => {
    const field = await me.find("textbox", label, tile(name));
    await field.click({ count: 3 });
    await me.type(text);
    await me.press("Enter");
  };
  const pick = (name: string, label: string, words: string) => me.pick(label, words, tile(name));

  it("are named when they are made, and edited in their tile", async () => {
    await open();
    await make("length", "Quay");
    await number("Quay", "Value", "24");
    await says("Quay", 24);
    await make("number", "Swell");
    await number("Swell", "Value", "0.5");
    await says("Swell", 0.5);
    await make("font family", "Signs");
    await pick("Signs", "family", "Bitter");
    await says("Signs", "Bitter");
    await make("font weight", "Loud");
    await pick("Loud", "Font weight", "700");
    await says("Loud", "700");
    await make("line style", "Dotted rope");
    await pick("Dotted rope", "Border style", "dotted");
    await says("Dotted rope", "dotted");
    await make("border", "Rail");
    await number("Rail", "Border width", "3");
    await pick("Rail", "Border style", "dashed");
    await says("Rail", { colour: "#1f6f5c", width: 3, style: "dashed" });
    await make("duration", "Long beat");
    await number("Long beat", "Value", "500");
    await says("Long beat", 500);
    await make("curve", "Drift");
    await pick("Drift", "Curve", "linear");
    await says("Drift", "linear");
  });

  it("may be aliases of others of their kind, and have a value of their own again", async () => {
    await pick("Drift", "alias of", "Pace/Glide");
    const glide = await tokenNamed("Glide");
    await says("Drift", { alias: glide?.id });
    await pick("Drift", "alias of", "none");
    await says("Drift", "ease-in-out");
  });
});

describe("a number of a rule", () => {
  const arrival = async (): Promise<Rule | undefined> =>
    (await savedProject(desk)).pieces["welcome"]?.rules["arrive"];

  it("follows a token, says which one it nearly is while it is typed, and is its own again", async () => {
    await desk.go("welcome");
    await me.click("tab", "Rules 4");
    await me.pick("Wait in milliseconds: token", "custom");
    await me.until(async () =>
      expect((await arrival())?.trigger).toEqual({ type: "delay", ms: 250 }),
    );
    const field = await me.find("textbox", "Wait in milliseconds");
    await field.click({ count: 3 });
    await me.type("800");
    expect(await me.page.$(".near-number")).toBeNull();
    await me.press("Escape");
    await field.click({ count: 3 });
    await me.type("240");
    await me.click("button", "Nearly Beat: use the token");
    await me.until(async () =>
      expect((await arrival())?.trigger).toEqual({
        type: "delay",
        ms: 250,
        tokens: { ms: "pace-beat" },
      }),
    );
  });

  it("is reached from the token, and the token from the rule's part", async () => {
    await open();
    await me.until(async () => {
      await me.click("button", "Edit Beat");
      expect(await me.text(".token-uses")).toContain("After 250 ms");
    });
    await me.click("link", "Welcome", ".token-uses");
    await me.page.waitForSelector(".rule-chosen, [data-rule='arrive'].chosen");
  });
});

describe("a value in the sheet", () => {
  const begin = async (text: string): Promise<void> => {
    await desk.go("alert-switch");
    await me.click("tab", "Sheet");
    await me.click("treeitem", "Knob");
    const box = await me.cellBox("fill", "off");
    await me.page.mouse.click(box.x + 20, box.y + box.height / 2);
    await me.press("Enter");
    await me.press("Control", "a");
    await me.type(text);
  };

  it("that is nearly a token says so while it is typed, and takes it", async () => {
    await begin("#e8723d");
    const near = await me.page.waitForSelector(".near-token");
    expect(await near?.evaluate((e) => e.textContent)).toMatch(/^(Nearly|This is) Buoy/);
    await near?.click();
    await me.until(async () => expect((await me.cell("fill", "off"))?.text).toContain("Buoy"));
    await me.click("button", "Undo");
  });

  it("becomes a token with a name and a group; a name that is taken is refused", async () => {
    await begin("#0a7bb0");
    await me.press("Enter");
    const openMenu = async (): Promise<void> => {
      const box = await me.cellBox("fill", "off");
      await me.page.mouse.click(box.x + 20, box.y + box.height / 2, { button: "right" });
      await me.click("menuitem", "Create token…");
    };
    const write = async (label: string, text: string): Promise<void> => {
      const field = await me.find("textbox", label).catch(() => me.find("combobox", label));
      await field.click({ count: 3 });
      await me.type(text);
    };
    await openMenu();
    await me.click("button", "Cancel");
    expect(await me.page.$(".name-token")).toBeNull();
    await openMenu();
    await write("Name", "Foam");
    await write("Group", "Neutral");
    await me.until(async () => expect(await me.text("#token-taken")).not.toBe(""));
    await write("Name", "Deep water");
    await me.press("Enter");
    await me.until(async () =>
      expect(await tokenNamed("Deep water")).toMatchObject({ group: "Neutral", value: "#0a7bb0" }),
    );
    await me.until(async () =>
      expect((await me.cell("fill", "off"))?.text).toContain("Deep water"),
    );
  });
});

describe("tokens are exported", () => {
  it("as design tokens of every theme, as CSS and as SCSS", async () => {
    const folder = mkdtempSync(join(tmpdir(), "nubble-export-"));
    const client = await me.page.createCDPSession();
    await client.send("Browser.setDownloadBehavior", { behavior: "allow", downloadPath: folder });
    const saved = async (item: string, ending: string): Promise<Buffer> => {
      await me.click("button", "Export");
      await me.click("button", item);
      return me.until(() => {
        const name = readdirSync(folder).find((n) => n.endsWith(ending));
        expect(name).toBeDefined();
        return Promise.resolve(readFileSync(join(folder, name ?? "")));
      });
    };
    await open();
    const zip = unzipSync(await saved("Design tokens (W3C, JSON)", ".zip"));
    expect(Object.keys(zip).length).toBeGreaterThan(2);
    const all = Object.values(zip).map((bytes) => Buffer.from(bytes).toString());
    expect(all.join("")).toContain("Deep water");
    const css = (await saved("CSS custom properties", ".css")).toString();
    expect(css).toMatch(/--[\w-]*beat: 250ms;/);
    const scss = (await saved("SCSS variables", ".scss")).toString();
    expect(scss).toMatch(/\$[\w-]*beat: 250ms;/);
    rmSync(folder, { recursive: true });
  });

  it("and the console had nothing to complain of", () => expect(me.complaints).toEqual([]));
});
