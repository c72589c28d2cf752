import type { Browser } from "puppeteer-core";
import { Person, sleep } from "./browser";

/** A person at the bench: knows the sheet, the tree and the scope bar. */
export class Designer extends Person {
  static async at(browser: Browser, url: string): Promise<Designer> {
    const designer = new Designer(await browser.newPage());
    await designer.page.goto(url, { waitUntil: "load" });
    return designer;
  }

  /** A value of the sheet, by property and variant, as it is written there. */
  cell(key: string, variant: string) {
    return this.page.evaluate((k, v) => {
      const heads = [...document.querySelectorAll(".sheet thead th")].map((h) => h.querySelector("button")?.textContent ?? "");
      const row = document.querySelector(`.sheet [data-key="${k}"]`)?.closest("tr");
      const td = row?.children[heads.indexOf(v)] as HTMLElement | undefined;
      return td && { text: td.querySelector(".cell-text")?.textContent, own: td.classList.contains("own"), from: td.querySelector(".from")?.textContent ?? "" };
    }, key, variant);
  }

  cellBox(key: string, variant: string): Promise<{ x: number; y: number; width: number; height: number }> {
    return this.until(async () => {
      const box = await this.page.evaluate((k, v) => {
        const heads = [...document.querySelectorAll(".sheet thead th")].map((h) => h.querySelector("button")?.textContent ?? "");
        const td = document.querySelector(`.sheet [data-key="${k}"]`)?.closest("tr")?.children[heads.indexOf(v)] as HTMLElement | undefined;
        td?.scrollIntoView({ block: "center", inline: "center" });
        const r = td?.getBoundingClientRect();
        return r ? { x: r.x, y: r.y, width: r.width, height: r.height } : null;
      }, key, variant);
      if (!box) throw new Error(`no cell ${key} of ${variant}`);
      return box;
    });
  }

  /** Goes to a cell with the mouse and types a value into it; texts and colours are replaced whole. */
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

  layerId(name: string): Promise<string> {
    return this.page.evaluate((n) => [...document.querySelectorAll("[data-line]")].find((e) => e.textContent?.trim() === n)?.getAttribute("data-line") ?? "", name);
  }

  chips(): Promise<{ text: string; on: boolean }[]> {
    return this.page.$$eval(".scope-chip", (all) => all.map((c) => ({ text: (c as HTMLElement).innerText.replaceAll("\n", " "), on: c.getAttribute("aria-checked") === "true" })));
  }

  async zoom(): Promise<number> { return Number.parseInt(await this.text(".zoom-bar .mono"), 10) / 100; }
}
