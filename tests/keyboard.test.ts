import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { Designer } from "./support/designer";
import { givenBrowser } from "./support/given";

const given = givenBrowser();

/** The most presses from all projects to a component that is tried. */
const MOST = 70;

/** What has the focus, by its name; "body" when nothing has it. */
const focused = (me: Designer): Promise<string> =>
  me.page.evaluate(() => {
    const e = document.activeElement;
    if (!(e instanceof HTMLElement || e instanceof SVGElement) || e === document.body)
      return "body";
    const labels = e instanceof HTMLInputElement ? [...(e.labels ?? [])] : [];
    return (
      (e.getAttribute("aria-label") ??
        labels.map((l) => l.textContent).join(" ") ??
        e.textContent) ||
      (e.textContent ?? "")
    );
  });

/** Somebody without a mouse, whose presses are counted: every key, and every letter of a text. */
class Presser {
  count = 0;

  constructor(private readonly me: Designer) {}

  async press(...keys: string[]): Promise<void> {
    this.count += keys.length;
    await this.me.press(...keys);
  }

  async type(text: string): Promise<void> {
    this.count += text.length;
    await this.me.type(text);
  }

  /** Presses a key until something of that name has the focus. */
  async to(name: string, ...keys: string[]): Promise<void> {
    for (let i = 0; i < 30; i++) {
      if ((await focused(this.me)) === name) return;
      await this.press(...keys);
    }
    throw new Error(`“${name}” is not reached; the focus is on “${await focused(this.me)}”`);
  }

  /** Waits until something of that name has the focus by itself. */
  async at(name: string): Promise<void> {
    await this.me.until(async () => expect(await focused(this.me)).toBe(name));
  }
}

describe("by keyboard alone", () => {
  let me: Designer;
  beforeAll(async () => {
    me = await Designer.at(given.browser, given.projects.address("").replace(/projects\/.*$/, ""));
  });
  afterAll(() => me.page.close());

  it(`from all projects to a component that is tried, in at most ${MOST} presses`, async () => {
    const hand = new Presser(me);
    await me.find("heading", "Projects");
    await hand.to("New project", "Tab");
    await hand.press("Enter");
    await hand.at("Name");
    await hand.type("Harbour");
    await hand.press("Enter");
    await hand.at("Harbour");
    await hand.to("New component", "Tab");
    await hand.press("Enter");
    // what has just been made is named first: no letter starts a tool
    await hand.at("Piece name");
    await hand.type("Bell");
    await hand.press("Enter");
    await hand.at("Bell");

    // a box, which is another way on the right
    await hand.type("bb");
    await me.find("treeitem", "Box");
    await hand.to("Box", "F6");
    await hand.to("Add trait", "Tab");
    await hand.press("Enter");
    await hand.at("Type a list of values…");
    for (let i = 0; i < 3; i++) await hand.press("ArrowDown");
    await hand.at("Checked: no, yes");
    await hand.press("Enter");
    await hand.at("Trait name");
    await hand.press("Enter");
    await hand.at("Checked");
    await hand.press("F6");
    await hand.press("F6");
    await hand.press("ArrowRight");
    await hand.type("120");
    await hand.press("Enter");
    expect(await me.cell("x", "checked")).toMatchObject({ text: "120", own: true });

    // a rule that takes it there, as rules are made without further ado
    await hand.to("Sheet", "Shift", "Tab");
    await hand.press("ArrowRight");
    await hand.to("Add rule on Box", "Tab");
    await hand.press("Enter");
    await hand.at("Source");
    await hand.press("F6");
    await hand.at("Box");
    await hand.press("Enter");
    await me.until(async () => expect(await me.text(".log")).toContain("Box click → Checked yes"));
    await me.saved();
    expect(hand.count).toBeLessThanOrEqual(MOST);
    expect(me.complaints).toEqual([]);
  });

  it("F6 goes through the parts and back, also out of a field, and comes to where one was", async () => {
    const hand = new Presser(me);
    await hand.press("Shift", "F6");
    await hand.at("Source");
    await hand.press("F6");
    await hand.at("Box");
    await hand.press("F6");
    await hand.at("Checked");
    await hand.press("F6");
    await hand.press("F6");
    await hand.at("Source");
  });

  it("the focus is never lost when what had it is gone", async () => {
    const hand = new Presser(me);
    await (await me.find("button", "Delete rule 1")).focus();
    await hand.press("Enter");
    await me.until(async () => expect(await me.page.$$(".rule")).toHaveLength(0));
    await me.until(async () => expect(await focused(me)).not.toBe("body"));

    // a value of a trait
    await me.click("button", "Undo");
    await (await me.find("button", "Checked")).focus();
    await hand.to("Delete value yes", "ArrowRight");
    await hand.press("Enter");
    await me.until(async () => expect(await me.page.$$(".card-variant")).toHaveLength(1));
    await me.until(async () => expect(await focused(me)).not.toBe("body"));

    // a button that is switched off by being used
    await me.click("button", "Undo");
    await (await me.find("button", "Redo")).focus();
    for (let i = 0; i < 20 && (await focused(me)) === "Redo"; i++) await hand.press("Enter");
    expect(await focused(me)).toBe("Undo");
  });

  it("tools are one stop of the Tab key, and arrows, Home and End go along them", async () => {
    const hand = new Presser(me);
    await (await me.find("button", "Insert box")).focus();
    await hand.press("ArrowRight");
    await hand.at("Insert ellipse");
    await hand.press("End");
    const last = await focused(me);
    await hand.press("ArrowRight");
    await hand.at("Insert box");
    await hand.press("ArrowLeft");
    await hand.at(last);
    await hand.press("Tab");
    expect(await me.page.evaluate(() => document.activeElement?.closest(".insert-row"))).toBeNull();
    await hand.press("Shift", "Tab");
    await hand.at(last);
  });

  it("letters act as keys only as long as one wants them to", async () => {
    const hand = new Presser(me);
    const layers = () => me.page.$$eval("[role=treeitem]", (all) => all.length);
    await me.click("button", "Shortcuts");
    await me.click("checkbox", "Use single letters as shortcuts");
    await hand.press("Escape");
    await me.page.waitForSelector(".modal", { hidden: true });
    const before = await layers();
    await hand.type("b");
    await me.click("button", "Shortcuts");
    await me.click("checkbox", "Use single letters as shortcuts");
    await hand.press("Escape");
    await me.page.waitForSelector(".modal", { hidden: true });
    await hand.at("Shortcuts");
    expect(await layers()).toBe(before);
    await hand.type("bb");
    await me.until(async () => expect(await layers()).toBe(before + 1));
  });

  it("where undo takes the whole page away, the focus is on the heading of what is there then", async () => {
    const hand = new Presser(me);
    await (await me.find("button", "Undo")).focus();
    for (let i = 0; i < 30 && (await focused(me)) === "Undo"; i++) await hand.press("Enter");
    await hand.at("Piece not found");
  });
});
