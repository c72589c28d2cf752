import { afterEach, beforeEach, expect } from "vitest";
import { emptyProject } from "#core/edit";
import type { Project } from "#core/project";
import { sleep } from "../support/browser";
import { Designer } from "../support/designer";
import { givenBrowser } from "../support/given";

export type Point = readonly [x: number, y: number];

/**
 * A hand whose doings are counted: each click, each drag, each chord of keys, and each text that is
 * typed in one go. Looking, scrolling and waiting are free.
 */
class CountedHand {
  readonly done: string[] = [];

  constructor(readonly me: Designer) {}

  get count(): number {
    return this.done.length;
  }

  async click(role: string, name: string, within = ""): Promise<void> {
    this.done.push(`click ${name}`);
    await this.me.click(role, name, within);
  }

  async clickAt([x, y]: Point, ...held: ("Control" | "Shift")[]): Promise<void> {
    this.done.push(`click at ${Math.round(x)}, ${Math.round(y)}`);
    for (const key of held) await this.me.page.keyboard.down(key);
    await this.me.page.mouse.click(x, y);
    for (const key of held) await this.me.page.keyboard.up(key);
  }

  async doubleClickAt([x, y]: Point): Promise<void> {
    this.done.push("double click");
    await this.me.page.mouse.click(x, y, { count: 2 });
  }

  async menuAt([x, y]: Point, item: string): Promise<void> {
    this.done.push("right click", `click ${item}`);
    await this.me.page.mouse.click(x, y, { button: "right" });
    await this.me.click("menuitem", item);
  }

  /** Chooses layers in the tree, the first alone and the others with it. */
  async choose(...names: readonly string[]): Promise<void> {
    for (const [i, name] of names.entries()) {
      const line = await (await this.me.find("treeitem", name)).boundingBox();
      if (!line) throw new Error(`${name} is not in sight`);
      const at: Point = [line.x + line.width / 2, line.y + line.height / 2];
      await (i === 0 ? this.clickAt(at) : this.clickAt(at, "Control"));
    }
  }

  async drag([x, y]: Point, byX: number, byY: number): Promise<void> {
    this.done.push("drag");
    await this.me.drag(x, y, byX, byY);
  }

  /** Goes back to the page one came from, as the browser's key does. */
  async back(): Promise<void> {
    this.done.push("Alt+ArrowLeft");
    await this.me.page.goBack();
  }

  async press(...keys: string[]): Promise<void> {
    this.done.push(keys.join("+"));
    await this.me.press(...keys);
  }

  async type(text: string): Promise<void> {
    this.done.push(`type ${text}`);
    await this.me.type(text);
  }

  /** Presses what asks for files, and chooses some of them there. */
  async files(button: string, ...paths: string[]): Promise<void> {
    this.done.push(`click ${button}`, `choose ${paths.length} files`);
    const [chooser] = await Promise.all([
      this.me.page.waitForFileChooser(),
      this.me.click("button", button),
    ]);
    await chooser.accept(paths);
  }

  /** Gives a cell of the sheet a value: a click, the text, and Enter. */
  async write(key: string, variant: string, text: string): Promise<void> {
    const box = await this.me.cellBox(key, variant);
    await this.clickAt([box.x + 20, box.y + box.height / 2]);
    await sleep(60);
    await this.type(text);
    await this.press("Enter");
  }

  /** Where something is that is to be met in its middle; looking costs nothing. */
  async middle(selector: string, nth = 0): Promise<Point> {
    return this.me.until(async () => {
      const box = await (await this.me.page.$$(selector))[nth]?.boundingBox();
      if (!box) throw new Error(`nothing at ${selector}`);
      return [box.x + box.width / 2, box.y + box.height / 2];
    });
  }

  /** Picks from a list of choices, or from a field that is typed into. */
  async pick(name: string, words: string, within = ""): Promise<void> {
    const field = await this.me.find("combobox", name, within);
    const isTyped = await field.evaluate((e) => e.tagName === "INPUT");
    this.done.push(`click ${name}`, ...(isTyped ? [`type ${words}`, "Enter"] : [`click ${words}`]));
    await this.me.pick(name, words, within);
  }

  /** Types a number into a field of a sentence. */
  async number(name: string, text: string, within = ""): Promise<void> {
    await this.click("textbox", name, within);
    await this.type(text);
    await this.press("Enter");
  }

  /** Draws a layer from corner to corner, px of the window. */
  async draw(kind: "box" | "ellipse" | "polygon", from: Point, width: number, height: number) {
    const before = (await this.me.page.$$("[role=treeitem]")).length;
    await this.click("button", kind === "polygon" ? "Insert triangle" : `Insert ${kind}`);
    await this.drag(from, width, height);
    await this.me.until(async () =>
      expect((await this.me.page.$$("[role=treeitem]")).length).toBeGreaterThan(before),
    );
  }

  /** Inserts an icon where one works: the first that is found for a word. */
  async icon(word: string): Promise<void> {
    await this.click("button", "Insert an icon");
    await this.type(word);
    await this.firstIcon();
  }

  /** Takes the first icon that was found. */
  async firstIcon(): Promise<void> {
    const found = ".panel-body [role=option]";
    await this.me.until(async () => expect(await this.me.page.$$(found)).not.toEqual([]));
    await this.press("Enter");
    await this.me.until(async () => expect(await this.me.page.$(found)).toBeNull());
  }

  /** Types a new text over the one at a place. */
  async typeOver(place: Point, text: string): Promise<void> {
    await this.doubleClickAt(place);
    await this.me.find("textbox", "Text of the layer");
    await this.type(text);
    await this.press("Escape");
    await this.me.until(async () => expect(await this.me.page.$(".type-over")).toBeNull());
  }

  /** Inserts a text in the middle of where one works, or where it is clicked. */
  async text(text: string, place?: Point): Promise<void> {
    await this.click("button", "Insert text");
    if (place) await this.clickAt(place);
    else await this.press("Enter");
    await this.me.find("textbox", "Text of the layer");
    await this.type(text);
    await this.press("Escape");
    await this.me.find("treeitem", text);
  }

  /** Adds a trait that is typed in one go, and waits for so many cards. */
  async trait(text: string, cards: number): Promise<void> {
    await this.click("button", "Add trait");
    await this.click("button", "Type a list of values…");
    await this.me.find("textbox", "Trait name and values");
    await this.type(text);
    await this.press("Enter");
    await this.me.until(async () =>
      expect(await this.me.page.$$(".card-variant")).toHaveLength(cards),
    );
  }

  /** Adds ready-made behaviour for what is chosen: what is proposed first, or the one named. */
  async readyMade(name?: string): Promise<void> {
    await this.click("button", "Ready-made behaviour…");
    if (name !== undefined) await this.click("button", name, ".modal");
    await this.click("button", "Add", ".modal");
    await this.me.until(async () => expect(await this.me.page.$(".modal")).toBeNull());
  }

  /** The middle of a layer on a card. */
  async layer(name: string, nth = 0): Promise<Point> {
    return this.middle(`.card-variant [data-layer="${await this.me.layerId(name)}"]`, nth);
  }

  /** Places the component on a new screen, and goes there. */
  async placeOnNewScreen(): Promise<void> {
    await this.click("button", "Place on screen");
    await this.click("button", "New screen");
    await this.me.find("heading", "Screen");
    await this.me.box(".card-variant svg [data-layer]");
  }

  /** Makes a component, and waits until it can be drawn on. */
  async newComponent(): Promise<void> {
    await this.click("button", "New component");
    await this.me.find("tree", "Layers");
    await this.me.box(".card-variant");
  }

  /** Goes to Play, and waits until it runs. */
  async play(): Promise<void> {
    await this.click("link", "Play");
    await this.me.box(".play-host svg [data-layer]");
  }

  /** No more was done than is said, and the browser had nothing to complain of. */
  expectAtMost(most: number): void {
    expect(this.count, this.done.join("\n")).toBeLessThanOrEqual(most);
    expect(this.me.complaints).toEqual([]);
  }
}

interface Job {
  readonly hand: CountedHand;
  readonly me: Designer;
  /** the project as it is kept, once it is saved */
  kept(): Promise<Project>;
}

/** A hand at an empty project, a new one for each test. */
export const givenHand = (): Job => {
  const given = givenBrowser();
  const at = {} as { -readonly [K in keyof Job]: Job[K] };
  beforeEach(async () => {
    const id = await given.projects.fresh(emptyProject("Jobs of the trade"));
    at.me = await Designer.at(given.browser, given.projects.address(id));
    at.hand = new CountedHand(at.me);
    at.kept = async () => (await given.projects.kept(id)) ?? emptyProject("gone");
    await at.me.find("button", "New component");
  });
  afterEach(async ({ task }) => {
    if (task.result?.state === "fail" && process.env.NUBBLE_SHOT)
      await at.me.page.screenshot({ path: process.env.NUBBLE_SHOT });
    await at.me.page.close();
  });
  return at;
};
