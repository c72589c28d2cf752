import { readFileSync } from "node:fs";
import { beforeAll, describe, expect, it } from "vitest";
import { addToken, setValues } from "#core/edit";
import { Designer } from "./support/designer";
import { givenDesk } from "./support/kit";
import { becomes, Builder } from "./support/pieces";

/** Two lamps on a buoy, one of which moves when it is lit, and a rule on the other. */
const buoy = () => {
  const b = new Builder();
  const piece = b.new("component", "Buoy");
  const foam = addToken(b.project, "colour", "Foam", "#ffffff");
  b.do(foam.change).do(
    setValues(b.piece, {}, { root: { width: 160, height: 90, fill: { token: foam.id } } }),
  );
  const port = b.layer("box", { x: 10, y: 10, width: 40, height: 40, fill: "#b3402e" });
  const star = b.layer("ellipse", { x: 30, y: 20, width: 40, height: 40, fill: "#1f6f5c" });
  for (const [id, name] of [
    [port, "Port"],
    [star, "Star"],
  ] as const)
    b.do({
      label: "x",
      ops: [{ op: "set", path: ["pieces", piece, "layers", id, "name"], value: name }],
    });
  const lit = b.trait("Lit", "no", "yes");
  const fog = b.trait("Fog", "none", "thin", "thick");
  b.look({ [lit.id]: [lit.v.yes as string] }, star, { x: 80 });
  b.rule({
    source: port,
    trigger: { type: "press" },
    effects: [becomes(lit.id, lit.v.yes as string)],
  });
  b.rule({
    source: port,
    trigger: { type: "leave" },
    effects: [becomes(fog.id, fog.v.thin as string)],
  });
  return { b, piece, port, star };
};
const made = buoy();

const desk = givenDesk({ ...made.b.project, name: "Buoys" });
let me: Designer;
beforeAll(async () => {
  me = desk.me;
  await desk.go(made.piece);
});

const blur = (who = me) =>
  who.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
const names = () => me.page.$$eval(".tree-name", (all) => all.map((n) => n.textContent));
const chosen = () => me.page.$eval(".bench-chosen", (e) => (e as HTMLElement).dataset.chosen ?? "");
const scene = (variant: string, who = me) =>
  who.box(`section[aria-label="Variant ${variant}"] .scene`);
const rest = "default";

describe("drawing", () => {
  it("the pen catches the edges and middles of layers, and says so", async () => {
    await me.click("treeitem", "Buoy");
    await blur();
    await me.press("p");
    const z = await me.zoom();
    const s = await scene(rest);
    const at = (x: number, y: number) => [s.x + x * z, s.y + y * z] as const;
    await me.page.mouse.move(...at(51.4, 31.2));
    expect(await me.page.$$eval(".pen .guide", (all) => all.length)).toBe(2);
    await me.page.mouse.click(...at(51.4, 31.2));
    await me.page.mouse.click(...at(109, 9));
    // held by Ctrl, nothing catches
    await me.page.keyboard.down("Control");
    await me.page.mouse.click(...at(120.5, 50.5));
    await me.page.keyboard.up("Control");
    await me.press("Enter");
    await me.find("treeitem", "Shape");
    expect([(await me.cell("x", rest))?.text, (await me.cell("y", rest))?.text]).toEqual([
      "50",
      "10",
    ]);
    expect(Number((await me.cell("width", rest))?.text)).toBeCloseTo(70.5, 0);
    await blur();
    await me.press("Control", "z");
    await me.until(async () => expect(await names()).not.toContain("Shape"));
  });

  it("a reference picture is dimmed by a slider, and its true colours are picked from under the dimming", async () => {
    await me.click("button", "Reference image");
    const input = await me.until(async () => {
      const i = await me.page.$(".reference-menu input[type=file]");
      if (!i) throw new Error("no field");
      return i;
    });
    await (input as never as { uploadFile(path: string): Promise<void> }).uploadFile(
      "demo/pictures/saloon.png",
    );
    const strength = () => me.page.$eval(".reference", (i) => getComputedStyle(i).opacity);
    await me.until(async () => expect(await strength()).toBe("0.4"));
    // it comes at its own size, and says its share of that when it is shown smaller
    const numberOf = async (label: string) =>
      (await me.find("textbox", label)).evaluate((i) => (i as HTMLInputElement).value);
    expect(await numberOf("Reference width")).toBe("480");
    await (await me.find("textbox", "Scale in per cent")).click({ count: 3 });
    await me.type("50");
    await me.press("Enter");
    await me.until(async () => expect(await numberOf("Reference width")).toBe("240"));
    await me.click("button", "Real size", ".reference-menu");
    await me.until(async () => expect(await numberOf("Scale in per cent")).toBe("100"));
    await (await me.find("slider", "Opacity of the reference image")).focus();
    await me.press("ArrowRight");
    await me.press("ArrowRight");
    await me.until(async () => expect(await strength()).toBe("0.5"));
    await me.press("Escape");
    await me.click("treeitem", "Star");
    await blur();
    await me.press("q");
    const z = await me.zoom();
    const s = await scene(rest);
    await me.page.mouse.move(s.x + 140 * z, s.y + 70 * z);
    const said = await me.until(() => me.text(".dropper-mark"));
    await me.page.mouse.click(s.x + 140 * z, s.y + 70 * z);
    const bytes = readFileSync("demo/pictures/saloon.png").toString("base64");
    const true_ = await me.page.evaluate(async (data) => {
      const image = new Image();
      image.src = `data:image/png;base64,${data}`;
      await image.decode();
      const context = new OffscreenCanvas(image.width, image.height).getContext(
        "2d",
      ) as OffscreenCanvasRenderingContext2D;
      context.drawImage(image, 0, 0);
      return `#${[...context.getImageData(140, 70, 1, 1).data]
        .slice(0, 3)
        .map((n) => n.toString(16).padStart(2, "0"))
        .join("")}`;
    }, bytes);
    expect(said).toBe(true_);
    await me.until(async () => expect((await me.cell("fill", rest))?.text).toBe(true_));
    expect(await me.page.$(".dropper")).toBeNull();
    await blur();
    await me.press("Control", "z");
    await me.until(async () => expect((await me.cell("fill", rest))?.text).toBe("#1f6f5c"));
    await me.click("button", "Reference image");
    await me.click("button", "Remove reference image");
    await me.press("Escape");
  });

  it("a touch area answers beyond the layer's edge, and not further", async () => {
    await me.click("treeitem", "Port");
    await me.write("touch", rest, "12");
    await me.saved();
    await blur();
    const port = await me.layer(".try-host", made.port);
    if (!port) throw new Error("nothing to try");
    const press = async (dx: number) => {
      await me.press("r");
      await me.page.mouse.move(port.x - dx, port.y + 20);
      await me.page.mouse.down();
      await me.page.mouse.up();
    };
    await press(16);
    expect(await me.text(".log")).not.toContain("Lit yes");
    await press(8);
    await me.until(async () => expect(await me.text(".log")).toContain("press → Lit yes"));
    await me.page.mouse.move(port.x - 16, port.y + 20);
    await me.until(async () => expect(await me.text(".log")).toContain("leave → Fog thin"));
    await me.click("treeitem", "Port");
    await blur();
    await me.press("Control", "z");
  });

  it("letters lock, combine and make components of what is chosen, each one step of undo", async () => {
    await me.click("treeitem", "Port");
    await blur();
    await me.press("k");
    await me.find("button", "Unlock Port");
    await me.press("k");
    await me.find("button", "Lock Port");
    await me.choose("Port", "Star");
    await blur();
    await me.press("n");
    await me.until(async () => expect(await names()).toHaveLength(2));
    await me.press("Control", "z");
    await me.until(async () => expect(await names()).toEqual(["Buoy", "Star", "Port"]));
    await me.choose("Port", "Star");
    await blur();
    await me.press("u");
    await me.until(async () => expect((await names())[1]).toBe("Compound"));
    expect((await chosen()).split(" ")).toHaveLength(1);
  });
});

describe("many cards", () => {
  const cards = () =>
    me.page.$$eval(".card-variant", (all) => all.map((c) => c.getAttribute("aria-label")));
  /** the width of what is painted for a layer on a card, px of the piece */
  const painted = async (variant: string, layer: string) => {
    const id = await me.layerId(layer);
    const z = await me.zoom();
    return me.page.$eval(
      `section[aria-label="Variant ${variant}"] [data-layer="${id}"] path`,
      (e, zoom) => Math.round(e.getBoundingClientRect().width / zoom),
      z,
    );
  };

  it("those filtered off the stage are reached by flattening as well", async () => {
    expect(await painted(rest, "Compound")).toBe(60);
    expect(await painted("lit", "Compound")).toBe(110);
    await me.click("button", "Cards");
    await me.click("checkbox", "yes", ".grid-menu");
    await me.until(async () => expect(await cards()).toHaveLength(3));
    await me.press("Escape");
    await me.menu("Compound", "Convert to one path");
    await me.until(async () => expect(await names()).toEqual(["Buoy", "Compound"]));
    await me.click("button", "Cards, 1 hidden");
    await me.click("checkbox", "yes", ".grid-menu");
    await me.until(async () => expect(await cards()).toHaveLength(6));
    await me.press("Escape");
    expect(await painted(rest, "Compound")).toBe(60);
    expect(await painted("lit", "Compound")).toBe(110);
    await me.click("treeitem", "Compound");
    expect((await me.cell("shape", "lit"))?.text).not.toBe((await me.cell("shape", rest))?.text);
    await me.press("Control", "z");
    await me.until(async () => expect(await names()).toEqual(["Buoy", "Compound", "Star", "Port"]));
  });

  it("are laid out as one likes, and the columns of the sheet follow", async () => {
    const columns = () =>
      me.page.$$eval(".sheet [data-variant-head]", (all) => all.map((h) => h.textContent));
    await me.until(async () =>
      expect((await columns()).slice(0, 4)).toEqual([rest, "thin", "thick", "lit"]),
    );
    await me.click("button", "Cards");
    await me.click("radio", "Rows", '[aria-label="Direction of Fog"]');
    await me.click("radio", "Columns", '[aria-label="Direction of Lit"]');
    await me.press("Escape");
    await me.until(async () =>
      expect((await columns()).slice(0, 4)).toEqual([rest, "lit", "thin", "lit, thin"]),
    );
    expect(await cards()).toEqual((await columns()).map((c) => `Variant ${c ?? ""}`));
    // and the keys of the sheet go along the columns as they lie
    await me.click("treeitem", "Star");
    const box = await me.cellBox("opacity", rest);
    await me.page.mouse.click(box.x + 20, box.y + 8);
    await me.press("ArrowRight");
    await me.type("0.5");
    await me.press("Enter");
    await me.until(async () =>
      expect(await me.cell("opacity", "lit")).toMatchObject({ text: "0.5", own: true }),
    );
    expect((await me.cell("opacity", "thin"))?.text).toBe("1");
  });
});

describe("two windows at the same work", () => {
  it("traits, looks of several variants, and tokens of one show in the other", async () => {
    const you = new Designer(await desk.browser.newPage());
    await desk.go(made.piece, you);
    await you.click("button", "Delete value thick");
    await you.until(async () => expect(await you.page.$$(".card-variant")).toHaveLength(4));
    await you.click("treeitem", "Port");
    await you.write("y", "thin", "40");
    await me.page.bringToFront();
    await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(4));
    await me.click("treeitem", "Port");
    await me.until(async () =>
      expect(await me.cell("y", "thin")).toMatchObject({ text: "40", own: true }),
    );
    await me.write("y", "lit", "5");
    await me.write("fill", "lit", "#e3b341");
    await me.saved();
    await you.page.bringToFront();
    await you.until(async () =>
      expect([
        (await you.cell("y", "thin"))?.text,
        (await you.cell("y", "lit"))?.text,
        (await you.cell("fill", "lit"))?.text,
      ]).toEqual(["40", "5", "#e3b341"]),
    );
    // one undoes only what one did oneself
    await blur(you);
    await you.press("Control", "z");
    await you.until(async () => expect(await you.cell("y", "thin")).toMatchObject({ own: false }));
    expect((await you.cell("y", "lit"))?.text).toBe("5");
    await you.page.goto(`${desk.address}/system/tokens`, { waitUntil: "load" });
    await you.until(async () => {
      await you.click("button", "Edit Foam");
      await you.find("textbox", "Colour");
    });
    await (await you.find("textbox", "Colour")).click({ count: 3 });
    await you.type("#dff3ee");
    await you.saved();
    await me.page.bringToFront();
    await me.until(async () =>
      expect(
        await me.page.$$eval('.card-variant [data-layer="root"] > rect', (all) =>
          all.map((r) => r.getAttribute("fill")),
        ),
      ).toEqual(Array.from({ length: 4 }, () => "#dff3ee")),
    );
    await you.page.close();
    expect(you.complaints).toEqual([]);
  });

  it("and the console had nothing to complain of", () => expect(me.complaints).toEqual([]));
});
