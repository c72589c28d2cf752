import { afterAll, afterEach, beforeAll, describe, expect, inject, it } from "vitest";
import type { Browser } from "puppeteer-core";
import { rmSync } from "node:fs";
import { launch, sleep } from "./support/browser";
import { Designer } from "./support/designer";
import { startHarbour } from "./support/servers/harbour";
import type { Harbour } from "./support/servers/harbour";
import { makeScratch } from "../scripts/run/scratch";

let browser: Browser;
let me: Designer;
let close: () => Promise<void>;
let harbour: Harbour;
let home: string;
beforeAll(async () => {
  home = makeScratch("path");
  harbour = await startHarbour(home, inject("build"));
  ({ browser, close } = await launch());
  me = await Designer.at(browser, harbour.served.address);
});
afterEach(async ({ task }) => {
  // a picture of what went wrong, where one is asked for
  if (task.result?.state === "fail" && process.env.NUBBLE_SHOT)
    await me.page.screenshot({ path: process.env.NUBBLE_SHOT });
});
afterAll(async () => {
  await close();
  await harbour.stop();
  rmSync(home, { recursive: true, force: true });
});

const card = (name: string) => `section[aria-label="Variant ${name}"]`;

describe("from an empty project to a played prototype, with mouse and keyboard alone", () => {
  let knob = "";
  let track = "";

  it("1. makes a new project", async () => {
    await me.find("heading", "Projects");
    expect(await me.text("main")).toContain("Kelpway kit");
    await me.click("button", "New project");
    await me.type("Harbour app");
    await me.press("Enter");
    await me.find("heading", "Components");
    await me.click("button", "New component");
    await me.find("tree", "Layers");
    expect(await me.text(".stage-empty")).toContain("This component is empty");
  });

  it("2. draws: inserts, moves, resizes, nudges, renames, restacks, removes, undoes, redoes", async () => {
    await me.insert("box");
    await me.rename("Box", "Track");
    await me.page.click(".stage-room", { offset: { x: 8, y: 380 } });
    await me.insert("ellipse");
    await me.rename("Ellipse", "Knob");
    [track, knob] = [await me.layerId("Track"), await me.layerId("Knob")];

    await me.click("treeitem", "Track");
    const z = await me.zoom();
    const start = await me.cell("x", "only variant");
    const frame = await me.box(`[data-frame="${track}"]`);
    // Ctrl keeps edges from catching, so that the way is exactly the pointer's
    await me.page.keyboard.down("Control");
    await me.drag(frame.x + 60, frame.y + 30, 50 * z, 10 * z);
    await me.page.keyboard.up("Control");
    expect(Number((await me.cell("x", "only variant"))?.text)).toBe(Number(start?.text) + 50);
    const handles = await me.until(async () => {
      const all = await me.page.$$(".handle[data-handle=se]");
      const box = await all[0]?.boundingBox();
      if (!box) throw new Error("no handle");
      return box;
    });
    const larger = await me.zoom();
    await me.drag(handles.x + 4, handles.y + 4, 16 * larger, 4 * larger);
    expect(Number((await me.cell("width", "only variant"))?.text)).toBe(96);
    expect(Number((await me.cell("height", "only variant"))?.text)).toBe(52);

    await me.page.mouse.click(frame.x + 60 * z, frame.y + 14 * z);
    const before = Number((await me.cell("y", "only variant"))?.text);
    await me.press("ArrowDown");
    await me.press("Shift", "ArrowDown");
    expect(Number((await me.cell("y", "only variant"))?.text)).toBe(before + 11);
    await me.press("Control", "z");
    expect(Number((await me.cell("y", "only variant"))?.text)).toBe(before);
    await me.press("Control", "Shift", "z");
    expect(Number((await me.cell("y", "only variant"))?.text)).toBe(before + 11);

    await me.click("treeitem", "Knob");
    await me.click("button", "Send backward");
    const names = () => me.page.$$eval(".tree-name", (all) => all.map((n) => n.textContent));
    expect(await names()).toEqual(["Component", "Track", "Knob"]);
    await me.click("button", "Bring forward");
    expect(await names()).toEqual(["Component", "Knob", "Track"]);

    await me.insert("text");
    await me.rename("Text", "Extra");
    await me.press("Delete");
    expect(await names()).not.toContain("Extra");
    await me.click("button", "Undo");
    expect(await names()).toContain("Extra");
    await me.click("button", "Redo");
    expect(await names()).toEqual(["Component", "Knob", "Track"]);
    await me.saved();
  });

  it("2b. sets exact values in the sheet, with arithmetic and errors that help", async () => {
    await me.click("treeitem", "Track");
    for (const [key, text] of [
      ["x", "20"],
      ["y", "30"],
      ["width", "64"],
      ["height", "36"],
      ["radius", "18"],
      ["fill", "#c9c3b4"],
    ] as const)
      await me.write(key, "only variant", text);
    await me.click("treeitem", "Knob");
    for (const [key, text] of [
      ["x", "20+4"],
      ["y", "34"],
      ["width", "56/2"],
      ["height", "28"],
      ["fill", "white"],
    ] as const)
      await me.write(key, "only variant", text);
    expect((await me.cell("x", "only variant"))?.text).toBe("24");
    expect((await me.cell("width", "only variant"))?.text).toBe("28");
    expect((await me.cell("fill", "only variant"))?.text).toBe("#ffffff");
    await me.write("x", "only variant", "sideways");
    expect(await me.text(".sheet-problem")).toContain("a number");
    await me.press("Escape");
    expect((await me.cell("x", "only variant"))?.text).toBe("24");
    const shown = async () => (await me.layer(".scene", knob))?.x ?? NaN;
    const before = await shown();
    const box = await me.cellBox("x", "only variant");
    await me.page.mouse.click(box.x + 20, box.y + box.height / 2);
    await me.press("Enter");
    for (let i = 0; i < 3; i++) await me.press("ArrowUp");
    expect((await shown()) - before).toBeCloseTo(3 * (await me.zoom()), 1);
    await me.press("Escape");
    expect(await shown()).toBeCloseTo(before, 3);
    await me.insert("text");
    await me.rename("Text", "Label");
    for (const [key, text] of [
      ["x", "100"],
      ["y", "36"],
      ["text", "Dock alerts"],
    ] as const)
      await me.write(key, "only variant", text);
    await me.page.click(".sheet [data-row=text] .option-mark");
    await me.until(async () =>
      expect(await me.page.$$eval(".option-mark.on", (a) => a.length)).toBe(1),
    );
  });

  it("3. declares traits, sees the variants as cards, and edits in a visible scope", async () => {
    await me.click("button", "Add trait");
    await me.click("button", "On: off, on");
    await me.find("textbox", "Trait name");
    await me.type("Alerts");
    await me.press("Enter");
    await me.click("button", "Add trait");
    await me.click("button", "Checked: no, yes");
    await me.find("textbox", "Trait name");
    await me.type("Pressed");
    await me.press("Enter");
    await me.until(async () =>
      expect(
        await me.page.$$eval(".card-variant", (c) => c.map((x) => x.getAttribute("aria-label"))),
      ).toEqual(["Variant off", "Variant off, pressed", "Variant on", "Variant on, pressed"]),
    );

    await me.page.click(`${card("on")} .card-name`);
    expect((await me.chips()).find((c) => c.on)?.text).toBe("where Alerts is on 2");
    expect(
      await me.page.$$eval(".card-variant.lit", (c) => c.map((x) => x.getAttribute("aria-label"))),
    ).toEqual(["Variant on", "Variant on, pressed"]);
    await me.click("treeitem", "Track");
    await me.write("fill", "on", "#2c9a70");
    await me.click("treeitem", "Knob");
    await me.write("x", "on", "52");
    expect(await me.cell("x", "on")).toMatchObject({ text: "52", own: true });
    expect(await me.cell("x", "on, pressed")).toMatchObject({
      text: "52",
      own: false,
      from: "← on",
    });
    expect(await me.cell("x", "off")).toMatchObject({ text: "24" });

    await me.page.click(`${card("off, pressed")} .card-name`);
    await me.write("width", "off, pressed", "33");
    expect(await me.cell("width", "on, pressed")).toMatchObject({
      text: "33",
      own: false,
      from: "← pressed",
    });
    await me.page.click(`${card("on, pressed")} .card-name`);
    expect((await me.chips()).find((c) => c.on)?.text).toBe("only this one");
    await me.write("x", "on, pressed", "47");
    expect(await me.cell("x", "on, pressed")).toMatchObject({ text: "47", own: true });

    await me.page.click(`${card("on, pressed")} .card-name`);
    const widen = () =>
      me.page.evaluate(() =>
        [...document.querySelectorAll<HTMLElement>(".btn-chip")]
          .find((c) => c.innerText.startsWith("all"))
          ?.click(),
      );
    await widen();
    expect(await me.page.$$eval(".card-variant.lit", (c) => c.length)).toBe(4);
    await me.write("x", "on, pressed", "24");
    expect(await me.text(".scope-hint")).toContain(
      "keeps its own x, set where Alerts is on and Pressed is yes",
    );
    // the scope was meant for that layer: it ends with it
    await me.click("treeitem", "Label");
    expect((await me.chips()).find((c) => c.on)?.text).toBe("only this one");
    await widen();
    await me.write("size", "on, pressed", "17");
    expect(await me.cell("size", "off")).toMatchObject({ text: "17" });
  });

  it("3b. clears a value to inherit again, and undoes that", async () => {
    await me.click("treeitem", "Knob");
    const box = await me.cellBox("x", "on, pressed");
    await me.page.mouse.click(box.x + 20, box.y + box.height / 2);
    await sleep(60);
    await me.press("Delete");
    await me.until(async () =>
      expect(await me.cell("x", "on, pressed")).toMatchObject({
        text: "52",
        own: false,
        from: "← on",
      }),
    );
    await me.press("Control", "z");
    await me.until(async () =>
      expect(await me.cell("x", "on, pressed")).toMatchObject({ text: "47", own: true }),
    );
  });

  it("4. writes rules as sentences", async () => {
    await me.page.click(".stage-room", { offset: { x: 8, y: 380 } });
    await me.click("tab", "Rules");
    await me.click("button", "Add rule");
    const rule = (n: number) => `.rule:nth-child(${n})`;
    await me.pick("Trigger", "is pressed", rule(1));
    await me.pick("Effect", "Pressed", rule(1));
    await me.pick("New value of Pressed", "yes", rule(1));
    const ends = await me.find("combobox", "When it ends", rule(1));
    expect(await ends.evaluate((e) => (e as HTMLSelectElement).value)).toBe("undone");
    await me.click("button", "Add rule");
    await me.pick("Effect", "Alerts", rule(2));
    await me.pick("New value of Alerts", "the opposite value", rule(2));
    await me.pick("Motion", "tween", rule(2));
    await (await me.find("textbox", "Duration in milliseconds", rule(2))).click();
    await me.press("Control", "a");
    await me.type("900");
    await me.press("Enter");
    await me.pick("Easing", "linear", rule(2));
    await me.click("button", "Add rule");
    await me.pick("Trigger", "… after a delay", rule(3));
    await (await me.find("textbox", "Wait in milliseconds", rule(3))).click();
    await me.press("Control", "a");
    await me.type("60*1000");
    await me.press("Enter");
    await me.click("button", "in every variant", rule(3));
    await me.click("checkbox", "on", ".while-menu.show");
    await me.press("Escape");
    await me.pick("Effect", "Alerts", rule(3));
    await me.pick("New value of Alerts", "off", rule(3));
    expect(await me.page.$eval(`${rule(3)} .while`, (e) => e.textContent)).toBe(
      "while Alerts is on",
    );
    expect(await me.page.$$eval(".rule.troubled", (r) => r.length)).toBe(0);
    await me.saved();
  });

  it("5. tries it: at rest, in mid-motion and at the end, with the log and the switches", async () => {
    // it has been running all along, also while the rules were half written
    await me.page.click(".stage-room", { offset: { x: 8, y: 380 } });
    await me.press("r");
    await me.until(async () => expect(await me.text(".log")).toContain("Click, hover or type"));
    const rest = await me.layer(".try-host", knob);
    const trackBox = await me.layer(".try-host", track);
    if (!rest || !trackBox) throw new Error("nothing to try");
    expect(rest.x - trackBox.x).toBeCloseTo(4, 1);
    expect(trackBox.fill).toBe("#c9c3b4");
    await me.page.mouse.move(trackBox.x + 30, trackBox.y + 18);
    const press = async () => {
      await me.page.mouse.down();
      await me.until(async () =>
        expect((await me.layer(".try-host", knob))?.width).toBeCloseTo(33, 0),
      );
    };
    await press();
    const frames = await me.film(
      ".try-host",
      [knob, track],
      () => me.page.mouse.up(),
      async () => {
        await me.click("radio", "off", "[aria-label='Alerts in Try']");
        await me.until(async () =>
          expect((await me.layer(".try-host", knob))?.x).toBeCloseTo(trackBox.x + 4, 1),
        );
        await me.page.mouse.move(trackBox.x + 30, trackBox.y + 18);
        await press();
      },
    );
    const seen = frames.map(([k]) => (k?.x ?? NaN) - trackBox.x);
    expect([...seen].sort((a, b) => a - b)).toEqual(seen);
    expect(seen.filter((x) => x > 6 && x < 30)).not.toEqual([]);
    const fills = frames.map(([, t]) => t?.fill);
    expect(fills.filter((fill) => fill !== "#c9c3b4" && fill !== "#2c9a70")).not.toEqual([]);
    expect((await me.layer(".try-host", knob))?.x).toBeCloseTo(trackBox.x + 32, 1);
    expect((await me.layer(".try-host", knob))?.width).toBeCloseTo(28, 1);
    expect((await me.layer(".try-host", track))?.fill).toBe("#2c9a70");
    const log = await me.text(".log");
    expect(log).toContain("press → Pressed yes");
    expect(log).toContain("click → Alerts on · tween 900 ms linear");
    expect(log).toContain("Pressed no · reverted");

    await me.page.mouse.move(trackBox.x + 30, trackBox.y + 18);
    await me.page.mouse.down();
    await me.page.mouse.move(trackBox.x + 30, trackBox.y + 200);
    await me.page.mouse.up();
    await me.until(async () =>
      expect(await me.text(".log")).toContain("no click: the pointer left before release"),
    );
    await me.click("radio", "off", "[aria-label='Alerts in Try']");
    await me.until(async () =>
      expect((await me.layer(".try-host", knob))?.x).toBeCloseTo(trackBox.x + 4, 1),
    );
    await me.page.click(".stage-room", { offset: { x: 8, y: 380 } });
    await me.press("r");
    await me.until(async () => expect(await me.text(".log")).toContain("Click, hover or type"));
  });

  it("6. makes screens, places copies with their own start and text, links them and plays", async () => {
    await me.page.click(".crumbs .btn-name");
    await me.press("Control", "a");
    await me.type("Alert switch");
    await me.press("Enter");
    await me.click("link", "Harbour app");
    await me.click("button", "New screen");
    for (let i = 0; i < 3; i++) {
      await me.click("button", "Insert a component");
      await me.click("button", "Insert Alert switch");
      await me.find("treeitem", i ? `Alert switch ${i + 1}` : "Alert switch");
      await me.write("y", "only variant", String(100 + i * 100));
      await me.write("x", "only variant", "40");
      await me.page.click(".stage-room", { offset: { x: 500, y: 200 } });
    }
    await me.click("treeitem", "Alert switch 2");
    const start = await me.page.evaluate(
      () =>
        [...document.querySelectorAll(".sheet [data-row]")]
          .find((r) => r.textContent?.startsWith("Initial Alerts"))
          ?.getAttribute("data-row") ?? "",
    );
    const box = await me.cellBox(start, "only variant");
    await me.page.mouse.click(box.x + 20, box.y + box.height / 2);
    await me.press("Enter");
    await me.pick("Initial Alerts", "on");
    await me.until(async () =>
      expect(await me.cell(start, "only variant")).toMatchObject({ text: "on", own: true }),
    );
    await me.click("treeitem", "Alert switch 3");
    const words = await me.page.evaluate(
      () =>
        [...document.querySelectorAll(".sheet [data-row]")]
          .find((r) => r.textContent?.startsWith("Label"))
          ?.getAttribute("data-row") ?? "",
    );
    const wordsBox = await me.cellBox(words, "only variant");
    await me.page.mouse.click(wordsBox.x + 20, wordsBox.y + wordsBox.height / 2);
    await sleep(60);
    await me.press("Enter");
    await me.press("Control", "a");
    await me.type("Delay alerts");
    await me.press("Enter");
    const names = await me.page.$$eval(".card-variant text", (t) => t.map((x) => x.textContent));
    expect(names).toEqual(["Dock alerts", "Dock alerts", "Delay alerts"]);

    await me.press("Escape");
    await me.click("treeitem", "Screen");
    await me.insert("box");
    await me.rename("Box", "Next");
    await me.write("y", "only variant", "600");
    await me.saved();
    await me.click("link", "Harbour app");
    await me.click("button", "New screen");
    await me.find("tree", "Layers");
    await me.insert("text");
    await me.write("text", "only variant", "All set");
    await me.click("link", "Harbour app");
    await me.click("link", "Open Screen");
    await me.click("treeitem", "Next");
    await me.click("tab", "Rules");
    await me.click("button", "Add rule on Next");
    expect(
      await me.page.$eval(".rule [aria-label=Effect]", (e) => (e as HTMLInputElement).value),
    ).toBe("go to");
    await me.pick("Screen", "Screen 2", ".rule");
    await me.saved();
  });

  it("6b. plays the prototype at real size: copies apart, then the other screen", async () => {
    const next = await me.layerId("Next");
    await me.click("link", "Play");
    await me.click("radio", "100 %");
    const stage = await me.box(".play-host svg");
    expect([stage.width, stage.height]).toEqual([390, 844]);
    const tracks = () =>
      me.page.$$eval(`.play-host [data-layer="${track}"] rect`, (all) =>
        all.map((r) => r.getAttribute("fill")),
      );
    expect(await tracks()).toEqual(["#c9c3b4", "#2c9a70", "#c9c3b4"]);
    await me.page.mouse.click(stage.x + 40 + 50, stage.y + 300 + 48);
    await me.until(async () => expect(await tracks()).toEqual(["#c9c3b4", "#2c9a70", "#2c9a70"]));
    const box = await me.box(`.play-host [data-layer="${next}"]`);
    await me.page.mouse.click(box.x + 10, box.y + 10);
    await me.until(async () => expect(await me.text(".play-host")).toContain("All set"));
    await me.until(async () =>
      expect(await me.page.$eval(".play-list [aria-current] b", (e) => e.textContent)).toBe(
        "Screen 2",
      ),
    );
  });

  it("7. everything is still there after a reload, and after the server and the database were stopped and started", async () => {
    await me.page.goBack();
    await me.page.reload({ waitUntil: "load" });
    await me.find("treeitem", "Next");
    expect(me.complaints).toEqual([]);
    const address = me.page.url();
    await me.page.close();
    await harbour.served.stop();
    await harbour.postgres.stop();
    await harbour.postgres.restart();
    await harbour.serveAgain();
    me = await Designer.at(browser, address);
    await me.find("treeitem", "Next");
    expect(await me.page.$$eval(".card-variant text", (t) => t.map((x) => x.textContent))).toEqual([
      "Dock alerts",
      "Dock alerts",
      "Delay alerts",
    ]);
    await me.click("link", "Harbour app");
    await me.click("link", "Open Alert switch");
    await me.find("treeitem", "Knob");
    await me.click("treeitem", "Knob");
    await me.until(async () =>
      expect(await me.cell("x", "on, pressed")).toMatchObject({ text: "47", own: true }),
    );
  });

  it("and the console had nothing to complain of", () => expect(me.complaints).toEqual([]));
});
