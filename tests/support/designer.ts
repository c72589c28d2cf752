import type { Browser } from "puppeteer-core";
import { expect } from "vitest";
import { Person, sleep } from "./browser";

/** A person at the bench: knows the sheet, the tree and the scope bar. */
export class Designer extends Person {
  static async at(browser: Browser, url: string): Promise<Designer> {
    const designer = new Designer(await browser.newPage());
    await designer.page.goto(url, { waitUntil: "load" });
    return designer;
  }

  /**
   * Scrolls the sheet until a row and a variant's column are there: only what is in sight is in the
   * page.
   */
  private async reveal(key: string, variant: string): Promise<string> {
    const found = await this.page.evaluate(
      async (k, v) => {
        const sheet = document.querySelector(".sheet");
        if (!sheet) return null;
        const frame = () =>
          new Promise((r) => requestAnimationFrame(() => requestAnimationFrame(r)));
        const head = () =>
          [...document.querySelectorAll<HTMLElement>(".sheet [data-variant-head]")].find(
            (h) => h.textContent === v,
          )?.dataset.variantHead;
        for (const turn of [false, true]) {
          if (turn) {
            sheet.scrollTop = 0;
            sheet.scrollLeft = 0;
            await frame();
          }
          for (
            let i = 0;
            i < 60 &&
            !document.querySelector(`.sheet [data-row="${k}"]`) &&
            sheet.scrollTop + sheet.clientHeight < sheet.scrollHeight - 1;
            i++
          ) {
            sheet.scrollTop += 90;
            await frame();
          }
          for (
            let i = 0;
            i < 60 &&
            head() === undefined &&
            sheet.scrollLeft + sheet.clientWidth < sheet.scrollWidth - 1;
            i++
          ) {
            sheet.scrollLeft += 150;
            await frame();
          }
          if (document.querySelector(`.sheet [data-row="${k}"]`) && head() !== undefined) break;
        }
        const of = head();
        const cell =
          of === undefined
            ? null
            : document.querySelector<HTMLElement>(`.sheet [data-key="${k}"][data-of="${of}"]`);
        cell?.scrollIntoView({ block: "center", inline: "center" });
        await frame();
        return cell ? of : null;
      },
      key,
      variant,
    );
    if (found == null) throw new Error(`no cell ${key} of ${variant}`);
    return `.sheet [data-key="${key}"][data-of="${found}"]`;
  }

  /** A value of the sheet, by property and variant, as it is written there. */
  async cell(key: string, variant: string) {
    const selector = await this.reveal(key, variant).catch(() => null);
    return selector === null
      ? undefined
      : this.page.$eval(selector, (td) => ({
          text: td.querySelector(".cell-text")?.textContent,
          own: td.classList.contains("own"),
          from: td.querySelector(".from")?.textContent ?? "",
        }));
  }

  cellBox(
    key: string,
    variant: string,
  ): Promise<{ x: number; y: number; width: number; height: number }> {
    return this.until(async () => {
      const selector = await this.reveal(key, variant);
      return this.page.$eval(selector, (td) => {
        const r = td.getBoundingClientRect();
        return { x: r.x, y: r.y, width: r.width, height: r.height };
      });
    });
  }

  /**
   * Goes to a cell with the mouse and types a value into it; texts and colours are replaced whole.
   */
  async write(key: string, variant: string, text: string): Promise<void> {
    const box = await this.cellBox(key, variant);
    await this.page.mouse.click(box.x + 20, box.y + box.height / 2);
    await sleep(60);
    if (key === "fill" || key === "text") {
      await this.press("Enter");
      await this.press("Control", "a");
    }
    await this.type(text);
    await this.press("Enter");
  }

  async rename(from: string, to: string): Promise<void> {
    await this.click("treeitem", from);
    await this.press("F2");
    await this.press("Control", "a");
    await this.type(to);
    await this.press("Enter");
    await this.find("treeitem", to);
  }

  /** Puts a new layer where one works, as large as they usually are. */
  async insert(kind: "box" | "ellipse" | "text"): Promise<void> {
    await this.click("button", `Insert ${kind}`);
    await this.press("Enter");
    if (kind !== "text") return;
    await this.find("textbox", "Text of the layer");
    await this.press("Escape");
  }

  /** Chooses layers of the tree, the first alone and the others with it. */
  async choose(...names: string[]): Promise<void> {
    await this.click("treeitem", names[0] as string);
    if (names.length < 2) return;
    await this.page.keyboard.down("Control");
    for (const name of names.slice(1)) await this.click("treeitem", name);
    await this.page.keyboard.up("Control");
  }

  /** Moves a layer on the stage by ten, by keys, as often as is said. */
  async nudge(layer: string, times = 1): Promise<void> {
    await this.click("treeitem", layer);
    await this.page.evaluate(() => (document.activeElement as HTMLElement).blur());
    for (let i = 0; i < times; i++) await this.press("Shift", "ArrowRight");
  }

  /** Drags a line of the tree onto another: into it, or above or below. */
  async dragLine(name: string, onto: string, where: "into" | "above" | "below"): Promise<void> {
    const from = await (await this.find("treeitem", name)).boundingBox();
    const to = await (await this.find("treeitem", onto)).boundingBox();
    if (!from || !to) throw new Error("no line");
    const y = to.y + to.height * { above: 0.12, into: 0.5, below: 0.88 }[where];
    await this.page.mouse.move(from.x + 60, from.y + from.height / 2);
    await this.page.mouse.down();
    await this.page.mouse.move(from.x + 66, from.y + from.height / 2 + 8, { steps: 3 });
    await this.page.mouse.move(to.x + 66, y, { steps: 6 });
    await sleep(60);
    await this.page.mouse.up();
  }

  /** Opens the menu of a layer in the tree and picks from it. */
  async menu(layer: string, item: string): Promise<void> {
    const line = await this.find("treeitem", layer);
    await line.click({ button: "right" });
    await this.click("menuitem", item);
  }

  /** Pastes text as the keyboard would, whatever the clipboard of this browser allows. */
  async pasteText(text: string): Promise<void> {
    await this.page.evaluate((t) => {
      const data = new DataTransfer();
      data.setData("text/plain", t);
      window.dispatchEvent(
        new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }),
      );
    }, text);
  }

  /** Writes several cells of one variant one after the other. */
  async fill(variant: string, values: Readonly<Record<string, string>>): Promise<void> {
    for (const [key, text] of Object.entries(values)) {
      await this.write(key, variant, text);
      await this.until(async () =>
        expect(await this.cell(key, variant)).toMatchObject({ own: true }),
      );
    }
  }

  layerId(name: string): Promise<string> {
    return this.page.evaluate(
      (n) =>
        [...document.querySelectorAll("[data-line]")]
          .find((e) => e.textContent?.trim() === n)
          ?.getAttribute("data-line") ?? "",
      name,
    );
  }

  chips(): Promise<{ text: string; on: boolean }[]> {
    return this.page.$$eval(".btn-chip", (all) =>
      all.map((c) => ({
        text: (c as HTMLElement).innerText.replaceAll("\n", " "),
        on: c.matches(":checked + *"),
      })),
    );
  }

  async zoom(): Promise<number> {
    return Number.parseInt(await this.text(".zoom-bar > .mono"), 10) / 100;
  }
}
