import { beforeAll, describe, expect, it } from "vitest";
import { kelpwayKit } from "../../demo/index";
import type { Motion, Rule } from "#core/project";
import type { Designer } from "../support/designer";
import { givenDesk } from "../support/kit";
import { Builder, becomes } from "../support/pieces";
import { savedProject } from "../support/saved";

/** The kit with a screen where a film can be brought to a moment, and does something at another. */
const kitWithFilm = () => {
  const b = new Builder();
  b.project = kelpwayKit();
  const screen = b.new("screen", "Harbour film");
  const clip = b.layer("picture", { x: 20, y: 20, width: 160, height: 90, plays: 1500 });
  const film = b.trait("Film", "rest", "middle");
  b.rule({
    source: clip,
    trigger: { type: "reached", ms: 800 },
    effects: [becomes(film.id, film.v.middle ?? "")],
  });
  b.rule({ source: clip, effects: [{ type: "seek", layer: clip, ms: 0 }] });
  return { project: b.project, screen };
};

const made = kitWithFilm();
const desk = givenDesk(made.project);
let me: Designer;
beforeAll(async () => {
  me = desk.me;
  await me.page.setViewport({ width: 1600, height: 1000 });
});

const rulesOf = async (piece: string): Promise<readonly Rule[]> =>
  Object.values((await savedProject(desk)).pieces[piece]?.rules ?? {});
const ruleOf = async (piece: string, id: string): Promise<Rule | undefined> =>
  (await rulesOf(piece)).find((rule) => rule.id === id);
const typed = async (label: string, text: string, within = ""): Promise<void> => {
  const field = await me.find("textbox", label, within);
  await field.click({ count: 3 });
  await me.type(text);
};

describe("a keyframe", () => {
  const shown = async (): Promise<unknown> => {
    const rule = await ruleOf("route-bell", "wiggle");
    return (rule?.motion as Motion).lanes?.[0]?.poses?.[0];
  };

  it("follows the token that its value nearly is, by the list and by the playhead", async () => {
    await desk.timing("route-bell", "wiggle");
    await (await me.page.waitForSelector(".lane-row.of-key .lane-name"))?.click();
    await typed("Value of keyframe 1", "0.42");
    // by keyboard; what comes in the place of the field has the focus then
    await me.find("button", "Nearly Share of a throw: use the token");
    await me.press("Tab");
    await me.press("Enter");
    await me.until(async () =>
      expect(await me.page.evaluate(() => document.activeElement?.ariaLabel)).toBe(
        "Value of keyframe 1: token",
      ),
    );
    await me.until(async () =>
      expect(await shown()).toEqual({
        at: 0.18,
        value: 0.4,
        easing: "ease-out",
        valueToken: "pace-share",
      }),
    );
    await me.pick("Value of keyframe 1: token", "custom");
    await me.until(async () =>
      expect(await shown()).toEqual({ at: 0.18, value: 0.4, easing: "ease-out" }),
    );
    await typed("Value of keyframe 1", "what");
    await me.press("Enter");
    await typed("Value of keyframe 1", "-15");
    await me.press("Enter");
    await me.until(async () => expect(await shown()).toMatchObject({ value: -15 }));
  });

  it("is reached by the curve of a token, which can be taken away again", async () => {
    await me.pick("Curve of keyframe 1", "Glide");
    await me.until(async () => expect(await shown()).toMatchObject({ token: "pace-glide" }));
    await me.pick("Curve of keyframe 1", "ease-out");
    await me.until(async () =>
      expect(await shown()).toEqual({ at: 0.18, value: -15, easing: "ease-out" }),
    );
  });

  it("is made at the playhead by a value that is nearly a token's", async () => {
    const slider = await me.find("slider", "Playhead");
    await slider.focus();
    for (let i = 0; i < 25; i++) await me.press("ArrowRight");
    await typed("rotation at the playhead", "0.41");
    await me.click("button", "Nearly Share of a throw: use the token", ".lane-value");
    await me.until(async () => {
      const rule = await ruleOf("route-bell", "wiggle");
      const poses = (rule?.motion as Motion).lanes?.[0]?.poses ?? [];
      expect(poses.filter((pose) => pose.valueToken === "pace-share")).toHaveLength(1);
      expect(poses).toHaveLength(5);
    });
    await me.click("button", "Undo");
  });
});

describe("a colour at the playhead", () => {
  it("becomes the token it nearly is, or another one", async () => {
    await desk.timing("harbour-dock-bar", "to-home");
    await (await me.find("slider", "Playhead")).focus();
    for (let i = 0; i < 40; i++) await me.press("ArrowRight");
    const followed = async (): Promise<(string | undefined)[]> => {
      const rule = await ruleOf("harbour-dock-bar", "to-home");
      const poses = (rule?.motion.lanes ?? []).flatMap((lane) => lane.poses ?? []);
      return poses.map((pose) => pose.valueToken);
    };
    const chip = await me.page.waitForSelector(".colour-at:not(:disabled)");
    await chip?.evaluate((e) => e.scrollIntoView({ block: "center" }));
    await chip?.click();
    const field = await me.find("textbox", "Colour");
    await field.click({ count: 3 });
    await me.type("#e8723d");
    await me.click("button", "Nearly Buoy: use the token");
    const buoy = Object.values((await savedProject(desk)).tokens).find((t) => t.name === "Buoy");
    await me.until(async () => expect(await followed()).toEqual([buoy?.id]));
    await me.click("tab", "Token");
    await me.click("option", "Sea/Tide");
    const tide = Object.values((await savedProject(desk)).tokens).find((t) => t.name === "Tide");
    await me.until(async () => expect(await followed()).toEqual([tide?.id]));
    await me.click("button", "Done");
    await me.click("button", "Undo");
  });
});

describe("while a time is typed, the token it nearly is is offered", () => {
  it("in Timing", async () => {
    await desk.timing("route-bell", "wiggle");
    await (await me.page.waitForSelector(".lane-row.of-key .lane-name"))?.click();
    await typed("Lane duration in milliseconds", "245");
    await me.click("button", "Nearly Beat: use the token");
    await me.until(async () =>
      expect((await ruleOf("route-bell", "wiggle"))?.motion.lanes?.[0]).toMatchObject({
        duration: 250,
        parts: { duration: "pace-beat" },
      }),
    );
    await me.pick("Lane duration in milliseconds: token", "custom");
  });

  it("in a rule that is being wired", async () => {
    await desk.go("route-bell");
    const before = (await rulesOf("route-bell")).length;
    await me.click("treeitem", "Bell");
    const socket = await me.box(".card-variant.active .socket");
    const cards = await me.page.$$(".card-variant:not(.active)");
    const to = await cards[1]?.boundingBox();
    await me.page.mouse.move(socket.x + 8, socket.y + 8);
    await me.page.mouse.down();
    await me.page.mouse.move((to?.x ?? 0) + 60, (to?.y ?? 0) + 60, { steps: 6 });
    await me.page.mouse.up();
    await me.find("group", "Add rule");
    await me.pick("Trigger", "… after a delay");
    await typed("Milliseconds", "260");
    await me.click("button", "Nearly Beat: use the token");
    await me.find("combobox", "Milliseconds: token");
    await me.click("button", "Create rule", ".panel-foot");
    await me.until(async () => {
      const rules = await rulesOf("route-bell");
      expect(rules).toHaveLength(before + 1);
      expect(rules.map((rule) => rule.trigger)).toContainEqual({
        type: "delay",
        ms: 250,
        tokens: { ms: "pace-beat" },
      });
    });
  });
});

describe("every number of a rule", () => {
  const follow = async (label: string, token: string, within: string): Promise<void> => {
    await me.pick(`${label}: token`, token, within);
    await me.find("combobox", `${label}: token`, within);
  };

  it("of a drag: distance, share, speed and lean", async () => {
    await desk.go("sailing-card-deck");
    await me.click("tab", "Rules 8");
    const rule = '[data-rule="gull-away"]';
    await follow("Max lean in degrees", "Share of a throw", rule);
    await follow("Speed threshold", "Share of a throw", rule);
    await me.pick("Drag distance in pixels: token", "custom", rule);
    await me.pick("Threshold in per cent: token", "custom", rule);
    const trigger = async () => (await ruleOf("sailing-card-deck", "gull-away"))?.trigger;
    await me.until(async () =>
      expect(await trigger()).toMatchObject({
        lean: 0.4,
        speed: 0.4,
        travel: 200,
        part: 0.4,
        tokens: { lean: "pace-share", speed: "pace-share" },
      }),
    );
    await follow("Drag distance in pixels", "Throw", rule);
    await follow("Threshold in per cent", "Share of a throw", rule);
    await me.until(async () =>
      expect((await trigger())?.tokens).toEqual({
        lean: "pace-share",
        speed: "pace-share",
        travel: "pace-throw",
        part: "pace-share",
      }),
    );
  });

  it("of a clip: the moment it is brought to, and the one it comes to", async () => {
    await desk.go(made.screen);
    await me.click("tab", "Rules 2");
    await me.pick("Position in milliseconds: token", "Beat");
    await me.pick("Clip position in milliseconds: token", "Beat");
    await me.until(async () => {
      const [reached, brought] = await rulesOf(made.screen);
      expect(reached?.trigger).toEqual({ type: "reached", ms: 250, tokens: { ms: "pace-beat" } });
      expect(brought?.effects[0]).toMatchObject({ ms: 250, tokens: { ms: "pace-beat" } });
    });
  });

  it("and the console had nothing to complain of", () => expect(me.complaints).toEqual([]));
});
