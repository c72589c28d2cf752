import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { walkChoices } from "./support/choices";
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
});
