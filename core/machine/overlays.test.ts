import { beforeAll, describe, expect, it } from "vitest";
import { eventText, ruleText, ruleTrouble } from "#core/describe";
import { findBox, hitTest, spotAt, spotBounds } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { focusStops, start } from "#core/machine";
import type { Input, State } from "#core/machine";
import { accept } from "#core/project";
import type { Motion, Project } from "#core/project";
import { Run } from "#core/runtime";
import { testEnv } from "../../tests/support/env";
import { click, feed, on } from "../../tests/support/feed";
import { becomes, Builder, goes } from "../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const tween = (duration: number): Motion => ({
  kind: "tween",
  duration,
  delay: 0,
  easing: "linear",
});

/**
 * A pier with a button that opens a notice over it; the notice holds a slip whose cross says so.
 */
const pier = () => {
  const b = new Builder();
  const slip = b.new("component", "Slip");
  const cross = b.layer("box", { width: 20, height: 20 });
  b.do({
    label: "x",
    ops: [
      {
        op: "set",
        path: ["pieces", slip, "signals", "crossed"],
        value: { id: "crossed", name: "crossed", order: "a0" },
      },
    ],
  });
  b.rule({ source: cross, effects: [{ type: "raise", signal: "crossed" }] });
  const notice = b.new("screen", "Notice");
  const copy = b.layer("instance", { component: slip, x: 0, y: 0 });
  const read = b.trait("Read", "no", "yes");
  b.layer("box", { x: 0, y: 100, width: 40, height: 40 });
  b.do({
    label: "x",
    ops: [
      {
        op: "set",
        path: ["pieces", notice, "looks", "base", "changes", "root"],
        value: { width: 200, height: 160, fill: "#ffffff" },
      },
    ],
  });
  b.rule({
    source: copy,
    trigger: { type: "signal", signal: "crossed" },
    effects: [becomes(read.id, read.v.yes as string), { type: "close" }],
  });
  b.rule({
    trigger: { type: "delay", ms: 500 },
    effects: [becomes(read.id, read.v.yes as string)],
  });
  const screen = b.new("screen", "Pier");
  const button = b.layer("box", { x: 0, y: 0, width: 50, height: 50 });
  const lit = b.trait("Lit", "no", "yes");
  const ticks = b.trait("Ticks", "a", "b", "c");
  b.rule({
    source: button,
    trigger: { type: "hover" },
    effects: [becomes(lit.id, lit.v.yes as string)],
    undo: true,
  });
  b.rule({ source: button, effects: [{ type: "open", screen: notice }], motion: tween(200) });
  b.rule({ trigger: { type: "delay", ms: 1000 }, effects: [goes(ticks.id, "next")] });
  return { b, slip, cross, notice, copy, screen, button, read, lit, ticks, over: `~${notice}` };
};
describe("screens over others", () => {
  it("open, take all input while they are in front, and close by a signal from inside them", () => {
    const { b, screen, button, notice, over, copy, cross, lit } = pier();
    const p = b.project;
    const opened = feed(p, start(p, screen), on(button), ...click);
    expect(opened.state.overlays.map((o) => o.screen)).toEqual([notice]);
    // what the hover had lit goes out, since nothing beneath is touched any more
    expect(opened.state.traits[screen]?.[lit.id]).toBe(lit.v.no);
    expect(feed(p, opened.state, on(button)).state.pointer.over).toEqual([]);
    const closed = feed(p, opened.state, on(`${over}/${copy}/${cross}`), ...click);
    expect(closed.state.overlays).toEqual([]);
    expect(closed.events.map((event) => eventText(p, event)?.text)).toContain("Notice closed");
    expect(feed(p, closed.state, on(button)).state.traits[screen]?.[lit.id]).toBe(lit.v.yes);
  });

  it("waits beneath go on, those of the overlay begin when it opens, and it begins anew each time", () => {
    const { b, screen, button, over, read, ticks } = pier();
    const p = b.project;
    const at = (s: State, path: string, trait: string) => s.traits[path]?.[trait];
    const opened = feed(p, start(p, screen), 800, on(button), ...click, 300).state;
    expect(at(opened, screen, ticks.id)).toBe(ticks.v.b);
    expect(at(opened, `${screen}/${over}`, read.id)).toBeUndefined();
    const later = feed(p, opened, 200).state;
    expect(at(later, `${screen}/${over}`, read.id)).toBe(read.v.yes);
    const again = feed(p, later, on(null), ...click, on(button), ...click).state;
    expect(at(again, `${screen}/${over}`, read.id)).toBeUndefined();
    expect(again.timers.waits.some((t) => t.at === `${screen}/${over}`)).toBe(true);
  });

  it("a press beside it or Escape closes it, unless it must be answered", () => {
    const { b, screen, button, notice } = pier();
    const open = (p: Project) => feed(p, start(p, screen), on(button), ...click, on(null)).state;
    const left = (p: Project, ...inputs: Input[]) =>
      feed(p, open(p), ...inputs).state.overlays.length;
    const escape: Input = { type: "key", key: "Escape", phase: "down" };
    expect([left(b.project, ...click), left(b.project, escape)]).toEqual([0, 0]);
    const answer = accept(b.project, {
      label: "x",
      ops: [
        {
          op: "set",
          path: ["pieces", notice, "overlay"],
          value: { place: "bottom", dim: 0.2, closes: false },
        },
      ],
    });
    if (!answer.ok) throw new Error(answer.error);
    expect([left(answer.project, ...click), left(answer.project, escape)]).toEqual([1, 1]);
  });

  it("the keyboard stays inside and comes back to what had opened it", () => {
    const { b, screen, button, over, copy, cross } = pier();
    const p = b.project;
    const enter: Input[] = [
      { type: "key", key: "Enter", phase: "down" },
      { type: "key", key: "Enter", phase: "up" },
    ];
    const opened = feed(p, start(p, screen), { type: "focus", layer: button }, ...enter).state;
    expect([opened.keyboard.focused, focusStops(p, opened)]).toEqual([
      [],
      [`${over}/${copy}/${cross}`],
    ]);
    const closed = feed(
      p,
      opened,
      { type: "focus", layer: `${over}/${copy}/${cross}` },
      ...enter,
    ).state;
    expect(closed.keyboard.focused[0]).toBe(`${screen}/${button}`);
  });

  it("back is out of the front one; going to a screen takes them all along; the same one comes to the front", () => {
    const { b, screen, notice, button } = pier();
    const second = b.new("screen", "Second");
    const back = b.layer("box");
    b.rule({ source: back, effects: [{ type: "back" }] });
    b.rule({
      source: null,
      trigger: { type: "key", key: "n" },
      effects: [{ type: "open", screen: notice }],
    });
    b.rule({
      source: null,
      trigger: { type: "key", key: "g" },
      effects: [{ type: "go", screen: second }],
    });
    b.on(notice).rule({
      trigger: { type: "key", key: "s" },
      effects: [{ type: "open", screen: second }],
    });
    const p = b.project;
    const key = (k: string): Input => ({ type: "key", key: k, phase: "down" });
    const two = feed(p, start(p, screen), on(button), ...click, key("s")).state;
    expect(two.overlays.map((o) => o.screen)).toEqual([notice, second]);
    expect(feed(p, two, key("n")).state.overlays.map((o) => o.screen)).toEqual([second, notice]);
    expect(
      feed(p, two, on(`~${second}/${back}`), ...click).state.overlays.map((o) => o.screen),
    ).toEqual([notice]);
    const gone = feed(p, two, key("g")).state;
    expect([gone.screen, gone.overlays, gone.history]).toEqual([second, [], [screen]]);
  });

  it("lies where it says, dims what is beneath, appears in its time and is hit first", () => {
    const { b, screen, notice, over } = pier();
    b.do({
      label: "x",
      ops: [
        {
          op: "set",
          path: ["pieces", notice, "overlay"],
          value: { place: "bottom", dim: 0.3, closes: true },
        },
      ],
    });
    const run = new Run(env, b.project, screen);
    run.pointer("move", 10, 10);
    run.pointer("down", 10, 10);
    run.pointer("up", 10, 10);
    run.advanceTo(100);
    const scene = () => run.scene() as NonNullable<ReturnType<Run["scene"]>>;
    const shown = () => findBox(scene(), over);
    expect(shown()?.placed.presence).toBeCloseTo(0.5);
    run.advanceTo(200);
    expect(shown()).toMatchObject({ x: 95, y: 844 - 160, placed: { presence: 1 } });
    const spot = spotAt(scene(), `${over}/root`);
    expect(spot && spotBounds(spot)).toMatchObject({ x: 95, y: 684, width: 200, height: 160 });
    expect(hitTest(scene(), 100, 700)?.path).toMatch(new RegExp(`^${over}/`));
    expect(findBox(scene(), `${over}-dim`)?.placed.values).toMatchObject({ opacity: 0.3 });
    run.pointer("down", 10, 10);
    run.pointer("up", 10, 10);
    run.advanceTo(500);
    expect(shown()).toBeNull();
  });

  it("says in words what it does, and when it cannot", () => {
    const { b, screen, notice } = pier();
    const rule = Object.values(b.on(screen).piece.rules).find((r) => r.effects[0]?.type === "open");
    if (!rule) throw new Error("no rule");
    expect(ruleText(b.project, b.piece, rule)).toContain("show Notice as overlay");
    b.do({ label: "x", ops: [{ op: "remove", path: ["pieces", notice] }] });
    expect(ruleTrouble(b.project, b.piece, rule)).toContain("the screen it opens was deleted");
    const run = new Run(env, b.project, screen);
    run.pointer("move", 10, 10);
    run.pointer("down", 10, 10);
    run.pointer("up", 10, 10);
    expect(run.inside.overlays).toEqual([]);
  });
});

describe("what a rule sets, and in what time", () => {
  it("an option of a copy, undone with the contact, by the later rule when two set it", () => {
    const b = new Builder();
    const label = b.new("component", "Label");
    const words = b.layer("text", { text: "Ashore" });
    b.do({
      label: "x",
      ops: [
        {
          op: "set",
          path: ["pieces", label, "options", "words"],
          value: { id: "words", name: "Words", order: "a0", layer: words, key: "text" },
        },
      ],
    });
    const screen = b.new("screen", "Bay");
    const copy = b.layer("instance", { component: label, x: 10, y: 10 });
    const button = b.layer("box", { x: 200 });
    const says = (value: string) => ({
      type: "option" as const,
      layer: copy,
      option: "words",
      value,
    });
    b.rule({ source: button, trigger: { type: "hover" }, undo: true, effects: [says("Boarding")] });
    b.rule({ source: button, effects: [says("Away")] });
    const run = new Run(env, b.project, screen);
    const text = () => {
      const s = run.scene();
      const inside = s && findBox(s, copy)?.placed.nested;
      return inside && findBox(inside, words)?.placed.values.text;
    };
    expect(text()).toBe("Ashore");
    run.pointer("move", 220, 20);
    expect(text()).toBe("Boarding");
    run.pointer("move", 0, 500);
    expect(text()).toBe("Ashore");
    run.pointer("move", 220, 20);
    run.pointer("down", 220, 20);
    run.pointer("up", 220, 20);
    run.pointer("move", 0, 500);
    expect(text()).toBe("Away");
    const rule = Object.values(b.piece.rules)[1];
    expect(rule && ruleText(b.project, b.piece, rule)).toContain("in Copy Words becomes “Away”");
    expect(
      rule &&
        ruleTrouble(b.project, b.piece, {
          ...rule,
          effects: [{ type: "option", layer: copy, option: "gone", value: "x" }],
        }),
    ).toContain("no longer has this option");
  });

  it("each effect in a time of its own", () => {
    const b = new Builder();
    const id = b.new("component", "Lamp");
    const bulb = b.layer("box", { x: 0, y: 0, width: 10, height: 10, fill: "#e3b341" });
    const far = b.trait("Far", "no", "yes");
    const wide = b.trait("Wide", "no", "yes");
    b.look({ [far.id]: [far.v.yes as string] }, bulb, { x: 100 });
    b.look({ [wide.id]: [wide.v.yes as string] }, bulb, { width: 110 });
    b.rule({
      effects: [
        becomes(far.id, far.v.yes as string),
        { ...becomes(wide.id, wide.v.yes as string), motion: tween(1000) },
      ],
      motion: tween(100),
    });
    const run = new Run(env, b.project, id);
    run.pointer("move", 5, 5);
    run.pointer("down", 5, 5);
    run.pointer("up", 5, 5);
    run.advanceTo(50);
    const placed = () => {
      const s = run.scene();
      return s && findBox(s, bulb)?.placed;
    };
    expect(placed()).toMatchObject({ x: 50, width: 15 });
    run.advanceTo(500);
    expect(placed()).toMatchObject({ x: 100, width: 60 });
    expect(run.movesUntil()).toBe(1000);
  });
});
