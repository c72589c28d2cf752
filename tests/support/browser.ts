import { rmSync } from "node:fs";
import { setTimeout as sleep } from "node:timers/promises";
import puppeteer from "puppeteer-core";
import type { Browser, ElementHandle, Page, Point } from "puppeteer-core";
import { expect } from "vitest";
import { makeScratch } from "../../scripts/run/scratch";
import { filmOf, shownIn } from "./film";
import type { Box, Frame, Shown } from "./film";

/** Debian's Chromium without its own windows, and without anything that would call out. */
export const launch = async (): Promise<{ browser: Browser; close: () => Promise<void> }> => {
  const profile = makeScratch("chromium");
  const browser = await puppeteer.launch({
    executablePath: "/usr/bin/chromium-headless-shell",
    userDataDir: profile,
    defaultViewport: { width: 1280, height: 800 },
    args: [
      "--headless",
      "--no-sandbox",
      "--disable-gpu",
      "--disable-quic",
      "--no-first-run",
      "--disable-background-networking",
      "--disable-component-update",
      "--disable-sync",
      // letters are as wide as their font says, as in a window
      "--font-render-hinting=none",
    ],
  });
  return {
    browser,
    close: async () => {
      await browser.close();
      rmSync(profile, { recursive: true, force: true, maxRetries: 5 });
    },
  };
};

export { sleep };
export type { Box };

/** What moves is elsewhere after so long, ms. */
const FRAME_MS = 17;

/** What one presses of a radio button that lies under its label. */
const labelOf = async (radio: ElementHandle): Promise<ElementHandle> => {
  const label = await radio.evaluateHandle((e) => (e as HTMLInputElement).labels?.[0] ?? e);
  return label.asElement() as ElementHandle;
};

/** Where one presses an element; null while it moves, and while something lies over it. */
const pointAtRest = async (element: ElementHandle): Promise<Point | null> => {
  await element.scrollIntoView();
  const point = await element.clickablePoint();
  const isOnTop = await element.evaluate((e, { x, y }) => {
    const hit = document.elementFromPoint(x, y);
    const labels = [...((e as HTMLInputElement).labels ?? [])];
    return [e, ...labels].some((one) => one.contains(hit));
  }, point);
  await sleep(FRAME_MS);
  const later = await element.clickablePoint();
  return isOnTop && later.x === point.x && later.y === point.y ? later : null;
};

/**
 * A person at a window: finds things by what they are called, uses mouse and keyboard, and notes
 * what the console complains of.
 */
export class Person {
  readonly complaints: string[] = [];
  /** what the browser asked; always answered with yes */
  readonly dialogs: string[] = [];

  constructor(readonly page: Page) {
    page.on("console", (m) => {
      if (["error", "warn"].includes(m.type())) this.complaints.push(m.text());
    });
    page.on("dialog", (dialog) => {
      this.dialogs.push(dialog.type());
      void dialog.accept();
    });
    page.on("pageerror", (e) => this.complaints.push(String(e)));
    // what the page's policy forbids is not always said on the console
    void page.evaluateOnNewDocument(() => {
      document.addEventListener("securitypolicyviolation", (e) =>
        console.error(`forbidden: ${e.effectiveDirective} ${e.blockedURI} ${e.sample}`),
      );
    });
  }

  static async open(browser: Browser, url: string): Promise<Person> {
    const person = new Person(await browser.newPage());
    await person.page.goto(url, { waitUntil: "load" });
    return person;
  }

  /** Tries until it does not throw, or gives up with the last reason. */
  async until<T>(what: () => Promise<T>, ms = 15_000): Promise<T> {
    const end = Date.now() + ms;
    for (;;) {
      try {
        return await what();
      } catch (error) {
        if (Date.now() > end) throw error;
        await sleep(40);
      }
    }
  }

  /** The element with a role and an accessible name. */
  find(role: string, name: string, within = ""): Promise<ElementHandle> {
    return this.until(async () => {
      const all = await this.page.$$(`${within} ::-p-aria([name="${name}"][role="${role}"])`);
      for (const e of all) if (await e.isVisible()) return e;
      throw new Error(`there is no ${role} “${name}”${within && ` in ${within}`}`);
    });
  }

  async click(role: string, name: string, within = ""): Promise<void> {
    const { x, y } = await this.until(async () => {
      const found = await this.find(role, name, within);
      // people wait for what cannot be pressed yet
      if (await found.evaluate((e) => e.matches(":disabled"))) throw new Error(`“${name}” is off`);
      const point = await pointAtRest(role === "radio" ? await labelOf(found) : found);
      if (!point) throw new Error(`“${name}” moves, or something lies over it`);
      return point;
    });
    await this.page.mouse.click(x, y);
  }

  async pick(name: string, words: string, within = ""): Promise<void> {
    const select = await this.find("combobox", name, within);
    // a field among many choices: typed into, as people do
    if (await select.evaluate((s) => s.tagName === "INPUT")) {
      await select.click();
      await this.type(words);
      await this.until(async () => {
        if (
          !(await this.page.$$eval("[role=option]", (all, w) => all[0]?.textContent === w, words))
        )
          throw new Error(`${name} does not offer “${words}” first`);
      });
      await this.press("Enter");
      return;
    }
    const value = await select.evaluate(
      (s, w) => [...(s as HTMLSelectElement).options].find((o) => o.text === w)?.value,
      words,
    );
    if (value === undefined) throw new Error(`${name} does not offer “${words}”`);
    await (select as ElementHandle<HTMLSelectElement>).select(value);
  }

  async type(text: string): Promise<void> {
    await this.page.keyboard.type(text);
  }
  async press(...keys: string[]): Promise<void> {
    for (const key of keys.slice(0, -1)) await this.page.keyboard.down(key as "Shift");
    await this.page.keyboard.press((keys.at(-1) ?? "") as "Enter");
    for (const key of keys.slice(0, -1).reverse()) await this.page.keyboard.up(key as "Shift");
  }

  async drag(fromX: number, fromY: number, byX: number, byY: number): Promise<void> {
    await this.page.mouse.move(fromX, fromY);
    await this.page.mouse.down();
    await this.page.mouse.move(fromX + byX / 2, fromY + byY / 2, { steps: 4 });
    await this.page.mouse.move(fromX + byX, fromY + byY, { steps: 4 });
    await this.page.mouse.up();
  }

  async box(selector: string): Promise<Box> {
    return this.until(async () => {
      const box = await (await this.page.$(selector))?.boundingBox();
      if (!box) throw new Error(`nothing at ${selector}`);
      return box;
    });
  }

  async layer(host: string, id: string): Promise<Shown | null> {
    return (await shownIn(this.page, host, [id]))[0] ?? null;
  }

  layers(host: string, ids: readonly string[]): Promise<Frame> {
    return shownIn(this.page, host, ids);
  }

  film(
    host: string,
    ids: readonly string[],
    act: () => Promise<unknown>,
    putBack: () => Promise<unknown>,
  ): Promise<readonly Frame[]> {
    return filmOf(this.page, { host, ids }, act, putBack);
  }

  text(selector: string): Promise<string> {
    return this.page.$eval(selector, (e) => (e as HTMLElement).innerText);
  }

  async saved(): Promise<void> {
    await this.until(async () => expect(await this.text(".save")).toBe("Saved"));
  }

  /** What does not fit: text cut off without being told to, and pages wider than the window. */
  overflow(): Promise<string[]> {
    return this.page.evaluate(() => {
      const out: string[] = [];
      if (document.documentElement.scrollWidth > window.innerWidth)
        out.push(`the page is ${document.documentElement.scrollWidth} px wide`);
      for (const e of document.querySelectorAll<HTMLElement>(
        "button, a, h1, h2, label, .tree-name, .card-name, .line-name, th button",
      )) {
        const style = getComputedStyle(e);
        if (
          e.offsetParent &&
          e.scrollWidth > e.clientWidth + 1 &&
          style.display !== "inline" &&
          style.textOverflow !== "ellipsis" &&
          style.overflowX !== "auto"
        )
          out.push(`${e.tagName} “${e.innerText}” is cut off`);
      }
      return out;
    });
  }
}
