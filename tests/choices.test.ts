import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { walkChoices, walkSheet } from "./support/choices";
import type { Designer } from "./support/designer";
import { openDesk } from "./support/kit";
import type { Desk } from "./support/kit";

let desk: Desk;
let me: Designer;
beforeAll(async () => {
  desk = await openDesk();
  me = desk.me;
});
afterAll(() => desk.close());

describe("every choice that is offered does something", () => {
  it("in the rules, and in what comes with each trigger and effect", async () => {
    await desk.go("fare-panel");
    await me.click("tab", "Rules 1");
    await me.page.waitForSelector("[data-rule]");
    const { made, idle } = await walkChoices(me, "[data-rule]", ["Trigger", "Effect"]);
    expect(idle).toEqual([]);
    expect(made).toBeGreaterThan(60);
  });

  it("in Timing", async () => {
    await desk.timing("fare-panel", "other");
    await me.page.waitForSelector(".timing .lane-row");
    const { made, idle } = await walkChoices(me, ".timing");
    expect(idle).toEqual([]);
    expect(made).toBeGreaterThan(20);
  });

  it("in Try", async () => {
    await desk.go("fare-panel");
    await me.page.waitForSelector(".try select");
    const { made, idle } = await walkChoices(me, ".try");
    expect(idle).toEqual([]);
    expect(made).toBeGreaterThan(5);
  });

  it.each([
    ["fare-panel", "Head", "fill"],
    ["fare-panel", "Title", "fill"],
    ["fare-panel", "Season switch", "component"],
  ])("in the sheet: %s, %s", async (piece, layer, key) => {
    await desk.go(piece);
    await me.click("tab", "Sheet");
    await me.click("treeitem", layer);
    await me.page.waitForSelector(".sheet-row");
    const { made, idle } = await walkSheet(me, key);
    expect(idle).toEqual([]);
    expect(made).toBeGreaterThan(15);
  });
});
