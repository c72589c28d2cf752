import { beforeAll, describe, expect, it } from "vitest";
import { Designer } from "../support/designer";
import { sleep } from "../support/browser";
import { givenDesk } from "../support/kit";

const desk = givenDesk();
let me: Designer;
beforeAll(async () => {
  me = desk.me;
  await me.page.setViewport({ width: 1280, height: 720 });
});

const host = ".play-host";
const layer = (path: string) =>
  `${host} ${path
    .split("/")
    .map((id) => `[data-layer="${id}"]`)
    .join(" ")}`;
const open = async (address = "") => {
  await me.page.goto(`${desk.address}/play${address}`, { waitUntil: "load" });
  await me.page.waitForSelector(`${host} svg [data-layer]`);
};
const fillOf = (path: string) =>
  me.page.$eval(`${layer(path)} rect`, (r) => r.getAttribute("fill"));
const heading = () => me.page.$eval(".play-bar h1", (h) => h.textContent);
const lit = () => me.page.$$eval(`${host} .answering rect`, (all) => all.length);
const press = async (path: string) => {
  const box = await me.box(layer(path));
  await me.page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
};

describe("Play shows everything there is", () => {
  it("the whole screen is seen, at real size if one wants; the list folds away", async () => {
    await open("/trip-settings");
    const [whole, room] = [await me.box(`${host} svg`), await me.box(".play-stage")];
    expect(whole.height).toBeLessThanOrEqual(room.height);
    expect(whole.width / whole.height).toBeCloseTo(390 / 844, 2);
    await me.click("radio", "100 %");
    await me.until(async () => expect((await me.box(`${host} svg`)).width).toBe(390));
    await me.click("radio", "Fit");
    await me.click("button", "Hide screens and states");
    expect(await me.page.$(".play-list")).toBeNull();
    await me.click("button", "Show screens and states");
    await me.page.waitForSelector(".play-list");
  });

  it("a state of a copy by a click; its address leads there again, whatever the names in it", async () => {
    expect(await fillOf("delays/track")).toBe("#c9c3b4");
    await me.click("radio", "on", '[aria-label="Delay alerts: Alerts"]');
    await me.until(async () => expect(await fillOf("delays/track")).toBe("#2c9a70"));
    await me.until(() =>
      Promise.resolve(expect(me.page.url()).toContain("set=delays%3Aalerts%3Aalerts-on")),
    );
    await me.page.reload({ waitUntil: "load" });
    await me.page.waitForSelector(layer("delays/track"));
    await me.until(async () => expect(await fillOf("delays/track")).toBe("#2c9a70"));
    const renamed = me.page.url().replace("Trip-settings", "Old-name");
    await me.page.goto(renamed, { waitUntil: "load" });
    await me.page.waitForSelector(layer("delays/track"));
    await me.until(async () => expect(await fillOf("delays/track")).toBe("#2c9a70"));
  });

  it("another screen, which then is what the window is called", async () => {
    await me.click("button", "Cabin climate");
    await me.until(async () => expect(await heading()).toBe("Cabin climate"));
    expect(await me.page.title()).toContain("Cabin climate");
    await me.click("button", "Back", ".play-bar");
    await me.until(async () => expect(await heading()).toBe("Trip settings"));
  });

  it("an overlay as such: over the screen that opens it", async () => {
    await me.click("button", "Notice over Trip settings");
    await me.page.waitForSelector(layer("~notice"));
    expect(await heading()).toBe("Trip settings");
    await me.until(() => Promise.resolve(expect(me.page.url()).toContain("over=notice")));
    await me.page.reload({ waitUntil: "load" });
    await me.page.waitForSelector(layer("~notice"));
    // and its screen without it
    await me.click("button", "Trip settings start");
    await me.until(async () => expect(await me.page.$(layer("~notice"))).toBeNull());
  });

  it("an address that means nothing shows the screen as it starts", async () => {
    await open("/trip-settings?set=:__proto__:x&set=delays:alerts:toString&set=gone:a:b&over=gone");
    expect(await fillOf("delays/track")).toBe("#c9c3b4");
    expect(me.complaints).toEqual([]);
  });

  it("whoever leaves at once keeps the address they went to", async () => {
    await me.click("radio", "on", '[aria-label="Delay alerts: Alerts"]');
    await me.click("link", "Edit Trip settings");
    await me.find("tree", "Layers");
    await sleep(400);
    expect(me.page.url()).toContain("/pieces/trip-settings");
  });

  it("a component alone on a plain ground, from its bench", async () => {
    await desk.go("alert-switch");
    await me.click("link", "Play");
    await me.page.waitForSelector(`${host}.component [data-layer="track"]`);
    expect(await heading()).toBe("Alert switch");
    await me.click("radio", "on", '[aria-label="Alerts"]');
    await me.until(async () => expect(await fillOf("track")).toBe("#2c9a70"));
  });
});

describe("a click that meets nothing", () => {
  it("lets everything that answers light up for a moment, and no click that is answered does", async () => {
    await open("/trip-settings");
    const stage = await me.box(`${host} svg`);
    await me.page.mouse.click(stage.x + stage.width / 2, stage.y + stage.height - 20);
    await me.until(async () => expect(await lit()).toBeGreaterThan(5));
    expect(await me.text(".play-said")).toContain("Nothing responds here. These parts do.");
    await me.until(async () => expect(await lit()).toBe(0));
    await press("dock/track");
    await sleep(100);
    expect(await lit()).toBe(0);
  });
});

describe("one menu", () => {
  it("goes slower and starts again; letters are no keys of the page", async () => {
    await open("/trip-settings");
    await press("delays/track");
    await me.until(async () => expect(await fillOf("delays/track")).toBe("#2c9a70"));
    await me.press("r");
    await sleep(150);
    expect(await fillOf("delays/track")).toBe("#2c9a70");
    await me.click("button", "More");
    await me.click("radio", "25 %");
    await me.click("button", "Restart", ".dropdown-menu.show");
    await me.until(async () => expect(await fillOf("delays/track")).toBe("#c9c3b4"));
  });
});

describe("every choice a presenter has does something", () => {
  it("speed, reduced motion, the answer to forms, full screen, the link", async () => {
    await open("/trip-settings");
    await me.click("button", "More");
    const on = (name: string) =>
      me.page.$eval(`.play-more [aria-label="${name}"] input:checked`, (i) =>
        i.getAttribute("value"),
      );
    for (const [words, value] of [
      ["50 %", "0.5"],
      ["25 %", "0.25"],
      ["10 %", "0.1"],
      ["100 %", "1"],
    ] as const) {
      await me.click("radio", words, '.play-more [aria-label="Playback speed"]');
      await me.until(async () => expect(await on("Playback speed")).toBe(value));
    }
    await me.click("radio", "Fail");
    await me.until(async () => expect(await on("Submitted forms")).toBe("fail"));
    await me.click("checkbox", "Reduced motion");
    await me.press("Escape");
    // the form fails, as it was told to
    await press("tell");
    await me.page.waitForSelector(layer("~notice"));
    await sleep(300);
    await press("~notice/ship-hint");
    await me.type("MS Eider");
    await me.press("Enter");
    await me.until(async () =>
      expect(await me.text(host)).toContain("The harbour did not respond."),
    );
    await me.click("button", "Copy link to this state");
    await me.until(async () =>
      expect(await me.text(".play-said")).toMatch(/Link copied|blocked access/),
    );
    await me.click("button", "Full screen");
    await me.until(async () => expect(await me.page.$(".play-bar")).toBeNull());
    await me.page.evaluate(() => document.exitFullscreen());
    await me.page.waitForSelector(".play-bar");
  });
});

describe("on a second screen", () => {
  it("follows edits made elsewhere at once, and keeps its state", async () => {
    await open("/trip-settings");
    await press("delays/track");
    await me.until(async () => expect(await fillOf("delays/track")).toBe("#2c9a70"));
    const you = await Designer.at(desk.browser, desk.address);
    await desk.go("alert-switch", you);
    await you.click("treeitem", "Track");
    await you.fill("on", { fill: "#123456" });
    await me.until(async () => expect(await fillOf("delays/track")).toBe("#123456"));
    await you.page.close();
  });
});

describe("Try of a screen", () => {
  it("has switches for the traits of its copies, too", async () => {
    await desk.go("trip-settings");
    const track = '.try-host [data-layer="delays"] [data-layer="track"] rect';
    const fill = () => me.page.$eval(track, (r) => r.getAttribute("fill"));
    const before = await me.until(fill);
    await me.click("button", "Traits of copies");
    await me.click("radio", "on", '[aria-label="Delay alerts: Alerts in Try"]');
    await me.until(async () => expect(await fill()).not.toBe(before));
  });
});

describe("on a phone", () => {
  it("the prototype is the page, and the list comes from the edge", async () => {
    await me.page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
    await open("/trip-settings");
    const stage = await me.box(`${host} svg`);
    expect(stage).toMatchObject({ x: 0, y: 0, width: 390, height: 844 });
    expect(await me.page.$(".play-bar")).toBeNull();
    const track = await me.box(layer("delays/track"));
    await me.page.touchscreen.tap(track.x + 10, track.y + 10);
    await me.until(async () => expect(await fillOf("delays/track")).toBe("#123456"));
    await me.click("button", "Show screens and states");
    await me.page.waitForSelector(".offcanvas.show:not(.showing)");
    await me.until(() => me.click("button", "Cabin climate"));
    await me.until(async () => expect(await me.page.title()).toContain("Cabin climate"));
    await me.until(async () => expect(await me.page.$(".offcanvas.show")).toBeNull());
    expect(me.complaints).toEqual([]);
  });

  it("a finger moves the page where a screen is taller than it, and the piece where that moves", async () => {
    await me.page.setViewport({ width: 390, height: 600, isMobile: true, hasTouch: true });
    await open("/trip-settings");
    const scrolled = () => me.page.$eval(".play-stage", (stage) => stage.scrollTop);
    const swipe = async (x: number, y: number, byX: number, byY: number) => {
      const touch = await me.page.touchscreen.touchStart(x, y);
      for (let i = 1; i <= 8; i++) {
        await touch.move(x + (byX * i) / 8, y + (byY * i) / 8);
        await sleep(16);
      }
      await touch.end();
    };
    await swipe(120, 500, 0, -200);
    await me.until(async () => expect(await scrolled()).toBeGreaterThan(100));
    await open("/sailing-card-deck");
    const card = await me.box(layer("gull"));
    await swipe(card.x + 60, card.y + 60, 220, 10);
    await me.until(() => Promise.resolve(expect(me.page.url()).toContain("set=%3Afront")));
    expect(await scrolled()).toBe(0);
  });
});
