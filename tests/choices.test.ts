import { beforeAll, describe, expect, it } from "vitest";
import type { Trait } from "#core/project";
import { ProjectLog } from "#server";
import { walkChoices, walkSheet } from "./support/choices";
import type { Designer } from "./support/designer";
import { givenDesk } from "./support/kit";

const desk = givenDesk();
const traitOf = async (piece: string, trait: string): Promise<Trait | undefined> => {
  await me.saved();
  const state = await new ProjectLog(desk.db).read(desk.id);
  return state?.project.pieces[piece]?.traits[trait];
};
let me: Designer;
beforeAll(() => {
  me = desk.me;
});

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
    ["fare-panel", "Head", "fill", 56],
    ["fare-panel", "Title", "fill", 78],
    ["fare-panel", "Season switch", "component", 68],
  ])("in the sheet: %s, %s", async (piece, layer, key, offered) => {
    await desk.go(piece);
    await me.click("tab", "Sheet");
    await me.click("treeitem", layer);
    await me.page.waitForSelector(".sheet-row");
    const { made, idle } = await walkSheet(me, key);
    expect(idle).toEqual([]);
    expect(made).toBe(offered);
    // the whole way it was the sheet of this layer
    const chosen = "[role=treeitem][aria-selected=true]";
    expect(await me.page.$eval(chosen, (item) => item.textContent)).toBe(layer);
  });

  it("in a trait's state for assistive technology", async () => {
    const saved = () => traitOf("fare-panel", "fare");
    await desk.go("fare-panel");
    await me.page.click(".trait-state");
    const menu = ".state-menu";
    for (const state of ["selected", "expanded", "disabled", "current", "pressed", "checked"]) {
      await me.click("radio", state, menu);
      expect((await saved())?.aria).toEqual({ state, on: ["fare-season-pass"] });
    }
    await me.click("checkbox", "Single trip", menu);
    expect((await saved())?.aria?.on).toEqual(["fare-season-pass", "fare-single-trip"]);
    await me.click("checkbox", "Single trip", menu);
    await me.click("checkbox", "Season pass", menu);
    expect((await saved())?.aria?.on).toEqual([]);
    expect(await me.page.$eval(menu, (m) => m.textContent)).toContain("Each layer");
    await me.click("checkbox", "Has a motion of its own", menu);
    expect((await saved())?.motion).toBeDefined();
    await me.click("checkbox", "Has a motion of its own", menu);
    expect((await saved())?.motion).toBeUndefined();
    await me.click("radio", "none", menu);
    expect((await saved())?.aria).toBeUndefined();
  });
});
