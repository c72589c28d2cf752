import { beforeAll, describe, expect, it } from "vitest";
import { sleep } from "./support/browser";
import type { Designer } from "./support/designer";
import { givenDesk, kitWithPlainBell } from "./support/kit";
import type { Desk } from "./support/kit";

const desk = givenDesk(kitWithPlainBell());
let me: Designer;
let go: Desk["go"];
beforeAll(() => {
  ({ me, go } = desk);
});

const names = () => me.page.$$eval(".tree-name", (all) => all.map((n) => n.textContent));
const number = async (key: string, variant = "only variant") =>
  Number((await me.cell(key, variant))?.text);
const blur = () => me.page.evaluate(() => (document.activeElement as HTMLElement).blur());

describe("drawing by hand", () => {
  it("the pen sets points, bends lines and closes a path", async () => {
    await go("sailing-card");
    await me.click("treeitem", "Sailing card");
    await blur();
    await me.press("p");
    const scene = await me.box(".scene");
    const at = (x: number, y: number) => [scene.x + x, scene.y + y] as const;
    await me.page.mouse.click(...at(20, 20));
    await me.page.mouse.click(...at(120, 20));
    await me.page.mouse.move(...at(120, 90));
    await me.page.mouse.down();
    await me.page.mouse.move(...at(90, 120), { steps: 4 });
    await me.page.mouse.up();
    await me.page.mouse.click(...at(20, 20));
    await me.find("treeitem", "Shape");
    const shape = (await me.cell("shape", "only variant"))?.text ?? "";
    expect(shape).toMatch(/^M0 0L.*C.*Z$/);
    expect((await me.cell("fill", "only variant"))?.text).toBe("#a9c6bd");
  });

  it("points are moved, added on the line, made smooth and removed; the box follows", async () => {
    await blur();
    await me.press("Enter");
    const knots = () =>
      me.page.$$eval("[data-knot]", (all) => all.map((k) => k.getAttribute("data-knot")));
    expect(await knots()).toHaveLength(3);
    const width = await number("width");
    const knot = await me.box('[data-knot="0.1"]');
    await me.drag(knot.x + 4, knot.y + 4, 30, 0);
    expect(await number("width")).toBeGreaterThan(width + 5);
    const [a, b] = [await me.box('[data-knot="0.0"]'), await me.box('[data-knot="0.1"]')];
    await me.page.mouse.click((a.x + b.x) / 2 + 4, a.y + 4);
    await me.until(async () => expect(await knots()).toHaveLength(4));
    await me.press("Enter");
    await me.until(async () => expect((await me.page.$$(".bend")).length).toBe(2));
    await me.press("Delete");
    await me.until(async () => expect(await knots()).toHaveLength(3));
    await me.press("Escape");
    await me.until(async () => expect(await knots()).toHaveLength(0));
    await me.press("Delete");
    await me.until(async () => expect(await names()).not.toContain("Shape"));
  });

  it("edges catch and say so; Esc takes a drag back", async () => {
    await go("cabin-climate");
    await me.click("treeitem", "Title");
    const x = await number("x");
    const y = await number("y");
    const z = await me.zoom();
    const f = await me.box(".card-variant.active .frame");
    await me.page.mouse.move(f.x + f.width / 2, f.y + f.height / 2);
    await me.page.mouse.down();
    await me.page.mouse.move(f.x + f.width / 2 + 20, f.y + f.height / 2 + 30, { steps: 4 });
    await me.page.mouse.move(f.x + f.width / 2 + 1, f.y + f.height / 2 + 60, { steps: 8 });
    expect((await me.page.$$(".marks line")).length).toBeGreaterThan(0);
    // the sheet follows when the hand rests
    await me.until(async () => expect(Math.abs((await number("x")) - 24)).toBeLessThan(3 / z));
    await me.press("Escape");
    await me.page.mouse.up();
    await me.until(async () => expect([await number("x"), await number("y")]).toEqual([x, y]));
  });

  it("several are chosen by a frame round them, lined up, grouped and ungrouped", async () => {
    await go("route-bell");
    const scene = await me.box('section[aria-label="Variant default"] .scene');
    await me.page.mouse.move(scene.x - 8, scene.y - 8);
    await me.choose("Bell", "Dot");
    await me.click("button", "Align left");
    await me.click("treeitem", "Dot");
    expect(await number("x", "default")).toBeLessThan(44);
    await me.choose("Bell", "Dot");
    await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await me.press("Control", "g");
    await me.find("treeitem", "Group");
    expect(await names()).toEqual(["Route bell", "Group", "Dot", "Bell", "Ground"]);
    await blur();
    await me.press("Control", "Shift", "g");
    await me.until(async () =>
      expect(await names()).toEqual(["Route bell", "Dot", "Bell", "Ground"]),
    );
  });

  it("a corner knob rounds, to the full; a locked layer is not picked; a hidden one is told in the tree", async () => {
    await go("board-now-button");
    await me.click("treeitem", "Body");
    await me.write("radius", "default", "4");
    const frame = await me.box(".card-variant.active .frame");
    await me.page.mouse.move(frame.x + frame.width / 2, frame.y + frame.height / 2);
    const knob = await me.page.$$(".corner-knob");
    expect(knob.length === 0 || knob.length === 4).toBe(true);
    await me.click("button", "Lock Body");
    await me.click("treeitem", "Near glow");
    await me.page.mouse.click(frame.x + 12, frame.y + frame.height / 2);
    expect(
      await me.page.$eval(".bench-chosen", (b) => (b as HTMLElement).dataset.chosen),
    ).not.toContain("body");
    await me.click("button", "Unlock Body");
    await me.click("button", "Hide Near glow");
    await me.find("button", "Show Near glow");
    await me.press("Control", "z");
    await me.find("button", "Hide Near glow");
  });

  it("several layers are resized together in the frame around them; Alt resizes one about its middle", async () => {
    await go("follow-crossing-button");
    await go("seat-side-chooser");
    await me.choose("Port", "Middle");
    const frame = await me.box(".card-variant.active .frame.around");
    await me.page.keyboard.down("Control");
    await me.drag(frame.x + frame.width, frame.y + frame.height / 2, 40, 0);
    await me.page.keyboard.up("Control");
    await me.click("treeitem", "Middle");
    expect(await number("width", "Port")).toBeGreaterThan(100);
    expect(await number("x", "Port")).toBeGreaterThan(102);
    await me.press("Control", "z");
    await me.until(async () => expect(await number("width", "Port")).toBe(97));
    await me.click("treeitem", "Pill");
    const x = await number("x", "Port");
    const pill = await me.box(".card-variant.active .frame");
    await me.page.keyboard.down("Alt");
    await me.page.keyboard.down("Control");
    await me.drag(pill.x + pill.width, pill.y + pill.height / 2, 12, 0);
    await me.page.keyboard.up("Control");
    await me.page.keyboard.up("Alt");
    const width = await number("width", "Port");
    expect(width).toBeGreaterThan(97);
    expect(await number("x", "Port")).toBeCloseTo(x - (width - 97) / 2, 0);
  });

  it("a corner is rounded by its knob, to the full at the end; the ruler measures", async () => {
    await go("sailing-card");
    await me.click("treeitem", "Photo");
    const frame = await me.box(".card-variant.active .frame");
    await me.page.mouse.move(frame.x + frame.width / 2, frame.y + frame.height / 2);
    const knob = await me.box('.corner-knob[data-corner="0"]');
    await me.drag(knob.x + 4, knob.y + 4, 20, 20);
    const radius = await number("radius");
    expect(radius).toBeGreaterThan(4);
    const again = await me.box('.corner-knob[data-corner="0"]');
    await me.drag(again.x + 4, again.y + 4, 300, 300);
    expect((await me.cell("radius", "only variant"))?.text).toBe("full");
    await blur();
    await me.press("m");
    const scene = await me.box(".scene");
    const z = await me.zoom();
    await me.page.mouse.move(scene.x + 10 * z, scene.y + 10 * z);
    await me.page.mouse.down();
    await me.page.mouse.move(scene.x + 40 * z, scene.y + 50 * z, { steps: 4 });
    expect(await me.page.$eval(".ruler text", (t) => t.textContent)).toMatch(/^30 × 40, 50/);
    await me.page.mouse.up();
    await me.press("Escape");
  });

  it("a reference picture lies under the cards, can be placed and dimmed, and is no layer", async () => {
    await go("route-bell");
    const before = await names();
    const z = await me.zoom();
    await me.click("button", "Reference image");
    const input = await me.until(async () => {
      const i = await me.page.$(".reference-menu input[type=file]");
      if (!i) throw new Error("no field");
      return i;
    });
    await (input as never as { uploadFile(path: string): Promise<void> }).uploadFile(
      "demo/pictures/saloon.png",
    );
    await me.until(async () =>
      expect(await me.page.$$eval(".reference", (all) => all.length)).toBe(4),
    );
    const width = await me.find("textbox", "Reference width");
    await width.click({ count: 3 });
    await me.type("72");
    await me.press("Enter");
    await me.until(async () =>
      expect(
        await me.page.$eval(".reference", (i) => Math.round(i.getBoundingClientRect().width)),
      ).toBe(Math.round(72 * z)),
    );
    expect(await names()).toEqual(before);
    await me.click("button", "Remove reference image");
    await me.until(async () => expect(await me.page.$(".reference")).toBeNull());
  });

  it("copies, styles and whole variants are carried over; duplicates repeat their way", async () => {
    await go("route-bell");
    await me.click("treeitem", "Dot");
    const first = await number("x", "default");
    await blur();
    await me.press("Control", "d");
    await me.find("treeitem", "Dot 2");
    await me.fill("default", { x: "20" });
    await blur();
    await me.press("Control", "d");
    await me.find("treeitem", "Dot 3");
    expect(await number("x", "default")).toBe(20 + (20 - first));
    await me.menu("Ground", "Copy style");
    await me.menu("Dot 3", "Paste style of Ground");
    expect((await me.cell("borderWidth", "default"))?.text).toBe("1.5");
    const more = await me.find("button", "Actions for variant rings");
    await more.evaluate((b) => (b as HTMLElement).click());
    await me.click("menuitem", "Copy look");
    const rest = await me.find("button", "Actions for variant hovered");
    await rest.evaluate((b) => (b as HTMLElement).click());
    await me.click("menuitem", "Paste look of “rings”");
    await me.click("treeitem", "Bell");
    await me.until(async () =>
      expect(await me.cell("icon", "hovered")).toMatchObject({ text: "bell-fill", own: true }),
    );
    // an icon is found by the name that is typed into its cell
    await me.fill("hovered", { icon: "alarm" });
    await me.until(async () =>
      expect(await me.cell("icon", "hovered")).toMatchObject({ text: "alarm", own: true }),
    );
    // one that was picked stays when the panel is put away with Esc
    await me.press("Enter");
    await (await me.find("option", "airplane")).click();
    await me.press("Escape");
    await me.until(async () => expect((await me.cell("icon", "hovered"))?.text).not.toBe("alarm"));
  });
});

describe("variants", () => {
  it("are named, pinned, shown alone, compared and marked as not used", async () => {
    await go("menu-button");
    const pick = async (variant: string, item: string) => {
      const more = await me.find("button", `Actions for variant ${variant}`);
      await more.evaluate((b) => (b as HTMLElement).click());
      await me.click("menuitem", item);
    };
    await pick("open, hovered", "Rename variant…");
    await me.find("textbox", "Variant name");
    await me.press("Control", "a");
    await me.type("Ready to close");
    await me.press("Enter");
    await me.find("button", "Ready to close");
    await pick("Ready to close", "Pin to top");
    expect(await me.text(".pins")).toContain("Ready to close");
    await pick("Ready to close", "Compare with “default”…");
    expect(await me.text(".compare-list")).toContain("Cross: rotation from -90 to 0");
    await me.click("radio", "Alternate");
    await me.press("Escape");
    await me.until(async () => expect(await me.page.$(".compare")).toBeNull());
    await pick("pressed", "Mark this variant as unused");
    expect(await me.text(".stage-room")).toContain("pressed: unused");
    await me.click("button", "Use again");
    await pick("focused", "Show only this card");
    await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(1));
    await me.click("button", "All cards");
    await me.until(async () =>
      expect((await me.page.$$(".card-variant")).length).toBeGreaterThan(6),
    );
  });

  it("several cards chosen are edited at once, and an edit that is hidden says so and can clear what hides it", async () => {
    await go("alert-switch");
    await me.click("button", "off, pressed");
    await me.page.keyboard.down("Shift");
    await me.click("button", "on, pressed");
    await me.page.keyboard.up("Shift");
    expect((await me.chips()).find((c) => c.on)?.text).toContain("Pressed is yes");
    await me.click("button", "on", '[aria-label="Variant on"]');
    await me.click("treeitem", "Knob");
    await me.click("radio", "all 4 variants");
    await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await me.press("ArrowRight");
    expect(await me.text(".scope-hint")).toContain("this card keeps its own x");
    await me.click("button", "Clear its own value");
    await me.until(async () => expect((await me.cell("x", "on"))?.from).toContain("all"));
  });

  it("traits are typed as a list, reordered, given another swatch; a removed value says what went and comes back", async () => {
    await go("deck-tabs");
    await me.click("button", "Delete value Sun");
    expect(await me.text(".scope-hint")).toMatch(
      /Deleted .*Sun, together with 1 variant and \d+ values/,
    );
    await me.click("button", "Undo", ".scope-hint");
    await me.find("button", "Delete value Sun");
    await me.click("button", "Add trait");
    await me.click("button", "Type a list of values…");
    await me.find("textbox", "Trait name and values");
    await me.type("Season: summer, winter");
    await me.press("Enter");
    await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(6));
    await me.click("button", "Swatch of Season");
    await me.click("button", "Swatch 8");
    const grip = await me.find("button", "Reorder winter");
    await grip.focus();
    await me.press("Space");
    await sleep(150);
    await me.press("ArrowUp");
    await sleep(150);
    await me.press("Space");
    await me.until(async () =>
      expect(
        await me.page.$$eval('[aria-label="Values of Season"] .btn-name', (all) =>
          all.map((v) => v.textContent),
        ),
      ).toEqual(["winter", "summer"]),
    );
  });

  it("a value is found and replaced wherever it is said", async () => {
    await go("board-now-button");
    await me.click("button", "Find and replace");
    await me.find("textbox", "Find");
    await me.type("22");
    await me.until(async () => expect(await me.text(".replace-list")).toContain("Wide glow"));
    await (await me.find("textbox", "Replace with")).click();
    await me.type("30");
    await me.press("Enter");
    await me.until(async () =>
      expect(await me.text(".replace-form")).toMatch(/Replaced in \d places?/),
    );
  });
});

describe("components and the system", () => {
  it("layers become a component and a copy becomes layers again, looking the same", async () => {
    await go("alert-switch");
    const before = await me.page.$$eval(".card-variant .scene > svg", (all) =>
      all.map((s) => [...s.querySelectorAll("rect")].map((r) => r.getAttribute("fill")).join()),
    );
    await me.click("treeitem", "Toggle");
    await blur();
    await me.press("n");
    await me.until(async () => expect(await names()).toEqual(["Alert switch", "Toggle", "Label"]));
    const shown = () =>
      me.page.$$eval(".card-variant .scene > svg", (all) =>
        all.map((s) => [...s.querySelectorAll("rect")].map((r) => r.getAttribute("fill")).join()),
      );
    expect(await shown()).toEqual(before);
    await me.menu("Toggle", "Convert to plain layers");
    await me.until(async () =>
      expect(await names()).toEqual(["Alert switch", "Toggle", "Knob", "Track", "Label"]),
    );
    expect(await shown()).toEqual(before);
  });

  it("a nested copy's trait is shown to the outside when told so", async () => {
    await go("seat-plan");
    await me.click("treeitem", "Side chooser");
    await me.cellBox("trait:side", "Port");
    await me.page.evaluate(() =>
      document.querySelector<HTMLElement>('[data-row="trait:side"] .option-mark')?.click(),
    );
    await me.until(async () =>
      expect(
        await me.page.$eval('[data-row="trait:side"] .option-mark', (b) => b.textContent),
      ).toBe("option"),
    );
    await me.saved();
    await go("ticket");
    await me.click("treeitem", "Seats");
    await me.until(async () =>
      expect(
        await me.page.$$eval(".sheet .row-name", (all) => all.map((r) => r.textContent)),
      ).toContain("Side chooser Side"),
    );
  });

  it("a token that changes changes everywhere, and equal values become one", async () => {
    await me.page.goto(`${desk.address}/system/tokens`, { waitUntil: "load" });
    await me.until(async () => {
      await me.click("button", "Edit Kelp");
      await me.find("textbox", "Colour");
    });
    const field = await me.find("textbox", "Colour");
    await field.click({ count: 3 });
    await me.type("#0055aa");
    expect(await me.text(".token-uses")).toContain("Alert switch");
    await me.saved();
    await go("bicycle-tick-box");
    await me.until(async () =>
      expect(
        await me.page.$eval(
          'section[aria-label="Variant checked"] [data-layer="square"] rect',
          (r) => r.getAttribute("fill"),
        ),
      ).toBe("#0055aa"),
    );
    await me.click("treeitem", "Label");
    await me.cellBox("fill", "checked");
    expect(await me.page.$$eval(".contrast", (all) => all.length)).toBeGreaterThan(0);
  });

  it("and the console had nothing to complain of", () => expect(me.complaints).toEqual([]));
});
