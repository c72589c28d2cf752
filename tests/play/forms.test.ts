import { beforeAll, describe, expect, it } from "vitest";
import { sleep } from "../support/browser";
import type { Designer } from "../support/designer";
import { givenDesk } from "../support/kit";

const desk = givenDesk();
let me: Designer;
beforeAll(() => {
  me = desk.me;
});

const host = ".play-host";
const layer = (id: string) => `${host} [data-layer="${id}"]`;
const click = async (id: string) => {
  const b = await me.box(layer(id));
  await me.page.mouse.click(b.x + b.width / 2, b.y + b.height / 2);
};
/** What is painted, and what stands in the fields laid over it. */
const reads = (words: string) =>
  me.until(async () =>
    expect(
      await me.page.$$eval(`${host} text, ${host} :is(input, textarea)`, (all) =>
        all
          .map((t) => (t instanceof HTMLElement ? (t as HTMLInputElement).value : t.textContent))
          .join(" "),
      ),
    ).toContain(words),
  );

describe("an overlay with a form, in Play", () => {
  it("opens over the screen, takes what is typed, is sent and thanks", async () => {
    await me.page.goto(`${desk.address}/play/trip-settings`, { waitUntil: "load" });
    await me.until(async () => {
      if (!(await me.page.$(layer("tell")))) throw new Error("not there yet");
    });
    await click("tell");
    await reads("Ship");
    await sleep(300);
    await click("ship-hint");
    // r is a key of the page, too: while one fills in, it is a letter
    await me.type("MS Eider");
    await reads("MS Eider");
    // where one types shows
    expect(await me.page.$eval(`${host} .focus-ring`, (r) => r.getAttribute("visibility"))).toBe(
      "visible",
    );
    await me.press("Enter");
    await reads("Sending");
    await reads("Thank you");
  });

  it("is closed by the cross inside its component, by Escape, and by a press outside; beneath it nothing answers", async () => {
    const gone = () => me.until(async () => expect(await me.page.$(layer("~notice"))).toBeNull());
    await click("close");
    await gone();
    await click("tell");
    await reads("Ship");
    await sleep(300);
    await me.press("Escape");
    await gone();
    await click("tell");
    await reads("Ship");
    await sleep(300);
    const box = await me.box(layer("delays"));
    await me.page.mouse.click(box.x + box.width / 2, box.y + box.height + 340);
    await gone();
    expect(me.complaints).toEqual([]);
  });
});

describe("in Try", () => {
  it("the stand-in is told to fail, and what was written is kept", async () => {
    await desk.go("service-notice");
    await me.click("radio", "Fail");
    const send = await me.box('.try-host [data-layer="send"]');
    await me.page.mouse.click(send.x + send.width / 2, send.y + send.height / 2);
    await me.until(async () => expect(await me.text(".log")).toContain("failed → Sent failed"));
    await me.until(async () =>
      expect(
        await me.page.$$eval(".try-host text", (all) => all.map((t) => t.textContent).join(" ")),
      ).toContain("Send again"),
    );
  });

  it("a deck is dragged: the card follows the hand and comes back when it is released too early", async () => {
    await desk.go("sailing-card-deck");
    const front = () =>
      me.page.$eval('[aria-label="Front in Try"] :checked + *', (e) => e.textContent);
    const card = await me.box('.try-host [data-layer="gull"]');
    const pull = async (by: number, slow: boolean) => {
      await me.page.mouse.move(card.x + 80, card.y + 90);
      await me.page.mouse.down();
      for (let i = 1; i <= 8; i++) {
        await me.page.mouse.move(card.x + 80 + (by * i) / 8, card.y + 90);
        if (slow) await sleep(40);
      }
      if (slow) await sleep(150);
      await me.page.mouse.up();
    };
    await pull(24, true);
    await me.until(async () => expect(await me.text(".log")).toContain("released too early"));
    expect(await front()).toBe("Gull Isle");
    await sleep(300);
    await pull(150, true);
    await me.until(async () => expect(await front()).toBe("Saltholm"));
  });
});
