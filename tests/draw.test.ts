import type { Browser } from "puppeteer-core";
import { afterAll, afterEach, beforeAll, describe, expect, inject, it } from "vitest";
import { emptyProject } from "#core/edit";
import { launch, sleep } from "./support/browser";
import { Designer } from "./support/designer";
import { Projects } from "./support/projects";

let browser: Browser;
let me: Designer;
let close: () => Promise<void>;
let projects: Projects;
let id: string;
beforeAll(async () => {
  ({ browser, close } = await launch());
  projects = new Projects();
  id = await projects.fresh(emptyProject("Harbour drawings"));
});
afterEach(async ({ task }) => {
  if (task.result?.state === "fail" && process.env.NUBBLE_SHOT)
    await me.page.screenshot({ path: process.env.NUBBLE_SHOT });
});
afterAll(async () => {
  await close();
  await projects.close();
});

const painted = (variant: string, layer: string, selector: string, attribute: string) =>
  me.page.evaluate(
    (v, l, s, a) =>
      document
        .querySelector(`section[aria-label="Variant ${v}"] [data-layer="${l}"] ${s}`)
        ?.getAttribute(a) ?? null,
    variant,
    layer,
    selector,
    attribute,
  );

describe("the Board-now button, drawn from nothing", () => {
  let glow = "";
  let body = "";
  let shine = "";

  it("has a glow, and a body with gradient, border and shadows inside and out", async () => {
    me = await Designer.at(browser, `${inject("address")}/projects/${id}`);
    await me.until(async () => {
      await me.click("button", "New component");
      await me.find("tree", "Layers");
    });
    await me.click("treeitem", "Component");
    await me.fill("only variant", { width: "224", height: "96" });
    await me.press("Escape");
    await me.insert("ellipse");
    await me.rename("Ellipse", "Glow");
    await me.fill("only variant", {
      x: "22",
      y: "26",
      width: "180",
      height: "56",
      fill: "#e0703a",
      opacity: "0.35",
      blur: "22",
    });
    await me.press("Escape");
    await me.click("treeitem", "Component");
    await me.insert("box");
    await me.rename("Box", "Body");
    await me.fill("only variant", {
      x: "20",
      y: "20",
      width: "184",
      height: "56",
      fill: "linear-gradient(180deg, #f0935f, #b9531f)",
      radius: "full",
      shadow: "inner 0 2 3 #ffffff80, 0 6 14 -4 #b9531f99",
      clip: "yes",
      borderColour: "#ffffff59",
      borderWidth: "1.5",
    });
    [glow, body] = [await me.layerId("Glow"), await me.layerId("Body")];
    expect(await me.cell("fill", "only variant")).toMatchObject({
      text: "linear-gradient(180deg, #f0935f 0%, #b9531f 100%)",
    });
    expect(await painted("only variant", body, "rect[fill^='url']", "rx")).toBe("28");
    expect(await painted("only variant", body, "linearGradient stop", "stop-color")).toBe(
      "#f0935f",
    );
    expect(await me.page.$eval(`[data-layer="${glow}"]`, (g) => getComputedStyle(g).filter)).toBe(
      "blur(22px)",
    );
  });

  it("has a shine inside it, turned by its handle and cut off by the body's edge, and a label", async () => {
    await me.press("Escape");
    await me.click("treeitem", "Component");
    await me.insert("box");
    await me.rename("Box", "Shine");
    await me.dragLine("Shine", "Body", "into");
    shine = await me.layerId("Shine");
    await me.click("treeitem", "Shine");
    await me.fill("only variant", {
      x: "60",
      y: "-20",
      width: "46",
      height: "100",
      fill: "linear-gradient(90deg, #ffffff00, #ffffffa6 50%, #ffffff00)",
      radius: "0",
    });
    expect(
      await painted("only variant", body, `g[clip-path] [data-layer="${shine}"]`, "transform"),
    ).toBe("translate(60 -20)");
    const frame = await me.box(".card-variant.active .frame");
    const handle = await me.box(".turn-handle");
    await me.page.mouse.move(handle.x + handle.width / 2, handle.y + handle.height / 2);
    await me.page.mouse.down();
    // a turn to the right about the middle of the layer
    const [cx, cy] = [frame.x + frame.width / 2, frame.y + frame.height / 2];
    const reach = cx - handle.x;
    await me.page.mouse.move(cx - Math.cos(0.32) * reach, cy - Math.sin(0.32) * reach, {
      steps: 6,
    });
    await me.page.mouse.up();
    const turn = Number((await me.cell("rotation", "only variant"))?.text);
    expect(turn).toBeGreaterThan(12);
    expect(turn).toBeLessThan(24);
    await me.press("Escape");
    await me.click("treeitem", "Body");
    await me.insert("text");
    await me.rename("Text", "Label");
    await me.fill("only variant", {
      text: "Board now",
      fill: "#ffffff",
      size: "17",
      weight: "700",
      x: "50",
      y: "17",
    });
    expect(await me.page.$eval(`[data-layer="${body}"] text`, (t) => t.textContent)).toBe(
      "Board now",
    );
  });

  it("has a contact trait, whose variants say only what differs", async () => {
    await me.click("button", "Add trait");
    await me.click("button", "Contact: none, hovered, pressed");
    await me.find("textbox", "Trait name");
    await me.press("Enter");
    await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(3));
    await me.click("treeitem", "Glow");
    await me.fill("hovered", { opacity: "0.7" });
    await me.click("treeitem", "Shine");
    await me.fill("hovered", { x: "208" });
    await me.click("treeitem", "Body");
    await me.fill("pressed", {
      y: "+3",
      fill: "linear-gradient(180deg, #b9531f, #e0703a)",
      shadow: "inner 0 4 8 #7a3210a6",
    });
    expect(await painted("default", glow, "", "opacity")).toBe("0.35");
    expect(
      await me.page.$eval(`section[aria-label="Variant hovered"] [data-layer="${glow}"]`, (g) =>
        g.getAttribute("opacity"),
      ),
    ).toBe("0.7");
    expect(
      await me.page.$eval(`section[aria-label="Variant pressed"] [data-layer="${body}"]`, (g) =>
        g.getAttribute("transform"),
      ),
    ).toBe("translate(20 23)");
    expect(
      await me.page.$eval(`section[aria-label="Variant default"] [data-layer="${body}"]`, (g) =>
        g.getAttribute("transform"),
      ),
    ).toBe("translate(20 20)");
    // a change of what all share flows into those that do not say otherwise
    await me.fill("default", { borderWidth: "2" });
    expect((await me.cell("borderWidth", "pressed"))?.from).toContain("all");
    await me.saved();
    expect(me.complaints).toEqual([]);
  });
});

describe("the Alert switch, drawn from nothing", () => {
  it("from two shapes and a text: a group, a row, two traits, four variants", async () => {
    await me.click("link", "Harbour drawings");
    await me.click("button", "New component");
    await me.find("tree", "Layers");
    await me.insert("box");
    await me.rename("Box", "Track");
    await me.fill("only variant", {
      x: "100",
      y: "30",
      width: "64",
      height: "36",
      fill: "#c9c3b4",
      radius: "18",
    });
    await me.press("Escape");
    await me.click("treeitem", "Component 2");
    await me.insert("ellipse");
    await me.rename("Ellipse", "Knob");
    await me.fill("only variant", {
      x: "104",
      y: "34",
      width: "28",
      height: "28",
      fill: "#ffffff",
      shadow: "0 1 3 #1c2f3a59",
    });
    await me.choose("Track", "Knob");
    await me.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    await me.press("Control", "g");
    await me.rename("Group", "Toggle");
    await me.press("Escape");
    await me.click("treeitem", "Component 2");
    await me.insert("text");
    await me.rename("Text", "Label");
    await me.fill("only variant", { text: "Dock alerts", x: "4", y: "38" });
    await me.choose("Label", "Toggle");
    await me.menu("Label", "Wrap in row");
    await me.find("treeitem", "Row");
    expect((await me.cell("arrange", "only variant"))?.text).toBe("row");
    await me.fill("only variant", { gap: "14", padding: "8 10" });

    for (const quick of ["On: off, on", "Checked: no, yes"]) {
      await me.click("button", "Add trait");
      await me.click("button", quick);
      await me.find("textbox", "Trait name");
      if (quick === "Checked: no, yes") {
        await me.press("Control", "a");
        await me.type("Pressed");
      }
      await me.press("Enter");
    }
    await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(4));
    await me.click("treeitem", "Track");
    await me.fill("on", { fill: "#2c9a70" });
    await me.click("treeitem", "Knob");
    await me.fill("on", { x: "32" });
    await me.fill("off, pressed", { width: "33" });
    await me.fill("on, pressed", { x: "27" });
    expect(await me.cell("width", "on, pressed")).toMatchObject({ text: "33", own: false });
    const [track, knob] = [await me.layerId("Track"), await me.layerId("Knob")];
    expect(
      await Promise.all(
        ["off", "on", "off, pressed", "on, pressed"].map((v) => painted(v, track, "rect", "fill")),
      ),
    ).toEqual(["#c9c3b4", "#2c9a70", "#c9c3b4", "#2c9a70"]);
    const z = await me.zoom();
    const way = async (v: string) => {
      const [k, t] = await Promise.all(
        [knob, track].map((layer) =>
          me.box(`section[aria-label="Variant ${v}"] [data-layer="${layer}"] > :last-child`),
        ),
      );
      return k && t ? [Math.round((k.x - t.x) / z), Math.round((k.y - t.y) / z)] : null;
    };
    expect(await Promise.all(["off", "on", "off, pressed", "on, pressed"].map(way))).toEqual([
      [4, 4],
      [32, 4],
      [4, 4],
      [27, 4],
    ]);
    await me.saved();
    expect(me.complaints).toEqual([]);
  });
});

const drawing = (on: boolean, pressed: boolean) =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="100" height="50"><rect id="Track" x="8" y="7" width="64" height="36" rx="18" fill="${on ? "#2c9a70" : "#c9c3b4"}"/><circle id="Knob" cx="${on ? 54 : 26}" cy="25" r="${pressed ? 16 : 14}" fill="#ffffff"/>${pressed ? '<circle id="Glow" cx="86" cy="25" r="6" fill="#f0c04e"/>' : ""}</svg>`;

describe("four separate drawings, gathered into one component", () => {
  it("proposes names and pairs, lets both be corrected, and makes one tree that looks in each variant as it was drawn", async () => {
    await me.click("link", "Harbour drawings");
    await me.click("button", "New screen");
    await me.find("tree", "Layers");
    const names = [
      "Berth light off",
      "Berth light on",
      "Berth light off pressed",
      "Berth light on pressed",
    ];
    for (const [i, name] of names.entries()) {
      await me.pasteText(drawing(i % 2 === 1, i > 1));
      await me.rename("Drawing", name);
      await me.fill("only variant", { x: "40", y: String(40 + i * 80) });
      await me.press("Escape");
      await me.press("Escape");
    }
    await me.choose(...names);
    await me.menu("Berth light on pressed", "Gather 4 layers as variants…");
    await me.find("textbox", "Component name");
    const value = (label: string) =>
      me.page.evaluate(
        (l) => document.querySelector<HTMLInputElement>(`[aria-label="${l}"]`)?.value,
        label,
      );
    expect(await value("Component name")).toBe("Berth light");
    expect(await value("Name of trait 1")).toBe("Power");
    expect(await value("Pressed of Berth light on pressed")).toBe("yes");
    await me.until(async () => expect(await me.text(".gather-pairs")).toContain("Glow"));
    expect(
      await me.page.$$eval(".gather-row [role=rowheader]", (rows) =>
        rows.map((r) => r.textContent),
      ),
    ).toEqual(["Berth light off", "Track", "Knob", "Glow"]);
    const trait = await me.find("textbox", "Name of trait 1");
    await trait.click({ count: 3 });
    await me.type("Light");
    // a pair taken apart by hand becomes a layer of its own, and comes together again
    const glow = await me.find("combobox", "Glow in Berth light on pressed");
    await (glow as never as { select(v: string): Promise<void> }).select("");
    await me.until(async () =>
      expect(await me.page.$$(".gather-row [role=rowheader]")).toHaveLength(5),
    );
    const again = await me.find("combobox", "Glow in Berth light on pressed");
    const other = await again.evaluate(
      (s) =>
        [...(s as HTMLSelectElement).options].find((o) => o.text.startsWith("Glow"))?.value ?? "",
    );
    await (again as never as { select(v: string): Promise<void> }).select(other);
    await me.until(async () =>
      expect(await me.page.$$(".gather-row [role=rowheader]")).toHaveLength(4),
    );
    await me.click("button", "Create component");
    await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(4));
    await me.find("treeitem", "Glow");
    const [track, knob, light] = [
      await me.layerId("Track"),
      await me.layerId("Knob"),
      await me.layerId("Glow"),
    ];
    expect(await painted("on, pressed", track, "rect", "fill")).toBe("#2c9a70");
    expect(await painted("off", track, "rect", "fill")).toBe("#c9c3b4");
    expect(await painted("on, pressed", knob, "ellipse", "rx")).toBe("16");
    expect(
      await me.page.$$eval(
        `[data-layer="${light}"]`,
        (all) => all.filter((e) => e.closest(".card-variant")).length,
      ),
    ).toBe(2);
    await me.page.goBack();
    await me.until(async () => expect(await me.page.$$(".card-variant ellipse")).toHaveLength(6));
    expect(me.complaints).toEqual([]);
    await sleep(50);
  });
});
