import { beforeAll, describe, expect, it } from "vitest";
import { checked } from "#core/checks";
import { ruleText } from "#core/describe";
import { findBox, hitTest, spotAt, spotBounds } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { markup, paint } from "#core/paint";
import { rehearse } from "#core/rehearse";
import { Run } from "#core/runtime";
import { testEnv } from "../../tests/support/env";
import { becomes, Builder } from "../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

/** A timetable of ten sailings, of which three are in sight; the last one lights up when it is. */
const timetable = (arranged: boolean) => {
  const b = new Builder();
  const id = b.new("screen", "Timetable");
  b.do({
    label: "x",
    ops: [
      {
        op: "set",
        path: ["pieces", id, "looks", "base", "changes", "root"],
        value: { width: 200, height: 300, fill: "#ffffff" },
      },
    ],
  });
  const list = b.layer("box", {
    x: 0,
    y: 60,
    width: 200,
    height: 180,
    scrolls: "down",
    ...(arranged ? { arrange: "column", gap: 10, padding: [0, 0, 20, 0] as const } : {}),
  });
  const rows = Array.from({ length: 10 }, (_, i) =>
    b.layer(
      "box",
      { width: 180, height: 50, fill: "#1f6f5c", ...(arranged ? {} : { y: i * 60 }) },
      list,
    ),
  );
  const top = b.layer("box", { x: 0, y: 0, width: 40, height: 40 });
  const lit = b.trait("Lit", "no", "yes");
  const last = rows[9] as string;
  b.rule({
    source: last,
    trigger: { type: "seen" },
    effects: [becomes(lit.id, lit.v.yes as string)],
  });
  b.rule({
    source: top,
    effects: [{ type: "scroll", layer: rows[5] as string }],
    motion: { kind: "tween", duration: 400, delay: 0, easing: "linear" },
  });
  const run = new Run(env, b.project, id);
  const y = (layer: string) => {
    const s = run.scene();
    const spot = s && spotAt(s, layer);
    return spot ? spotBounds(spot).y : NaN;
  };
  return { b, id, list, rows, top, lit, last, run, y };
};

describe("scrolling", () => {
  for (const arranged of [true, false])
    it(`${arranged ? "in a column" : "freely placed"}: moves what is inside, as far as there is room, cut off at the edge, and what is hit moves along`, () => {
      const { rows, run, y, list } = timetable(arranged);
      const [first, second] = rows as [string, string];
      expect(run.wheel(100, 100, 0, 60)).toBe(true);
      expect([y(first), y(second)]).toEqual([0, 60]);
      const scene = run.scene();
      expect(scene && hitTest(scene, 100, 70)?.path).toBe(second);
      expect(scene && hitTest(scene, 100, 20)?.path).not.toBe(first);
      expect(scene && markup(paint(scene))).toContain("clip-path");
      expect(run.wheel(100, 100, 0, 5000)).toBe(true);
      const end = arranged ? 20 : 0;
      expect(y(rows[9] as string)).toBeCloseTo(240 - end - 50);
      expect(run.wheel(100, 100, 0, 10)).toBe(false);
      expect(run.wheel(100, 20, 0, -10)).toBe(false);
      expect(run.wheel(100, 100, 0, -5000)).toBe(true);
      expect(y(first)).toBe(60);
      expect(findBox(run.scene() as never, list)?.y).toBe(60);
    });

  it("a finger scrolls what it wanders over, presses nothing meanwhile, and lets it coast; a new touch catches it", () => {
    const { b, id, list, rows, lit } = timetable(false);
    b.rule({ source: rows[1], effects: [becomes(lit.id, lit.v.yes as string)] });
    const run = new Run(env, b.project, id);
    const scrolled = () => run.inside.scroll.offsets[`${id}/${list}`] ?? 0;
    const y = () => {
      const s = run.scene();
      const spot = s && spotAt(s, rows[0] as string);
      return spot ? spotBounds(spot).y : NaN;
    };
    const finger = (kind: "move" | "down" | "up", at: number) => run.pointer(kind, 100, at, true);
    finger("down", 150);
    finger("move", 152);
    run.advanceTo(100);
    expect([finger("up", 152), run.variant()[lit.id]]).toEqual([null, lit.v.yes]);
    run.input({ type: "show", at: id, trait: lit.id, value: lit.v.no as string });
    finger("down", 150);
    run.advanceTo(200);
    finger("move", 120);
    run.advanceTo(400);
    finger("move", 90);
    run.advanceTo(900);
    expect(scrolled()).toBe(60);
    expect(finger("up", 90)).toEqual({ layer: list, by: 60 });
    expect([run.variant()[lit.id], scrolled(), run.inside.pointer.pressed]).toEqual([
      lit.v.no,
      60,
      null,
    ]);
    // sideways there is nothing to scroll, and past the end neither
    finger("down", 150);
    run.pointer("move", 20, 150, true);
    expect(finger("up", 150)).toBeNull();
    // a flick goes on by itself
    finger("down", 200);
    for (let i = 1; i <= 4; i++) {
      run.advanceTo(run.now + 10);
      finger("move", 200 - i * 8);
    }
    expect(finger("up", 168)?.by).toBeGreaterThan(150);
    run.advanceTo(run.now + 100);
    const under = y();
    expect(under).toBeGreaterThan(60 - scrolled());
    finger("down", 150);
    expect(y()).toBeCloseTo(under, 1);
    run.advanceTo(run.now + 700);
    expect(y()).toBeCloseTo(under, 1);
  });

  it("a rule that listens for a drag has it before the scrolling does", () => {
    const { b, id, list, rows, lit } = timetable(false);
    b.rule({
      source: rows[1],
      trigger: { type: "drag", direction: "up", travel: 100 },
      effects: [becomes(lit.id, lit.v.yes as string)],
    });
    const run = new Run(env, b.project, id);
    run.pointer("down", 100, 150, true);
    run.pointer("move", 100, 70, true);
    run.pointer("up", 100, 70, true);
    expect([run.variant()[lit.id], run.inside.scroll.offsets[`${id}/${list}`]]).toEqual([
      lit.v.yes,
      undefined,
    ]);
  });

  it("a rule scrolls to a layer in its own time, and one hears when it comes into sight", () => {
    const { run, y, rows, lit, last } = timetable(true);
    expect(run.variant()[lit.id]).toBe(lit.v.no);
    run.pointer("move", 10, 10);
    run.pointer("down", 10, 10);
    run.pointer("up", 10, 10);
    run.advanceTo(200);
    expect(y(rows[5] as string)).toBeCloseTo(60 + 300 - (300 - 12) / 2);
    run.advanceTo(400);
    expect(y(rows[5] as string)).toBeCloseTo(72);
    expect(run.variant()[lit.id]).toBe(lit.v.no);
    run.wheel(100, 100, 0, 5000);
    expect(y(last)).toBeLessThan(240);
    expect(run.variant()[lit.id]).toBe(lit.v.yes);
  });

  it("what is in sight from the beginning is told at once; restarting begins at the top", () => {
    const { b, id, rows } = timetable(false);
    const t = b.trait("First", "no", "yes");
    b.rule({
      source: rows[0],
      trigger: { type: "seen" },
      effects: [becomes(t.id, t.v.yes as string)],
    });
    const run = new Run(env, b.project, id);
    expect(run.variant()[t.id]).toBe(t.v.yes);
  });

  it("can be rehearsed, is looked at by the checks, and says what it does", () => {
    const { b, id, list, lit, last, rows } = timetable(true);
    expect(
      rehearse(env, b.project, id, [
        { do: "scroll", layer: list, by: 2000 },
        { do: "trait", at: "", trait: lit.id, value: lit.v.yes as string },
        { do: "layer", layer: last, key: "y", value: 170, within: 0.1 },
      ]),
    ).toBeNull();
    expect(checked(env, b.project, id).findings.map((f) => f.kind)).not.toContain("never-fires");
    expect(
      Object.values(b.piece.rules)
        .map((r) => ruleText(b.project, b.piece, r))
        .join("; "),
    ).toMatch(/scrolls into view.*scroll to /);
    expect(rows).toHaveLength(10);
  });
});
