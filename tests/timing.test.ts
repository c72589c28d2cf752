import { beforeAll, describe, expect, it } from "vitest";
import { lengthOf } from "#core/motion";
import { inOrder } from "#core/project";
import type { Motion, Piece } from "#core/project";
import { sleep } from "./support/browser";
import type { Designer } from "./support/designer";
import { givenDesk } from "./support/kit";
import { savedProject } from "./support/saved";

const desk = givenDesk();
let me: Designer;
beforeAll(() => {
  me = desk.me;
});

const motionOf = async (piece: string, rule: string): Promise<Motion | undefined> =>
  (await savedProject(desk)).pieces[piece]?.rules[rule]?.motion;
/** Where a layer is on a card, px of the screen. */
const on = (variant: string, layer: string) =>
  me.box(`[data-variant="${variant}"] [data-layer="${layer}"]`);
/** Puts the playhead to a share of the ruler. */
const seek = async (share: number) => {
  const ruler = await me.box(".lane-track.time");
  await me.page.mouse.click(ruler.x + ruler.width * share, ruler.y + ruler.height / 2);
  await sleep(120);
};

describe("the Timing drawer", () => {
  it("a spring is tuned by its numbers, and the stage and Try show it", async () => {
    await desk.timing("follow-crossing-button", "follow");
    await seek(0.3);
    const before = (await on("following-yes.pressed-no", "body")).width;
    const field = await me.find("textbox", "Spring bounce in per cent");
    await field.click();
    await me.type("70");
    await me.press("Enter");
    const easing = (await motionOf("follow-crossing-button", "follow"))?.easing;
    expect(easing).toMatchObject({ kind: "spring" });
    const { stiffness, damping, mass } = easing as {
      stiffness: number;
      damping: number;
      mass: number;
    };
    expect(damping / (2 * Math.sqrt(stiffness * mass))).toBeCloseTo(0.3, 2);
    await me.until(async () =>
      expect(
        Math.abs((await on("following-yes.pressed-no", "body")).width - before),
      ).toBeGreaterThan(2),
    );
    await me.until(async () =>
      expect(await me.page.$eval(".spring-part p", (p) => p.textContent)).toMatch(
        /Overshoots by 37(\.\d)? %/,
      ),
    );
    // and what runs in Try swings past its width now
    const body = ".try-host [data-layer=body]";
    const press = async () => {
      const { x, y, width, height } = await me.box(body);
      await me.page.mouse.click(x + width / 2, y + height / 2);
      await sleep(1800);
    };
    const film = await me.film(".try-host", ["body"], press, press);
    const widths = film.flatMap(([shown]) => (shown ? [shown.width] : []));
    const [first = NaN] = widths;
    const last = widths.at(-1) ?? NaN;
    expect(last).toBeGreaterThan(first);
    expect(Math.max(...widths) / last).toBeGreaterThan(1.04);
  });

  it("lanes are cascaded in one go, and at the playhead the layers are where their turn is", async () => {
    await desk.timing("menu-button", "turn");
    const lane = (layer: string) => me.page.$(`[data-lane="${layer} "] .lane-name`);
    for (const [i, layer] of ["body", "bars", "cross"].entries()) {
      if (i > 0) await me.page.keyboard.down("Control");
      await (await lane(layer))?.click();
      await me.page.keyboard.up("Control");
    }
    const interval = await me.find("textbox", "Cascade interval in milliseconds");
    await interval.click();
    await me.type("120");
    await me.press("Enter");
    await me.click("button", "Cascade");
    expect((await motionOf("menu-button", "turn"))?.lanes?.map((l) => [l.layer, l.delay])).toEqual([
      ["body", 0],
      ["bars", 120],
      ["cross", 240],
    ]);
    await seek(0.42);
    const shown = (layer: string) =>
      me.page.$eval(`[data-variant="open-yes.contact-none"] [data-layer="${layer}"]`, (g) =>
        Number(g.getAttribute("opacity") ?? 1),
      );
    await me.until(async () =>
      expect([await shown("cross"), (await shown("bars")) < 1, (await shown("bars")) > 0]).toEqual([
        0,
        true,
        true,
      ]),
    );
    await me.press("Control", "z");
    expect((await motionOf("menu-button", "turn"))?.lanes).toBeUndefined();
  });

  it("a bar is dragged, a value at the playhead becomes a pose, and a rule that only stirs has lanes of its own", async () => {
    await desk.timing("route-bell", "wiggle");
    const bar = await me.box('[data-lane="bell rotation"] .lane-bar');
    await me.page.mouse.move(bar.x + 25, bar.y + 9);
    await me.page.mouse.down();
    await me.page.mouse.move(bar.x + 70, bar.y + 9, { steps: 6 });
    await me.page.mouse.up();
    const delay = (await motionOf("route-bell", "wiggle"))?.lanes?.[0]?.delay ?? 0;
    expect(delay).toBeGreaterThan(40);
    expect(delay % 10).toBe(0);
    await seek(0.5);
    const value = await me.find("textbox", "rotation at the playhead");
    await value.click();
    await me.type("40");
    await me.press("Enter");
    const poses = (await motionOf("route-bell", "wiggle"))?.lanes?.[0]?.poses ?? [];
    expect(poses).toHaveLength(5);
    expect(poses.map((p) => p.value)).toContain(40);
    const turned = () =>
      me.page.$eval(
        '[data-variant="rings-no.contact-none"] [data-layer="bell"]',
        (g) => g.getAttribute("transform") ?? "",
      );
    await me.until(async () => expect(await turned()).toContain("rotate(40"));
  });

  it("a bar snaps to where another ends, and shows where", async () => {
    await desk.timing("send-ticket-button", "send");
    const [whole, body] = [
      await me.box('[data-lane=""] .lane-bar'),
      await me.box('[data-lane="body "] .lane-bar'),
    ];
    const before = (await motionOf("send-ticket-button", "send"))?.lanes?.find(
      (l) => l.layer === "body",
    );
    const gap = whole.x + whole.width - (body.x + body.width) - 3;
    await me.page.mouse.move(body.x + body.width / 2, body.y + 9);
    await me.page.mouse.down();
    await me.page.mouse.move(body.x + body.width / 2 + gap + 22, body.y + 9, { steps: 5 });
    expect(await me.page.$(".lane-guide")).toBeNull();
    await me.page.mouse.move(body.x + body.width / 2 + gap, body.y + 9, { steps: 5 });
    await me.page.waitForSelector(".lane-guide");
    await me.page.mouse.up();
    await me.until(async () => {
      if (await me.page.$(".lane-guide")) throw new Error("the guide stays");
    });
    const motion = await motionOf("send-ticket-button", "send");
    const lane = motion?.lanes?.find((l) => l.layer === "body");
    expect((lane?.delay ?? 0) + (lane?.duration ?? 0)).toBe(motion?.duration);
    expect(lane?.duration).toBe(before?.duration);
  });

  it("a pose snaps to where the playhead is", async () => {
    await desk.timing("route-bell", "wiggle");
    await seek(0.4);
    const at = async () =>
      Number(
        await (
          await me.find("slider", "Playhead")
        ).evaluate((e) => e.getAttribute("aria-valuenow")),
      );
    const buoy = await me.box('[data-lane="bell rotation"] .buoy');
    const head = await me.box(".head-grip");
    const x = buoy.x + buoy.width / 2;
    const y = buoy.y + buoy.height / 2;
    const to = head.x + head.width / 2;
    await me.page.mouse.move(x, y);
    await me.page.mouse.down();
    await me.page.mouse.move(to - 3, y, { steps: 6 });
    await me.page.waitForSelector(".lane-guide");
    await me.page.mouse.up();
    const lane = (await motionOf("route-bell", "wiggle"))?.lanes?.find((l) => l.key === "rotation");
    const times = (lane?.poses ?? []).map((p) => (lane?.delay ?? 0) + p.at * (lane?.duration ?? 0));
    const playhead = await at();
    expect(Math.min(...times.map((t) => Math.abs(t - playhead)))).toBeLessThan(1.5);
  });

  it("a colour picked at the playhead makes a pose, and the stage shows it", async () => {
    await desk.timing("bicycle-tick-box", "hover");
    await me.click("button", "Properties of Label");
    await seek(0.2);
    await me.click("button", "fill at the playhead");
    const field = await me.find("textbox", "Colour", ".panel");
    await field.click({ clickCount: 3 });
    await me.type("#d9622b");
    await me.press("Enter");
    const lane = (await motionOf("bicycle-tick-box", "hover"))?.lanes?.find(
      (l) => l.key === "fill",
    );
    expect(lane?.poses).toMatchObject([{ value: "#d9622b" }]);
    await me.until(async () =>
      expect(
        await me.page.$eval(
          '[data-variant="checked-no.contact-hovered"] [data-layer="label"] text',
          (t) => t.getAttribute("fill"),
        ),
      ).toBe("#d9622b"),
    );
  });

  it("the end of a spring's bar changes its time, not when it begins", async () => {
    await desk.timing("follow-crossing-button", "follow");
    const before = await motionOf("follow-crossing-button", "follow");
    const bar = await me.box('[data-lane=""] .lane-bar');
    await me.drag(bar.x + bar.width - 3, bar.y + bar.height / 2, 40, 0);
    const later = await motionOf("follow-crossing-button", "follow");
    expect([later?.kind, later?.delay]).toEqual([before?.kind, before?.delay]);
    expect(later?.easing).toMatchObject({ kind: "spring" });
    expect(lengthOf(later as Motion)).toBeGreaterThan(lengthOf(before as Motion) + 20);
    await me.press("Control", "z");
  });

  it("a pose made by a double click has the playhead and its value's field at once", async () => {
    await desk.timing("follow-crossing-button", "follow");
    const row = '[data-lane="body borderWidth"]';
    const bar = await me.box(`${row} .lane-bar`);
    await me.page.mouse.click(bar.x + bar.width / 2, bar.y + bar.height / 2, { count: 2 });
    await me.until(async () => {
      const lane = await me.page.$eval(row, (r) => ({
        picked: r.classList.contains("picked"),
        field: r.querySelector(".lane-value input, .lane-value .colour-at:enabled") !== null,
        poses: r.querySelectorAll(".buoy").length,
      }));
      expect(lane).toEqual({ picked: true, field: true, poses: 1 });
    });
    await me.press("Control", "z");
  });

  it("the handles of a Bézier are dragged", async () => {
    await desk.timing("fare-panel", "other");
    await me.pick("Easing", "Cubic Bézier", ".curve-panel");
    await (
      await me.find("slider", "Handle at the start")
    ).evaluate((e) => e.scrollIntoView({ block: "center" }));
    const before = (await motionOf("fare-panel", "other"))?.easing as readonly number[];
    const handle = await (await me.find("slider", "Handle at the start")).boundingBox();
    await me.drag((handle?.x ?? 0) + 6, (handle?.y ?? 0) + 6, 40, -30);
    const after = (await motionOf("fare-panel", "other"))?.easing as readonly number[];
    expect([
      after.length,
      (after[0] as number) > (before[0] as number) + 0.1,
      (after[1] as number) > (before[1] as number) + 0.1,
      after.slice(2),
    ]).toEqual([4, true, true, before.slice(2)]);
    // one drag is one step of undo
    await me.press("Control", "z");
    expect((await motionOf("fare-panel", "other"))?.easing).toEqual(before);
    await me.press("Control", "z");
  });

  it("a motion is given to other rules, each of which keeps its lanes", async () => {
    await desk.timing("send-ticket-button", "hover");
    await me.click("button", "Copy timing to…");
    const boxes = await me.page.$$(".give-rule input");
    for (const box of boxes) await box.click();
    await me.click("button", `Copy to ${boxes.length} rules`);
    const [hover, send] = [
      await motionOf("send-ticket-button", "hover"),
      await motionOf("send-ticket-button", "send"),
    ];
    expect([send?.duration, send?.easing]).toEqual([hover?.duration, hover?.easing]);
    expect(send?.lanes?.length).toBeGreaterThan(1);
  });

  it("two variants are timed without a rule, then made one", async () => {
    await desk.timing("fare-panel", "two variants");
    const rules = async () =>
      Object.values((await savedProject(desk)).pieces["fare-panel"]?.rules ?? {});
    const before = (await rules()).length;
    await me.pick("To which variant", "Single trip");
    await me.pick("From which variant", "Season pass");
    const field = await me.find("textbox", "Duration in milliseconds", ".curve-panel");
    await field.click();
    await me.type("1000");
    await me.press("Enter");
    await seek(0.45);
    await me.until(async () =>
      expect(
        await me.page.$eval('[data-variant="fare-single-trip"] .preview-time', (t) =>
          parseInt(t.textContent ?? ""),
        ),
      ).toBeGreaterThan(400),
    );
    expect(await rules()).toHaveLength(before);
    // what is only tried is taken back like anything else
    const takes = () =>
      me.page.$eval("input[aria-label='Duration in milliseconds']", (f) => f.value);
    await (await me.find("slider", "Playhead")).focus();
    await me.press("Control", "z");
    await me.until(async () => expect(await takes()).not.toBe("1000"));
    await field.click();
    await me.type("1000");
    await me.press("Enter");
    await me.click("button", "Create rule");
    await me.saved();
    const made = (await rules()).at(-1);
    expect(await rules()).toHaveLength(before + 1);
    expect([made?.motion.duration, made?.effects.map((e) => e.type)]).toEqual([1000, ["set"]]);
    await me.until(async () =>
      expect(await me.page.$eval("select[aria-label=Rule]", (s) => s.value)).toBe(made?.id),
    );
    await me.press("Control", "z");
  });

  it("the way back is drawn under the lanes", async () => {
    await desk.timing("deck-tabs", "show-saloon");
    await (await me.find("checkbox", "Return timing")).click();
    const [bar, back] = [
      await me.box('[data-lane=""] .lane-bar'),
      await me.box('[data-lane=""] .lane-back'),
    ];
    expect([Math.round(back.x - bar.x), Math.abs(back.width - bar.width) < 2]).toEqual([0, true]);
    expect(back.y).toBeGreaterThan(bar.y + bar.height - 2);
  });

  it("a curve kept as a token is followed when the token changes", async () => {
    await desk.timing("fare-panel", "other");
    await me.click("button", "Save as motion token…");
    await me.press("Control", "a");
    await me.type("Switch over");
    await me.press("Enter");
    const token = (await motionOf("fare-panel", "other"))?.token;
    expect(token).toBeDefined();
    const project = await savedProject(desk);
    expect(inOrder(project.tokens).find((t) => t.id === token)).toMatchObject({
      name: "Switch over",
      type: "motion",
      value: { duration: 220, easing: "ease-in-out" },
    });
  });

  it("the ruler is zoomed about where the wheel turns, and gone along", async () => {
    await desk.timing("send-ticket-button", "send");
    const ruler = await me.box(".lane-track.time");
    const bar = () => me.box('[data-lane="body "] .lane-bar');
    const before = await bar();
    const at = before.x + before.width;
    await me.page.mouse.move(at, ruler.y + 8);
    await me.page.keyboard.down("Control");
    await me.page.mouse.wheel({ deltaY: -300 });
    await me.page.keyboard.up("Control");
    await me.until(async () => expect((await bar()).width).toBeGreaterThan(before.width * 2));
    const large = await bar();
    expect(Math.abs(large.x + large.width - at)).toBeLessThan(3);
    await me.page.keyboard.down("Shift");
    await me.page.mouse.wheel({ deltaY: -60 });
    await me.page.keyboard.up("Shift");
    await me.until(async () => expect((await bar()).x).toBeGreaterThan(large.x + 30));
  });

  it("the timing sheet of one component lets its motions follow a token together", async () => {
    await me.page.goto(`${desk.address}/system/timing`, { waitUntil: "load" });
    const rows = () => me.page.$$eval(".timing-sheet tbody tr", (all) => all.length);
    const all = await me.until(rows);
    await me.until(async () => {
      // a choice before the page's script has come is lost
      await me.pick("Motions of", "Welcome");
      expect(await rows()).toBeLessThan(all);
    });
    for (const box of await me.page.$$(".timing-sheet tbody input[type=checkbox]"))
      await box.click();
    await me.pick("Link to", "Mooring");
    const project = await savedProject(desk);
    const token = inOrder(project.tokens).find((t) => t.name === "Mooring")?.id;
    const welcome = project.pieces.welcome as Piece;
    expect(token).toBeDefined();
    expect(Object.values(welcome.rules).map((r) => r.motion.token)).toEqual(
      Object.values(welcome.rules).map(() => token),
    );
    // lanes stay as they are
    expect(welcome.rules.arrive?.motion.lanes?.length).toBeGreaterThan(5);
  });

  it("the card a change leads to is brought into sight, and where it is not on the stage another one shows the change", async () => {
    await desk.timing("send-ticket-button", "arrive");
    await me.page.$eval(".stage-room", (r) => {
      r.scrollTop = 0;
    });
    const foot = async () => {
      const [card, room] = [
        await me.box('[data-slot="sent-yes.contact-none"]'),
        await me.box(".stage-room"),
      ];
      return room.y + room.height - (card.y + card.height);
    };
    await seek(0.5);
    await me.until(async () => expect(await foot()).toBeGreaterThanOrEqual(-1));
    await me.page.waitForSelector('[data-variant="sent-yes.contact-none"] .preview-time');
    // another card alone: it shows what would be seen on the missing one
    await (
      await me.page.$('[data-variant="sent-no.contact-none"] .card-name')
    )?.click({ button: "right" });
    await me.click("menuitem", "Show only this card");
    await me.until(async () =>
      expect(await me.page.$$eval("[data-variant]", (all) => all.length)).toBe(1),
    );
    await seek(0.6);
    await me.page.waitForSelector('[data-variant="sent-no.contact-none"] .preview-time');
  });

  it("fits the window, plays with the space bar, and leaves the console quiet", async () => {
    await desk.timing("board-now-button", "hover");
    for (const [w, h] of [
      [1280, 800],
      [1600, 1000],
    ] as const) {
      await me.page.setViewport({ width: w, height: h });
      await sleep(250);
      expect(await me.overflow()).toEqual([]);
    }
    await (await me.find("slider", "Playhead")).focus();
    await me.press("Home");
    await me.press(" ");
    await me.until(async () =>
      expect(
        await me.page.$eval(".preview-time", (t) => parseInt(t.textContent ?? "0")),
      ).toBeGreaterThan(300),
    );
    expect(me.complaints).toEqual([]);
  });
});
