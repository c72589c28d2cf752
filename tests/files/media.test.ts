import { beforeAll, describe, expect, it } from "vitest";
import type { Designer } from "../support/designer";
import { givenDesk } from "../support/kit";
import { becomes, Builder } from "../support/pieces";

/**
 * A screen with a film of the harbour, a word that says how it stands, and a timetable that
 * scrolls; its last sailing lights up in sight.
 */
const harbourFilm = () => {
  const b = new Builder();
  b.new("screen", "Harbour film");
  const clip = b.layer("picture", { x: 20, y: 20, width: 160, height: 90, plays: 1500 });
  const word = b.layer("text", { x: 20, y: 130, text: "default" });
  const film = b.trait("Film", "rest", "plays", "middle", "end");
  for (const [value, words] of [
    ["plays", "it plays"],
    ["middle", "half way"],
    ["end", "that was it"],
  ] as const)
    b.look({ [film.id]: [film.v[value] as string] }, word, { text: words });
  b.rule({ source: clip, effects: [{ type: "clip", layer: clip, act: "turn" }] });
  b.rule({
    source: clip,
    trigger: { type: "played" },
    effects: [becomes(film.id, film.v.plays as string)],
  });
  b.rule({
    source: clip,
    trigger: { type: "reached", ms: 800 },
    effects: [becomes(film.id, film.v.middle as string)],
  });
  b.rule({
    source: clip,
    trigger: { type: "ended" },
    effects: [becomes(film.id, film.v.end as string)],
  });
  const list = b.layer("box", {
    x: 20,
    y: 200,
    width: 300,
    height: 240,
    scrolls: "down",
    arrange: "column",
    gap: 10,
  });
  const rows = Array.from({ length: 9 }, () =>
    b.layer("box", { width: 280, height: 60, fill: "#1f6f5c" }, list),
  );
  const seen = b.trait("Last one", "unseen", "seen");
  const note = b.layer("text", { x: 20, y: 460, text: "more below" });
  b.look({ [seen.id]: [seen.v.seen as string] }, note, { text: "the last sailing" });
  b.rule({
    source: rows[8],
    trigger: { type: "seen" },
    effects: [becomes(seen.id, seen.v.seen as string)],
  });
  return { project: b.project, clip, list, rows };
};

const made = harbourFilm();
const desk = givenDesk(made.project);
let me: Designer;
beforeAll(async () => {
  me = desk.me;
  await me.page.goto(`${desk.address}/play`, { waitUntil: "load" });
  await me.until(async () => {
    if (!(await me.page.$(layer(made.clip)))) throw new Error("not there yet");
  });
});

const host = ".play-host";
const layer = (id: string) => `${host} [data-layer="${id}"]`;
const reads = (words: string) =>
  me.until(async () =>
    expect(
      await me.page.$$eval(`${host} text`, (all) => all.map((t) => t.textContent).join(" ")),
    ).toContain(words),
  );
const top = async (id: string) => (await me.box(layer(id))).y;

describe("in Play", () => {
  it("a clip plays, tells where it is, and ends; its bar moves along", async () => {
    const box = await me.box(layer(made.clip));
    await me.page.mouse.click(box.x + 60, box.y + 40);
    await reads("it plays");
    await reads("half way");
    const before = await me.page.$eval(layer(made.clip), (g) => g.innerHTML);
    await reads("that was it");
    expect(await me.page.$eval(layer(made.clip), (g) => g.innerHTML)).not.toBe(before);
  });

  it("a list is scrolled by the wheel, and what comes into sight is told so", async () => {
    const first = made.rows[0] as string;
    const y = await top(first);
    const box = await me.box(layer(made.list));
    await me.page.mouse.move(box.x + 60, box.y + 60);
    await me.page.mouse.wheel({ deltaY: 90 });
    await me.until(async () => expect(await top(first)).toBeCloseTo(y - 90, 0));
    await reads("more below");
    await me.page.mouse.wheel({ deltaY: 2000 });
    await reads("the last sailing");
    await me.page.mouse.wheel({ deltaY: -4000 });
    await me.until(async () => expect(await top(first)).toBeCloseTo(y, 0));
  });

  it("and by a finger, which presses nothing then", async () => {
    const first = made.rows[0] as string;
    const y = await top(first);
    const box = await me.box(layer(made.list));
    const x = box.x + 60;
    const finger = await me.page.touchscreen.touchStart(x, box.y + 200);
    for (let i = 1; i <= 10; i++) {
      await finger.move(x, box.y + 200 - i * 10);
      await new Promise((r) => setTimeout(r, 30));
    }
    await new Promise((r) => setTimeout(r, 150));
    await finger.end();
    await me.until(async () => expect(await top(first)).toBeCloseTo(y - 100, 0));
    expect(me.complaints).toEqual([]);
  });
});
