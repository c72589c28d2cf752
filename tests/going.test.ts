import { beforeAll, describe, expect, it } from "vitest";
import { setStart } from "#core/edit";
import type { Motion } from "#core/project";
import type { Designer } from "./support/designer";
import { givenDesk } from "./support/kit";
import { Builder } from "./support/pieces";

const SIZE = 400;
const LONG = 700;
const ways: Readonly<Record<string, Motion>> = {
  slide: { kind: "slide", to: "left", duration: LONG, delay: 0, easing: "linear" },
  push: { kind: "push", to: "left", duration: LONG, delay: 0, easing: "linear" },
  rise: { kind: "rise", duration: LONG, delay: 0, easing: "linear" },
  tween: { kind: "tween", duration: LONG, delay: 0, easing: "linear" },
};

/**
 * Two screens: on the first a button for each way of going to the second; a boat lies on both, a
 * buoy on each.
 */
const twoScreens = () => {
  const b = new Builder();
  const quay = b.new("screen", "Quay");
  b.look({}, "root", { width: SIZE, height: SIZE, fill: "#e9f3f1" });
  const boat = b.layer("box", { x: 20, y: 300, width: 40, height: 40, fill: "#d9622b" });
  const buoy = b.layer("ellipse", { x: 100, y: 200, width: 20, height: 20, fill: "#1f6f5c" });
  const buttons = Object.keys(ways).map((_, i) =>
    b.layer("box", { x: 10 + i * 90, y: 10, width: 80, height: 30, fill: "#20302e" }),
  );
  b.do({
    label: "name",
    ops: [{ op: "set", path: ["pieces", quay, "layers", boat, "name"], value: "Boat" }],
  });
  const sea = b.new("screen", "Sea");
  b.look({}, "root", { width: SIZE, height: SIZE, fill: "#c9d8d2" });
  const away = b.layer("box", { x: 300, y: 100, width: 80, height: 80, fill: "#e3b341" });
  const flag = b.layer("ellipse", { x: 200, y: 200, width: 20, height: 20, fill: "#b3402e" });
  b.do({
    label: "name",
    ops: [{ op: "set", path: ["pieces", sea, "layers", away, "name"], value: "Boat" }],
  });
  b.on(quay);
  Object.values(ways).forEach((motion, i) =>
    b.rule({
      source: buttons[i],
      trigger: { type: "click" },
      effects: [{ type: "go", screen: sea }],
      motion,
    }),
  );
  b.do(setStart(b.project, quay));
  return { project: b.project, boat, buoy, away, flag };
};

let me: Designer;
const made = twoScreens();
const desk = givenDesk(made.project);
beforeAll(() => {
  me = desk.me;
});

/**
 * Goes to the other screen one way, and tells where layers were in each frame, from the piece's
 * corner.
 */
const going = async (way: string) => {
  const open = async () => {
    await me.page.goto(`${desk.address}/play`, { waitUntil: "load" });
    return me.box(".play-host svg");
  };
  const { x, y } = await open();
  const film = await me.film(
    ".play-host",
    [made.buoy, made.flag, made.boat, made.away],
    () => me.page.mouse.click(x + 50 + Object.keys(ways).indexOf(way) * 90, y + 25),
    open,
  );
  const places = (i: number, key: "x" | "y") =>
    film.flatMap((f) => {
      const l = f[i];
      return l ? [Math.round((l[key] - (key === "x" ? x : y)) * 10) / 10] : [];
    });
  return {
    buoy: places(0, "x"),
    flag: places(1, "x"),
    flagY: places(1, "y"),
    boat: places(2, "x"),
    away: places(3, "x"),
    frames: film,
  };
};
const least = (list: readonly number[]) => Math.min(...list);
const most = (list: readonly number[]) => Math.max(...list);
/** Whether a list has values strictly between two. */
const passes = (list: readonly number[], a: number, b: number) =>
  list.filter((v) => v > Math.min(a, b) + 5 && v < Math.max(a, b) - 5).length > 4;

describe("going to another screen in Play", () => {
  it("slides over the old one, which gives way a little", async () => {
    const { buoy, flag } = await going("slide");
    expect([passes(flag, 200, 600), flag.at(-1)]).toEqual([true, 200]);
    expect(least(buoy)).toBeLessThan(60);
    expect(least(buoy)).toBeGreaterThanOrEqual(100 - 0.3 * SIZE);
  });

  it("pushes the old one out", async () => {
    const { buoy, flag, frames } = await going("push");
    expect([passes(flag, 200, 600), passes(buoy, 100, -300), flag.at(-1)]).toEqual([
      true,
      true,
      200,
    ]);
    // both go as one: they stay as far apart as they lie beside one another
    const both = frames.flatMap((f) => (f[0] && f[1] && f[0].x < 1e4 ? [f[1].x - f[0].x] : []));
    expect(most(both.filter((d) => d > 300)) - least(both.filter((d) => d > 300))).toBeLessThan(1);
  });

  it("rises out of it", async () => {
    const { flagY, flag, buoy } = await going("rise");
    expect([
      passes(flagY, 200, 256),
      flagY.at(-1),
      least(flag),
      most(flag),
      new Set(buoy).size,
    ]).toEqual([true, 200, 200, 200, 1]);
  });

  it("moves what both screens have, and lets the rest come and go", async () => {
    const { away, frames, flag } = await going("tween");
    expect([passes(away, 20, 300), away.at(-1), most(flag)]).toEqual([true, 300, 200]);
    // there is one boat at each moment, that grows and changes colour on the way
    expect(frames.filter((f) => f[2] && f[3]).length).toBe(0);
    expect(new Set(frames.flatMap((f) => f[3]?.fill ?? [])).size).toBeGreaterThan(5);
  });

  it("only fades for people whose system asks for less motion, also when that is asked while it plays", async () => {
    await me.page.emulateMediaFeatures([{ name: "prefers-reduced-motion", value: "reduce" }]);
    const { flag, buoy } = await going("push");
    expect([[...new Set(flag)], [...new Set(buoy)]]).toEqual([[200], [100]]);
    await me.page.emulateMediaFeatures([
      { name: "prefers-reduced-motion", value: "no-preference" },
    ]);
    expect(passes((await going("push")).flag, 200, 600)).toBe(true);
    expect(me.complaints).toEqual([]);
  });
});
