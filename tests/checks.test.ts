import { beforeAll, describe, expect, it } from "vitest";
import { becomes, Builder } from "./support/pieces";
import type { Designer } from "./support/designer";
import { givenDesk } from "./support/kit";

const LAMPS = 9;

/** A board of lamps, each switched by a click: more situations than are told of at once. */
const board = () => {
  const b = new Builder();
  const id = b.new("component", "Berth board");
  for (let i = 0; i < LAMPS; i++) {
    const at = { x: 10 + (i % 5) * 44, y: 10 + Math.floor(i / 5) * 44, width: 36, height: 36 };
    const lamp = b.layer("box", { ...at, fill: "#1f6f5c" });
    const lit = b.trait(`Lamp ${i + 1}`, "off", "on");
    const [off = "", on = ""] = Object.values(lit.v);
    b.look({ [lit.id]: [on] }, lamp, { fill: "#e3b341" });
    b.rule({ source: lamp, when: { [lit.id]: [off] }, effects: [becomes(lit.id, on)] });
    b.rule({ source: lamp, when: { [lit.id]: [on] }, effects: [becomes(lit.id, off)] });
  }
  return { id, project: b.project };
};

const { id, project } = board();
const desk = givenDesk(project);
let me: Designer;
beforeAll(() => {
  me = desk.me;
});

const status = () => me.page.$eval(".checked", (e) => e.textContent ?? "");

describe("a piece with many situations", () => {
  it("is told of after the first, goes on, and ends with all", async () => {
    await desk.go(id);
    await me.click("tab", "Checks");
    const further = /^Checked the first 6,\d{3} situations\. Checking further: ([\d,]+)…$/;
    await me.until(async () => expect(await status()).toMatch(further), 30_000);
    // what was found in the first can be read and mended meanwhile
    expect(await me.page.$$(".finding")).not.toEqual([]);
    const count = (text: string) => Number(further.exec(text)?.[1]?.replaceAll(",", "") ?? NaN);
    const first = count(await status());
    await me.until(async () => expect(count(await status())).toBeGreaterThan(first), 30_000);
    const all = /^Checked all ([\d,]+) situations with mouse, touch and keyboard\.$/;
    await me.until(async () => expect(await status()).toMatch(all), 90_000);
    expect(me.complaints).toEqual([]);
  }, 180_000);
});
