import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { eventText, ruleText, ruleTrouble } from "#core/describe";
import { removeLayers, removeTrait } from "#core/edit";
import { advance, start, step } from "#core/machine";
import type { Input, MachineEvent, State } from "#core/machine";
import type { Project } from "#core/project";
import { TRAIT } from "#core/properties";
import { kelpwayKit } from "../../demo/index";
import { becomes, Builder, goes } from "../../tests/support/pieces";

/** Feeds inputs and pauses (numbers, ms) to a machine, keeping what happened. */
const play = (
  project: Project,
  piece: string,
  ...script: (Input | number)[]
): { state: State; events: MachineEvent[] } => {
  let state = start(project, piece);
  const events: MachineEvent[] = [];
  const take = (r: { state: State; events: MachineEvent[] }) => {
    state = r.state;
    events.push(...r.events);
  };
  take(advance(project, state, 0));
  for (const s of script)
    take(typeof s === "number" ? advance(project, state, state.now + s) : step(project, state, s));
  return { state, events };
};
const over = (layer: string | null): Input => ({ type: "over", layer });
const down: Input = { type: "down" };
const up: Input = { type: "up" };
const cancel: Input = { type: "cancel" };
const click = (layer: string): Input[] => [over(layer), down, up];
const fired = (h: readonly MachineEvent[]) =>
  h.filter((x) => x.type === "fired").map((x) => x.trigger);

const button = () => {
  const b = new Builder();
  const id = b.new("component", "Button");
  const box = b.layer("box");
  const inner = b.layer("box", {}, box);
  const t = b.trait("Step", "one", "two", "three");
  const now = (state: State) =>
    Object.entries(t.v).find(([, v]) => v === (state.traits[id]?.[t.id] ?? t.v.one))?.[0];
  return { b, id, box, inner, t, v: t.v as { one: string; two: string; three: string }, now };
};

describe("pointers", () => {
  it.each([
    ["press and release on it", [over("box"), down, up], 1],
    ["press, move off, release", [over("box"), down, over(null), up], 0],
    ["press elsewhere, release on it", [over("root"), down, over("box"), up], 0],
    ["press, move off and back, release", [over("box"), down, over(null), over("box"), up], 1],
    ["press, cancelled", [over("box"), down, cancel, up], 0],
    ["press on what is inside, release on it", [over("inner"), down, over("box"), up], 1],
  ] as [string, Input[], number][])("click: %s", (_name, script, times) => {
    const { b, id, box, inner, t } = button();
    b.rule({ trigger: { type: "click" }, source: box, effects: [goes(t.id, "next")] });
    b.rule({ trigger: { type: "release" }, source: box, effects: [goes(t.id, "next")], on: false });
    const names: Record<string, string> = { box, inner, root: "root" };
    const inputs = script.map((i) =>
      i.type === "over" && i.layer ? { ...i, layer: names[i.layer] ?? null } : i,
    );
    expect(fired(play(b.project, id, ...inputs).events)).toHaveLength(times);
  });

  it("the innermost layer with an enabled rule takes a click; others around it do not get it", () => {
    const { b, id, box, inner, t, v, now } = button();
    b.rule({ source: box, effects: [becomes(t.id, v.two)] });
    b.rule({ source: inner, when: { [t.id]: [v.two] }, effects: [becomes(t.id, v.three)] });
    expect(now(play(b.project, id, ...click(inner)).state)).toBe("two");
    expect(now(play(b.project, id, ...click(inner), ...click(inner)).state)).toBe("three");
    expect(fired(play(b.project, id, ...click(inner), ...click(inner)).events)).toHaveLength(2);
  });

  it("of rules that set the same trait the more specific condition wins, then the earlier; the loser is named", () => {
    const { b, id, t, v, now } = button();
    const wide = b.rule({ effects: [becomes(t.id, v.two)] });
    const narrow = b.rule({ when: { [t.id]: [v.one] }, effects: [becomes(t.id, v.three)] });
    const { state, events } = play(b.project, id, ...click("root"));
    expect(now(state)).toBe("three");
    expect(events.filter((event) => event.type === "lost")).toMatchObject([
      { rule: wide, to: narrow },
    ]);
    expect(
      eventText(b.project, events.find((event) => event.type === "lost") as MachineEvent),
    ).toMatchObject({ tone: "warn" });
  });

  it("rules of one click that set different traits all fire", () => {
    const { b, id, t, v } = button();
    const other = b.trait("Seen", "no", "yes");
    b.rule({ effects: [becomes(t.id, v.two)] });
    b.rule({ effects: [becomes(other.id, other.v.yes as string)] });
    expect(play(b.project, id, ...click("root")).state.traits[id]).toEqual({
      [t.id]: v.two,
      [other.id]: other.v.yes,
    });
  });

  it("next and previous go round, opposite mirrors", () => {
    const { b, id, t, now } = button();
    b.rule({ effects: [goes(t.id, "next")] });
    expect(
      [1, 2, 3, 4].map((n) =>
        now(play(b.project, id, ...Array.from({ length: n }, () => click("root")).flat()).state),
      ),
    ).toEqual(["two", "three", "one", "two"]);
    b.rule({ trigger: { type: "press" }, effects: [goes(t.id, "opposite")] });
    expect(now(play(b.project, id, over("root"), down).state)).toBe("three");
  });
});

describe("undo when it ends", () => {
  const contact = () => {
    const b = new Builder();
    const id = b.new("component", "Tick box");
    const t = b.trait("Contact", "none", "hover", "pressed");
    const v = t.v as { none: string; hover: string; pressed: string };
    b.rule({ trigger: { type: "hover" }, undo: true, effects: [becomes(t.id, v.hover)] });
    b.rule({ trigger: { type: "press" }, undo: true, effects: [becomes(t.id, v.pressed)] });
    const now = (...script: (Input | number)[]) =>
      Object.entries(v).find(
        ([, x]) => x === (play(b.project, id, ...script).state.traits[id]?.[t.id] ?? v.none),
      )?.[0];
    return { b, id, t, v, now };
  };

  it("hover and press pile up and come off in any order", () => {
    const { now } = contact();
    expect(now(over("root"))).toBe("hover");
    expect(now(over("root"), over(null))).toBe("none");
    expect(now(over("root"), down)).toBe("pressed");
    expect(now(over("root"), down, up)).toBe("hover");
    expect(now(over("root"), down, up, over(null))).toBe("none");
    expect(now(over("root"), down, over(null))).toBe("pressed");
    expect(now(over("root"), down, over(null), up)).toBe("none");
    expect(now(over("root"), down, cancel)).toBe("hover");
  });

  it("does not take back what another rule has set since", () => {
    const { b, t, v, now } = contact();
    b.rule({ trigger: { type: "click" }, effects: [becomes(t.id, v.none)] });
    expect(now(over("root"), down, up)).toBe("none");
    expect(now(over("root"), down, up, over(null))).toBe("none");
  });

  it("any storm of pointer events leaves nothing behind once the pointer is up and away", () => {
    const { b, id, t, v } = contact();
    const input = fc.constantFrom<Input>(over("root"), over(null), down, up, cancel);
    fc.assert(
      fc.property(fc.array(input, { maxLength: 40 }), (storm) => {
        const { state } = play(b.project, id, ...storm, up, over(null));
        expect(state.traits[id]?.[t.id] ?? v.none).toBe(v.none);
        expect(state.reverts).toEqual([]);
      }),
    );
  });
});

describe("waiting", () => {
  it("starts when the condition becomes true, is dropped when it stops, fires once, at its very moment", () => {
    const { b, id, t, v, now } = button();
    b.rule({
      trigger: { type: "delay", ms: 300 },
      when: { [t.id]: [v.two] },
      effects: [becomes(t.id, v.three)],
    });
    b.rule({ effects: [goes(t.id, "next")] });
    expect(now(play(b.project, id, 1000).state)).toBe("one");
    expect(now(play(b.project, id, ...click("root"), 299).state)).toBe("two");
    const late = play(b.project, id, ...click("root"), 5000);
    expect(now(late.state)).toBe("three");
    expect(late.events.at(-1)?.at).toBe(300);
    expect(now(play(b.project, id, ...click("root"), 200, ...click("root"), 5000).state)).toBe(
      "three",
    );
    expect(play(b.project, id, ...click("root"), 200, ...click("root"), 5000).events).toHaveLength(
      2,
    );
  });

  it("a loop through waits does not drift, however rarely time is told", () => {
    const { b, id, t, v } = button();
    const steps: [string, string][] = [
      [v.one, v.two],
      [v.two, v.three],
      [v.three, v.one],
    ];
    for (const [from, to] of steps)
      b.rule({
        trigger: { type: "delay", ms: 100 },
        when: { [t.id]: [from] },
        effects: [becomes(t.id, to)],
      });
    const often = play(b.project, id, ...Array.from({ length: 999 }, () => 17));
    const once = play(b.project, id, 999 * 17);
    expect(once.events.map((event) => event.at)).toEqual(often.events.map((event) => event.at));
    expect(once.events.map((event) => event.at).slice(0, 3)).toEqual([100, 200, 300]);
    expect(once.state.traits).toEqual(often.state.traits);
  });

  it("a loop without time passing is stopped and reported, and the rest goes on working", () => {
    const { b, id, t, v, now } = button();
    const rules = [
      b.rule({
        trigger: { type: "delay", ms: 0 },
        when: { [t.id]: [v.two] },
        effects: [becomes(t.id, v.three)],
      }),
      b.rule({
        trigger: { type: "delay", ms: 0 },
        when: { [t.id]: [v.three] },
        effects: [becomes(t.id, v.two)],
      }),
    ];
    b.rule({ when: { [t.id]: [v.one] }, effects: [becomes(t.id, v.two)] });
    b.rule({
      trigger: { type: "press" },
      when: { [t.id]: [v.two, v.three] },
      effects: [becomes(t.id, v.one)],
    });
    const { state, events } = play(b.project, id, ...click("root"), 100);
    const loops = events.filter((event) => event.type === "loop");
    expect(loops).toHaveLength(1);
    expect(loops[0]?.rules.map((r) => r.rule).sort()).toEqual([...rules].sort());
    expect(eventText(b.project, loops[0] as MachineEvent)?.text).toContain("loop");
    expect(now(step(b.project, state, down).state)).toBe("one");
  });
});

describe("broken rules", () => {
  it("are named and ignored, never a crash", () => {
    const { b, id, box, t, now } = button();
    const rule = b.rule({ source: box, effects: [goes(t.id, "next")] });
    const go = b.rule({ trigger: { type: "press" }, effects: [{ type: "go", screen: "nowhere" }] });
    expect(now(play(b.project, id, ...click(box)).state)).toBe("two");
    b.do(removeLayers(b.piece, [box]));
    const record = (r: string) => b.piece.rules[r] as NonNullable<(typeof b.piece.rules)[string]>;
    expect(ruleTrouble(b.project, b.piece, record(rule))).toContain("layer was deleted");
    expect(ruleTrouble(b.project, b.piece, record(go))).toContain("screen");
    expect(ruleText(b.project, b.piece, record(rule))).toContain("a deleted layer");
    expect(fired(play(b.project, id, ...click("root"), over(box), down, up).events)).toEqual([]);
    b.do(removeTrait(b.piece, b.piece.traits[t.id] as never));
    expect(ruleTrouble(b.project, b.piece, record(rule))).not.toBeNull();
    expect(ruleText(b.project, b.piece, record(rule))).toContain("a deleted trait");
  });
});

describe("nested copies", () => {
  it("handle an event themselves; the piece around still gets it on the copy, and both keep their own traits", () => {
    const b = new Builder();
    const component = b.new("component", "Switch");
    const knob = b.layer("box");
    const alerts = b.trait("Alerts", "off", "on");
    b.rule({ effects: [goes(alerts.id, "opposite")] });
    const outer = b.new("component", "Panel");
    const one = b.layer("instance", { component });
    const two = b.layer("instance", { component, [TRAIT + alerts.id]: alerts.v.on as string });
    const touched = b.trait("Touched", "no", "yes");
    b.rule({ source: one, effects: [becomes(touched.id, touched.v.yes as string)] });
    const { state, events } = play(b.project, outer, ...click(`${one}/${knob}`));
    expect(state.traits[`${outer}/${one}`]?.[alerts.id]).toBe(alerts.v.on);
    expect(state.traits[outer]?.[touched.id]).toBe(touched.v.yes);
    expect(events.map((event) => eventText(b.project, event)?.text)).toEqual([
      "Copy: click → Alerts on · cut",
      "Copy click → Touched yes · cut",
    ]);
    expect(
      play(b.project, outer, ...click(`${two}/${knob}`)).state.traits[`${outer}/${two}`]?.[
        alerts.id
      ],
    ).toBe(alerts.v.off);
  });

  it("follow when a variant of the piece around says another trait, and hidden ones do not wait", () => {
    const b = new Builder();
    const component = b.new("component", "Price");
    const season = b.trait("Season", "no", "yes");
    b.rule({ trigger: { type: "delay", ms: 100 }, effects: [goes(season.id, "opposite")] });
    const outer = b.new("component", "Panel");
    const copy = b.layer("instance", { component });
    const hidden = b.layer("instance", { component, visible: false });
    const pass = b.trait("Pass", "no", "yes");
    b.look({ [pass.id]: [pass.v.yes as string] }, copy, {
      [TRAIT + season.id]: season.v.yes as string,
    });
    b.rule({ effects: [goes(pass.id, "opposite")] });
    const { state } = play(b.project, outer, ...click(copy));
    expect(state.traits[`${outer}/${copy}`]?.[season.id]).toBe(season.v.yes);
    const later = play(b.project, outer, 500).state;
    expect(later.traits[`${outer}/${copy}`]?.[season.id]).toBe(season.v.yes);
    expect(later.traits[`${outer}/${hidden}`]).toBeUndefined();
  });
});

describe("replaying", () => {
  it("the same input gives the same run, always", () => {
    const project = kelpwayKit();
    const layers = [
      "dock/knob",
      "delays/track",
      "bicycle/square",
      "cabin",
      "root",
      "back",
      "heating/knob",
      null,
    ];
    const input = fc.oneof(
      fc.constantFrom(...layers).map((l) => over(l)),
      fc.constantFrom<Input>(down, up, cancel),
      fc.integer({ min: 1, max: 400 }),
    );
    fc.assert(
      fc.property(fc.array(input, { maxLength: 60 }), (script) => {
        expect(play(project, "trip-settings", ...script)).toEqual(
          play(project, "trip-settings", ...script),
        );
      }),
      { numRuns: 60 },
    );
  });
});
