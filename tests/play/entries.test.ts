import { beforeAll, describe, expect, it } from "vitest";
import type { Designer } from "../support/designer";
import { givenDesk } from "../support/kit";
import { Builder, becomes } from "../support/pieces";

let me: Designer;
/** A booking: a name in a box, which deck, notes of several lines, and a button. */
const booking = () => {
  const b = new Builder();
  const id = b.new("screen", "Booking");
  const field = { borderColour: "#20302e", borderWidth: 1, fill: "#ffffff" };
  const box = b.layer("box", { x: 20, y: 20, width: 260, height: 44, ...field });
  const entry = { entry: "typing", widthMode: "fixed", width: 220, size: 17 } as const;
  const name = b.layer(
    "text",
    { x: 12, y: 10, text: "Your name", label: "Name", tooLong: "ellipsis", ...entry },
    box,
  );
  const deck = b.layer("text", {
    x: 20,
    y: 90,
    text: "Which deck?",
    label: "Deck",
    entry: "choosing",
    choices: "car, saloon, sun",
  });
  const notes = b.layer("text", {
    x: 20,
    y: 130,
    heightMode: "fixed",
    height: 80,
    text: "Anything else?",
    label: "Notes",
    ...entry,
  });
  const send = b.layer("box", { x: 20, y: 240, width: 90, height: 40, sends: true, ...field });
  b.look({}, send, { role: "button", label: "Send" });
  const sent = b.trait("Sent", "no", "yes");
  const done = b.layer("text", { x: 20, y: 300, text: "Thank you", visible: false });
  b.look({ [sent.id]: [sent.v.yes as string] }, done, { visible: true });
  b.rule({
    source: send,
    trigger: { type: "succeeded" },
    effects: [becomes(sent.id, sent.v.yes as string)],
  });
  return { project: b.project, id, box, name, deck, notes, send, done };
};
const it_ = booking();
const desk = givenDesk(it_.project);
beforeAll(() => {
  me = desk.me;
});

const host = ".play-host";
const layer = (id: string) => `${host} [data-layer="${id}"]`;
const open = async () => {
  await me.page.goto(`${desk.address}/play/${it_.id}`, { waitUntil: "load" });
  await me.page.waitForSelector(`${host} .access input`);
};
const valueOf = (name: string) =>
  me.page.$eval(`${host} .access [aria-label="${name}"]`, (e) => (e as HTMLInputElement).value);
const painted = () =>
  me.page.$$eval(`${host} svg text`, (all) => all.map((t) => t.textContent).join(" "));
const holds = (name: string, value: string) =>
  me.until(async () => expect(await valueOf(name)).toBe(value));

describe("an entry is a real field", () => {
  it("a press anywhere in its box gives it the focus; it lies over what is painted, dressed like it", async () => {
    await open();
    const box = await me.box(layer(it_.box));
    const text = await me.box(`${layer(it_.name)} text`);
    await me.page.mouse.click(box.x + box.width - 8, box.y + 5);
    const field = await me.page.evaluate(() => {
      const e = document.activeElement as HTMLInputElement;
      const { x, y, height } = e.getBoundingClientRect();
      const { fontSize, opacity, color } = getComputedStyle(e);
      return { name: e.ariaLabel, x, y, height, fontSize, opacity, color };
    });
    expect(field).toMatchObject({ name: "Name", opacity: "1", color: "rgb(32, 48, 46)" });
    expect(Math.abs(field.x - text.x)).toBeLessThan(2);
    expect(Math.abs(field.y + field.height / 2 - text.y - text.height / 2)).toBeLessThan(2);
    expect(await painted()).not.toContain("Your name");
  });

  it("is typed into with the caret anywhere; text is marked, copied, pasted and undone", async () => {
    await me.type("Ida Holm");
    await holds("Name", "Ida Holm");
    await me.press("Home");
    await me.type("Captain ");
    await holds("Name", "Captain Ida Holm");
    await me.press("Control", "a");
    await me.press("Control", "c");
    await me.press("End");
    await me.press("Control", "v");
    await holds("Name", "Captain Ida HolmCaptain Ida Holm");
    await me.press("Control", "z");
    await holds("Name", "Captain Ida Holm");
    await me.press("Control", "a");
    await me.press("Delete");
    await holds("Name", "");
    await me.type("Ida");
    for (let i = 0; i < 2; i++) await me.press("ArrowLeft");
    await me.press("Backspace");
    await holds("Name", "da");
    await me.press("Home");
    await me.type("I");
  });

  it("takes what is composed by an input method", async () => {
    const client = await me.page.createCDPSession();
    await me.press("End");
    await client.send("Input.imeSetComposition", {
      text: " ほ",
      selectionStart: 2,
      selectionEnd: 2,
    });
    await holds("Name", "Ida ほ");
    await client.send("Input.insertText", { text: " 帆" });
    await holds("Name", "Ida 帆");
    await client.detach();
  });

  it("what was filled in is painted once one goes on; a list is opened, and letters choose in it", async () => {
    await me.press("Tab");
    expect(await me.page.evaluate(() => document.activeElement?.tagName)).toBe("SELECT");
    expect(await painted()).toContain("Ida 帆");
    await me.type("s");
    await holds("Deck", "saloon");
    await me.press("ArrowDown");
    await holds("Deck", "sun");
    await me.until(async () => expect(await painted()).toContain("sun"));
    const choices = await me.page.$$eval(`${host} .access [aria-label=Deck] option`, (all) =>
      all.map((o) => o.textContent),
    );
    expect(choices).toEqual(["", "car", "saloon", "sun"]);
  });

  it("one for several lines takes lines, and Enter sends the form", async () => {
    await me.press("Tab");
    expect(await me.page.evaluate(() => document.activeElement?.tagName)).toBe("TEXTAREA");
    await me.type("Two");
    await me.press("Shift", "Enter");
    await me.type("bicycles");
    await holds("Notes", "Two\nbicycles");
    await me.press("Enter");
    await me.until(async () => expect(await painted()).toContain("Thank you"));
    expect(me.complaints).toEqual([]);
  });

  it("on a phone a tap opens it, and the page's own keyboard fills it in", async () => {
    await me.page.setViewport({ width: 390, height: 844, isMobile: true, hasTouch: true });
    await open();
    const box = await me.box(layer(it_.box));
    await me.page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2);
    await me.until(async () =>
      expect(await me.page.evaluate(() => document.activeElement?.ariaLabel)).toBe("Name"),
    );
    await me.page.keyboard.sendCharacter("Ida");
    await holds("Name", "Ida");
    await me.page.setViewport({ width: 1280, height: 800 });
  });
});

describe("in Try", () => {
  it("what is typed is one step of what is recorded, and does the same again", async () => {
    await desk.go(it_.id);
    await me.page.waitForSelector(".try-host .access input");
    await me.click("button", "Record");
    const box = await me.box(`.try-host [data-layer="${it_.box}"]`);
    await me.page.mouse.click(box.x + 20, box.y + box.height / 2);
    await me.type("Ida");
    await me.until(async () =>
      expect(
        await me.page.$eval(
          ".try-host .access [aria-label=Name]",
          (e) => (e as HTMLInputElement).value,
        ),
      ).toBe("Ida"),
    );
    await me.click("button", "Stop");
    await me.until(async () => expect(await me.text(".drawer")).toContain("in Text"));
    expect(
      await me.page.$$eval(".drawer .word", (all) => all.map((e) => (e as HTMLInputElement).value)),
    ).toContain("Ida");
    expect(me.complaints).toEqual([]);
  });

  it("is entered by hand-made steps of a rehearsal, which are offered for entries alone", async () => {
    await desk.go(it_.id);
    const choose = (id: string) => me.page.click(`[data-line="${id}"] .tree-name`);
    const offered = () => me.page.$$eval(".step-menu button", (b) => b.map((e) => e.textContent));
    await choose(it_.done);
    await me.page.click("[role=tab] ::-p-text(Rehearsals)");
    await me.click("button", "New rehearsal");
    await me.press("Enter");
    await me.click("button", "Add step");
    expect((await offered()).join()).not.toContain("enter text");
    await me.press("Escape");
    await choose(it_.name);
    await me.click("button", "Add step");
    const enter = (await offered()).find((words) => words?.startsWith("enter text")) ?? "";
    await me.click("button", enter, ".step-menu");
    await (await me.find("textbox", "Text", ".steps")).focus();
    await me.type("Ada");
    await me.click("button", "Add step");
    await me.click("button", "a text is visible", ".step-menu");
    await me.page.focus(".steps li:last-child input");
    await me.type("Ada");
    await me.click("button", "Run");
    await me.until(async () => expect(await me.text(".rehearsals")).toMatch(/Passed, in/));
    await me.page.focus(".steps li:last-child input");
    await me.type("m");
    await me.click("button", "Run");
    await me.until(async () => expect(await me.text(".rehearsals")).toContain("1 of 1 failed"));
  });
});
