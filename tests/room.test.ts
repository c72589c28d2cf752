import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { beforeAll, describe, expect, it } from "vitest";
import type { Designer } from "./support/designer";
import { givenDesk } from "./support/kit";

const desk = givenDesk();
let me: Designer;
beforeAll(async () => {
  me = desk.me;
  await me.page.setViewport({ width: 1280, height: 800 });
});

const blur = () => me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
const heightOf = async (selector: string) => (await me.box(selector)).height;
const undo = async () => {
  await blur();
  await me.press("Control", "z");
};

/** A picture of a dark block on white, as a file: its edges lie at 20 and 80, 12 and 40. */
const blockPicture = async (path: string): Promise<void> => {
  const page = await desk.browser.newPage();
  await page.setViewport({ width: 160, height: 60 });
  await page.setContent(
    '<body style="margin:0;background:#fff"><div style="position:absolute;left:20px;top:12px;width:60px;height:28px;background:#123">',
  );
  await page.screenshot({ path });
  await page.close();
};

describe("stage and drawer share the room", () => {
  it("a screen is seen whole, and the drawer folds to its tabs by W; the cards take the room", async () => {
    await desk.go("trip-settings");
    const [scene, room] = [await me.box(".scene"), await me.box(".stage-room")];
    expect(scene.y + scene.height).toBeLessThan(room.y + room.height);
    await blur();
    await me.press("w");
    await me.until(async () => expect(await heightOf(".drawer")).toBeLessThan(60));
    await me.until(async () =>
      expect(await heightOf(".scene")).toBeGreaterThan(scene.height * 1.5),
    );
    await me.click("tab", "Sheet");
    await me.until(async () => expect(await heightOf(".drawer")).toBeGreaterThan(200));
  });

  it("in a wide window the drawer stands beside the stage, if one wants", async () => {
    await me.page.setViewport({ width: 1600, height: 1000 });
    await me.click("button", "Drawer beside the stage");
    await me.until(async () => {
      const [drawer, stage] = [await me.box(".drawer"), await me.box(".stage")];
      expect(drawer.x).toBeGreaterThanOrEqual(stage.x + stage.width - 1);
    });
    await me.click("button", "Drawer below the stage");
    await me.page.setViewport({ width: 1280, height: 800 });
  });

  it("with nothing chosen the sheet shows the piece; values are found by name, groups fold and stay so", async () => {
    await desk.go("alert-switch");
    const rows = () =>
      me.page.$$eval(".sheet-row", (all) => all.map((r) => (r as HTMLElement).dataset.row));
    await me.until(async () => expect(await me.text(".sheet-layer")).toBe("Alert switch"));
    await blur();
    await me.press("/");
    await me.until(async () =>
      expect(await me.page.evaluate(() => document.activeElement?.getAttribute("aria-label"))).toBe(
        "Find a value",
      ),
    );
    await me.type("color");
    await me.until(async () => expect(await rows()).toEqual(["borderColour"]));
    await me.press("Escape");
    await me.until(async () => expect((await rows()).length).toBeGreaterThan(5));
    await me.page.click(".sheet-group button");
    await me.until(async () => expect(await rows()).not.toContain("rotation"));
    await me.page.reload({ waitUntil: "load" });
    await me.until(async () => {
      const shown = await rows();
      expect(shown.length).toBeGreaterThan(2);
      expect(shown).not.toContain("rotation");
    });
    await me.page.click(".sheet-group button");
    await me.until(async () => expect(await rows()).toContain("rotation"));
  });

  it("the handful one changes most is at hand, and edited where it stands", async () => {
    await me.click("treeitem", "Knob");
    await me.page.click('.handful [data-at="1"]');
    await me.page.waitForSelector(".handful-edit input");
    await me.type("30");
    await me.press("Enter");
    await me.until(async () =>
      expect(await me.cell("width", "off")).toMatchObject({ text: "30", own: true }),
    );
    await undo();
  });
});

describe("drawing where one is", () => {
  it("a shape is drawn from corner to corner, into the chosen box, which is told", async () => {
    await desk.go("fare-panel");
    await me.click("treeitem", "Price");
    await blur();
    await me.press("e");
    expect(await me.text(".tool-hint")).toContain("Ellipse: drag on a card");
    const box = await me.box(".card-variant.active .frame");
    await me.page.mouse.move(box.x + 6, box.y + 6);
    await me.page.mouse.down();
    await me.page.mouse.move(box.x + 26, box.y + 20, { steps: 4 });
    await me.page.mouse.up();
    await me.find("treeitem", "Ellipse");
    await me.until(async () =>
      expect(await me.text(".scope-hint")).toContain("Ellipse is in Price."),
    );
    await undo();
    await me.press("Escape");
  });

  it("a text is typed at once, and the layer is called after it", async () => {
    await me.click("treeitem", "Fare panel");
    await blur();
    await me.press("t");
    await me.press("Enter");
    await me.find("textbox", "Text of the layer");
    await me.type("Children travel free");
    await me.press("Escape");
    await me.find("treeitem", "Children travel free");
  });
});

describe("frame and ruler", () => {
  it("the frame is made as large as its layers again", async () => {
    await desk.go("alert-switch");
    await me.click("treeitem", "Alert switch");
    const before = await me.box('section[aria-label="Variant off"] .scene');
    await me.fill("off", { width: "400", height: "200" });
    await me.menu("Alert switch", "Fit frame to layers");
    await me.until(async () => expect((await me.cell("width", "off"))?.text).toBe("fit"));
    expect((await me.box('section[aria-label="Variant off"] .scene')).height).toBe(before.height);
    await undo();
    await undo();
    await undo();
  });

  it("a menu that is opened near the lower edge lies wholly in the window", async () => {
    await desk.go("alert-switch");
    await me.click("treeitem", "Track");
    const sheet = await me.box(".sheet");
    await me.page.mouse.click(sheet.x + 300, sheet.y + sheet.height - 20, { button: "right" });
    const lower = await me.until(async () => {
      const menu = await me.box(".context-menu");
      expect(menu.height).toBeGreaterThan(100);
      return menu.y + menu.height;
    });
    expect(lower).toBeLessThanOrEqual(800);
    await me.press("Escape");
  });

  it("the ruler catches on the edges of the reference picture, and with Ctrl it does not", async () => {
    const folder = await mkdtemp(join(tmpdir(), "ruler-"));
    const path = join(folder, "block.png");
    await blockPicture(path);
    await me.click("button", "Reference image");
    const input = await me.until(async () => {
      const found = await me.page.$(".reference-menu input[type=file]");
      if (!found) throw new Error("no field");
      return found;
    });
    await (input as never as { uploadFile(path: string): Promise<void> }).uploadFile(path);
    await me.page.waitForSelector(".reference");
    await rm(folder, { recursive: true });
    await me.press("Escape");
    await blur();
    await me.press("m");
    const [z, card] = [await me.zoom(), await me.box(".ruler")];
    const measured = async (from: readonly number[], to: readonly number[]) => {
      const at = ([x = 0, y = 0]: readonly number[]) => [card.x + x * z, card.y + y * z] as const;
      await me.page.mouse.move(...at(from));
      await me.page.mouse.down();
      await me.page.mouse.move(...at(to), { steps: 3 });
      await me.page.mouse.up();
      return me.page.$eval(".ruler text", (t) => t.textContent);
    };
    await me.until(async () => expect(await measured([21, 13], [79, 39])).toMatch(/^60 × 28,/));
    await me.page.keyboard.down("Control");
    expect(await measured([22, 14], [78, 38])).toMatch(/^56 × 24,/);
    await me.page.keyboard.up("Control");
    await me.press("Escape");
  });
});

describe("where a layer comes from", () => {
  it("is set on the stage: dragged there, sized, and done with Enter", async () => {
    await desk.go("pier-pin");
    await me.click("treeitem", "Bubble");
    const cell = await me.cellBox("comesFrom", "open");
    await me.page.mouse.click(cell.x + 20, cell.y + cell.height / 2, { clickCount: 2 });
    await me.page.waitForSelector(".pose-panel");
    await me.click("button", "Set on the stage");
    const middle = await me.box(".pose-middle");
    const z = await me.zoom();
    await me.drag(middle.x + 9, middle.y + 9, 0, 40 * z);
    await me.press("Enter");
    await me.until(async () =>
      expect((await me.cell("comesFrom", "open"))?.text).toMatch(/y 40, scale 0/),
    );
    expect(await me.page.$(".pose-middle")).toBeNull();
  });
});

describe("scaling", () => {
  it("makes a component with all that is in it larger", async () => {
    await desk.go("bicycle-tick-box");
    await me.click("treeitem", "Square");
    await blur();
    await me.press("s");
    await me.find("textbox", "Per cent");
    await me.press("Control", "a");
    await me.type("150");
    await me.until(async () =>
      expect(await me.text(".scale-form")).toContain("26 px wide becomes 39 px"),
    );
    await me.press("Enter");
    await me.until(async () => expect((await me.cell("width", "default"))?.text).toBe("39"));
    expect((await me.cell("borderWidth", "default"))?.text).toBe("3");
    await undo();
    await me.until(async () => expect((await me.cell("width", "default"))?.text).toBe("26"));
  });
});

describe("lanes", () => {
  it("go to another rule by copy and paste", async () => {
    await desk.timing("route-bell", "wiggle");
    const lanes = () =>
      me.page.$$eval(".lane-row .lane-words", (all) => all.map((l) => l.textContent));
    await me.until(async () => expect(await lanes()).toContain("rotation"));
    await me.page.evaluate(() => {
      const row = [...document.querySelectorAll<HTMLElement>(".lane-row")].find(
        (r) => r.querySelector(".lane-words")?.textContent === "rotation",
      );
      row?.querySelector<HTMLElement>(".lane-words")?.click();
    });
    const text = await me.page.evaluate(() => {
      const data = new DataTransfer();
      document
        .querySelector(".timing .lane-bar")
        ?.dispatchEvent(
          new ClipboardEvent("copy", { clipboardData: data, bubbles: true, cancelable: true }),
        );
      return data.getData("text/plain");
    });
    expect(JSON.parse(text)).toMatchObject({ kind: "nubble-lanes", lanes: [{ key: "rotation" }] });
    await desk.timing("route-bell", "empty");
    await me.until(async () => expect(await lanes()).not.toContain("rotation"));
    await me.page.evaluate((clip) => {
      const data = new DataTransfer();
      data.setData("text/plain", clip);
      document
        .querySelector(".timing .lane-bar")
        ?.dispatchEvent(
          new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }),
        );
    }, text);
    await me.until(async () => expect(await lanes()).toContain("rotation"));
  });
});
