import { beforeAll, describe, expect, it } from "vitest";
import { rulesOf } from "#core/machine";
import { inOrder } from "#core/project";
import type { Piece } from "#core/project";
import { sleep } from "./support/browser";
import type { Designer } from "./support/designer";
import { givenDesk, kitWithBellOfVariants } from "./support/kit";
import { savedProject } from "./support/saved";

/** The kit with the looks of two parts, and no behaviour in them. */
const looksOnly = () => {
  const kit = kitWithBellOfVariants();
  const tabs = kit.pieces["deck-tabs"] as Piece;
  return { ...kit, pieces: { ...kit.pieces, "deck-tabs": { ...tabs, rules: {}, rehearsals: {} } } };
};

const desk = givenDesk(looksOnly());
let me: Designer;
let actions = 0;
beforeAll(async () => {
  me = desk.me;
  await me.page.setViewport({ width: 1600, height: 1000 });
});

/** One thing a person does with mouse or keyboard, counted. */
const act = async (what: () => Promise<unknown>): Promise<void> => {
  actions++;
  await what();
  await sleep(60);
};
const rule = (n: number) => `.rules .rule[data-rule]:nth-child(${n})`;
const make = async (words: string) => {
  await me.until(async () => {
    for (const item of await me.page.$$(".ready-made-list button"))
      if ((await item.evaluate((i) => i.textContent ?? "")).startsWith(words)) return item.click();
    throw new Error(`nothing ready-made called ${words}`);
  });
  await me.click("button", "Add");
  await me.page.waitForSelector(".modal", { hidden: true });
};
const card = (variant: string) => me.box(`[data-variant="${variant}"]`);
/** Draws a wire from the socket to a card. */
const wireTo = async (variant: string) => {
  const socket = await me.box(".card-variant.active .socket");
  const to = await card(variant);
  await me.page.mouse.move(socket.x + 8, socket.y + 8);
  await me.page.mouse.down();
  await me.page.mouse.move(to.x + to.width / 2, to.y + 40, { steps: 6 });
  await me.page.mouse.up();
  await me.find("group", "Add rule");
};
const middle = async (layer: string) => {
  const b = await me.box(`.try-host [data-layer="${layer}"]`);
  return [b.x + b.width / 2, b.y + b.height / 2] as const;
};
const shown = (trait: string) =>
  me.page.$eval(`[aria-label="${trait} in Try"] :checked + *`, (e) => e.textContent);
const piece = async (id: string): Promise<Piece> => (await savedProject(desk)).pieces[id] as Piece;
const openTab = (begins: string) =>
  me.until(async () => {
    for (const tab of await me.page.$$("[role=tab]"))
      if ((await tab.evaluate((t) => t.textContent ?? "")).startsWith(begins)) return tab.click();
    throw new Error(`no tab ${begins}`);
  });

describe("wiring parts from their looks", () => {
  it("Deck tabs, in no more than twelve actions", async () => {
    await desk.go("deck-tabs");
    actions = 0;
    await act(() => me.click("treeitem", "Car tab"));
    await me.page.keyboard.down("Control");
    await act(() => me.click("treeitem", "Saloon tab"));
    await act(() => me.click("treeitem", "Sun tab"));
    await me.page.keyboard.up("Control");
    await act(() => me.click("tab", "Rules"));
    await act(() => me.click("button", "Ready-made behaviour…"));
    await act(() => make("One layer per value: Deck"));
    expect(actions).toBeLessThanOrEqual(12);
    for (const [tab, deck] of [
      ["sun-tab", "Sun"],
      ["saloon-tab", "Saloon"],
      ["car-tab", "Car"],
    ] as const) {
      await me.page.mouse.click(...(await middle(tab)));
      await me.until(async () => expect(await shown("Deck")).toBe(deck));
    }
  });

  it("Route bell, in no more than twenty-five: hovered, wiggling once, filled with a swell, emptied", async () => {
    await desk.go("route-bell");
    await sleep(500);
    actions = 0;
    const still = "wiggle-still";
    const rest = `rings-no.contact-none.${still}.swell-no`;
    const full = `rings-yes.contact-none.${still}.swell-no`;
    const swollen = `rings-yes.contact-none.${still}.swell-yes`;
    await act(() => me.click("tab", "Rules"));
    await act(() => me.click("button", "Ready-made behaviour…"));
    await act(() => make("Contact"));
    await act(() => me.click("button", "Ready-made behaviour…"));
    await act(() => make("Advance Wiggle automatically, in a loop"));
    // it begins when the pointer comes, not by itself; the other steps come quickly
    await act(() => me.pick("Trigger", "When … gets the pointer", rule(2)));
    await act(() => me.click("button", "Rule 3"));
    await me.page.keyboard.down("Shift");
    await act(() => me.click("button", "Rule 5"));
    await me.page.keyboard.up("Shift");
    await act(async () => {
      await (await me.find("textbox", "Wait of all, in milliseconds")).click();
      await me.type("80");
      await me.press("Enter");
    });
    await act(() => me.page.mouse.click(1300, 900));
    // filled with a swell, which settles; and emptied again
    await act(() => me.page.click(`[data-variant="${rest}"] .card-name`));
    await act(() => wireTo(swollen));
    await act(() => me.pick("Trigger", "is clicked", ".wire-panel"));
    await act(() => me.press("Enter"));
    await act(() => me.page.click(`[data-variant="${swollen}"] .card-name`));
    await act(() => wireTo(full));
    await act(() => me.pick("Trigger", "settles", ".wire-panel"));
    await act(() => me.press("Enter"));
    await act(() => me.page.click(`[data-variant="${full}"] .card-name`));
    await act(() => wireTo(rest));
    await act(() => me.pick("Trigger", "is clicked", ".wire-panel"));
    await act(() => me.press("Enter"));
    expect(actions).toBeLessThanOrEqual(25);
    await me.saved();
    const made = await piece("route-bell");
    expect(inOrder(made.rules)).toHaveLength(8);
    expect(rulesOf(looksOnly(), made)).toHaveLength(8);

    const [x, y] = await middle("ground");
    await me.page.mouse.move(x, y);
    await me.until(async () => expect(await me.text(".log")).toContain("Wiggle back"));
    await me.page.mouse.click(x, y);
    await me.until(async () =>
      expect([await shown("Rings"), await shown("Swell")]).toEqual(["yes", "no"]),
    );
    await me.page.mouse.click(x, y);
    await me.until(async () => expect(await shown("Rings")).toBe("no"));
    await sleep(400);
    expect(await shown("Wiggle")).toBe("still");
  });
});

describe("checks and rehearsals on the bench", () => {
  it("what is done in Try becomes a rehearsal, which fails when the part is broken and passes when that is undone", async () => {
    await desk.go("alert-switch");
    await me.click("button", "Record");
    const [x, y] = await middle("track");
    await me.page.mouse.click(x, y);
    await sleep(300);
    await me.click("button", "Stop");
    const steps = await me.until(async () => {
      const all = await me.page.$$eval(".steps .step-words", (s) => s.map((e) => e.textContent));
      if (all.length < 2) throw new Error("no steps");
      return all;
    });
    expect(steps.join("; ")).toContain("click");
    expect(steps.at(-1)).toContain("expect Alerts");
    await me.until(async () =>
      expect(await me.page.$$eval(".rehearsal-list .result.passed", (a) => a.length)).toBe(6),
    );
    await me.click("tab", "Rules 2");
    await (await me.page.$$(".rule .form-check-input"))[1]?.click();
    await me.until(async () =>
      expect(
        await me.page.$$eval("[role=tab]", (t) => t.map((e) => e.textContent).join(" ")),
      ).toMatch(/Rehearsals \d of 6/),
    );
    await me.press("Control", "z");
    await me.until(async () =>
      expect(
        await me.page.$$eval("[role=tab]", (t) => t.map((e) => e.textContent).join(" ")),
      ).toMatch(/Rehearsals 6/),
    );
  });

  it("a forgotten way is found in words, shown in Try, accepted with a reason or mended", async () => {
    await desk.go("deck-tabs");
    await me.click("tab", "Rules 3");
    await (await me.page.$$(".rule .form-check-input"))[0]?.click();
    await openTab("Checks");
    await me.until(async () =>
      expect(await me.text(".checks")).toContain("nothing leads back to Car"),
    );
    await me.click("button", "Play in Try");
    await me.until(async () => expect(await shown("Deck")).not.toBe("Car"));
    await me.click("button", "Accept…");
    await me.type("Cars come first and once");
    await me.press("Enter");
    await me.until(async () =>
      expect(await me.text(".checks")).toContain("Cars come first and once"),
    );
    await me.click("button", "Reopen");
    await me.press("Control", "z");
    await me.press("Control", "z");
    await me.press("Control", "z");
    await me.until(async () => expect(await me.text(".checks")).toContain("No findings"));
  });

  it("the map is live: it lights where the running copy is, shows a variant at a click and opens the rule of a way", async () => {
    await desk.go("menu-button");
    await me.click("tab", "Map");
    const place = (name: string) =>
      me.until(async () => {
        for (const p of await me.page.$$(".place"))
          if ((await p.evaluate((e) => (e.querySelector(".place-name") ?? e).textContent)) === name)
            return p;
        throw new Error(`no place ${name}`);
      });
    await (await place("open, hovered")).click();
    await me.until(async () =>
      expect(await (await place("open, hovered")).evaluate((e) => e.className)).toContain("now"),
    );
    expect([await shown("Open"), await shown("Contact")]).toEqual(["yes", "hovered"]);
    await me.page.evaluate(() =>
      (document.querySelector(".react-flow__edge.way:not(.undone)") as SVGElement).dispatchEvent(
        new MouseEvent("click", { bubbles: true }),
      ),
    );
    await me.until(async () =>
      expect(await me.page.$$eval(".rule.chosen", (r) => r.length)).toBeGreaterThan(0),
    );
  });

  it("rehearsals run at once, those of a piece and those of the whole project, with what came of them by piece", async () => {
    await desk.go("alert-switch");
    await openTab("Rehearsals");
    await me.click("button", "Run");
    await me.until(async () => expect(await me.text(".rehearsals")).toMatch(/Passed, in \d+ ms/));
    await me.click("button", "Run all");
    await me.until(async () =>
      expect(await me.text(".rehearsals")).toMatch(/All passed, in \d+ ms/),
    );
    await me.page.goto(desk.address, { waitUntil: "load" });
    const results = "section[aria-labelledby=rehearsals-title]";
    await me.until(async () => {
      // a press before the page's script has come is lost
      const button = await me.page.$(`${results} ::-p-text(Run all)`);
      await button?.click();
      await sleep(300);
      expect(await me.text(results)).not.toContain("6 to run");
    });
    await me.until(async () => expect(await me.text(results)).toMatch(/All \d+ passed\./));
    expect(
      await me.page.$$eval(".rehearsal-results .result.passed", (all) => all.length),
    ).toBeGreaterThan(12);
    await desk.go("alert-switch");
  });

  it("among many layers one types a few letters to find the one meant", async () => {
    await desk.go("ticket");
    await openTab("Rules");
    await me.click("button", "Add rule");
    const source = await me.find("combobox", "Effect");
    expect(await source.evaluate((e) => e.tagName)).toBe("INPUT");
    await source.click();
    await me.type("menu op");
    await me.until(async () =>
      expect(await me.page.$$eval("[role=option]", (all) => all.map((o) => o.textContent))).toEqual(
        ["Menu: Open"],
      ),
    );
    await me.press("Enter");
    await me.until(async () =>
      expect(await source.evaluate((e) => (e as HTMLInputElement).value)).toBe("Menu: Open"),
    );
    await source.click();
    await me.type("zzz");
    await me.press("Escape");
    expect(await source.evaluate((e) => (e as HTMLInputElement).value)).toBe("Menu: Open");
  });

  it("fits the window and leaves the console quiet", async () => {
    for (const [w, h] of [
      [1280, 800],
      [1600, 1000],
    ] as const) {
      await me.page.setViewport({ width: w, height: h });
      for (const tab of ["Rules", "Map", "Checks", "Rehearsals"]) {
        await openTab(tab);
        await sleep(300);
        expect(await me.overflow()).toEqual([]);
      }
    }
    expect(me.complaints).toEqual([]);
  });
});
