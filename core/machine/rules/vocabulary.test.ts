import { describe, expect, it } from "vitest";
import {
  advance,
  claimOf,
  contest,
  isContact,
  isNavigation,
  isOfPiece,
  isPointed,
  isPressed,
  isShown,
  start,
  step,
} from "#core/machine";
import type { Input, MachineEvent, State } from "#core/machine";
import { inOrder, triggerTypes } from "#core/project";
import type { Effect, EffectType, Project, Rule, Trigger, TriggerType } from "#core/project";
import { keptProject, sampler } from "../../../tests/support/kept";

const kept = keptProject();
const rules = inOrder(sampler(kept).rules);
const motion = { kind: "cut", duration: 0, delay: 0, easing: "linear" } as const;
const rule = (trigger: Trigger, effects: readonly Effect[], more: Partial<Rule> = {}): Rule => ({
  id: "it",
  order: "a0",
  on: true,
  trigger,
  source: "box",
  when: {},
  effects,
  undo: false,
  motion,
  ...more,
});
const toOn: Effect = { type: "set", trait: "t", to: { value: "v1" } };

/** The kept piece with these rules alone. */
const withRules = (...list: readonly Rule[]): Project => ({
  ...kept,
  pieces: {
    ...kept.pieces,
    sampler: { ...sampler(kept), rules: Object.fromEntries(list.map((r) => [r.id, r])) },
  },
});

/** What happens when inputs come one after the other, 10 ms apart. */
const run = (
  project: Project,
  inputs: readonly Input[],
): { state: State; happened: MachineEvent[] } => {
  let state = start(project, "sampler");
  const happened: MachineEvent[] = [];
  const take = (result: { state: State; events: readonly MachineEvent[] }) => {
    state = result.state;
    happened.push(...result.events);
  };
  for (const input of inputs) {
    take(step(project, state, input));
    take(advance(project, state, state.now + 10));
  }
  return { state, happened };
};
const onto: Input = { type: "over", layer: "box" };
const away: Input = { type: "over", layer: null };
const click: readonly Input[] = [onto, { type: "down" }, { type: "up" }];
const focus: Input = { type: "focus", layer: "box" };

describe("every kind of trigger", () => {
  const firing = (inputs: readonly Input[], trigger: Trigger): number =>
    run(withRules(rule(trigger, [toOn])), inputs).happened.filter((event) => event.type === "fired")
      .length;

  it.each<[TriggerType, Partial<Trigger>, readonly Input[], readonly Input[]]>([
    ["click", {}, click, [onto, { type: "down" }, away, { type: "up" }]],
    ["double", {}, [...click, ...click], click],
    ["press", {}, [onto, { type: "down" }], [onto]],
    ["release", {}, click, [onto, { type: "down" }]],
    ["enter", {}, [onto], [away]],
    ["leave", {}, [onto, away], [onto]],
    ["hover", {}, [onto], [away]],
    ["focus", {}, [focus], [onto]],
    ["blur", {}, [focus, { type: "focus", layer: null }], [focus]],
    [
      "key",
      { key: "b" },
      [focus, { type: "key", key: "b", phase: "down" }],
      [focus, { type: "key", key: "c", phase: "down" }],
    ],
    ["seen", {}, [{ type: "seen", layers: ["box"] }], [{ type: "seen", layers: ["text"] }]],
  ])("%s fires on what it names, and on nothing else", (type, more, on, off) => {
    const trigger: Trigger = { type, ...more };
    expect([firing(on, trigger), firing(off, trigger)]).toEqual([1, 0]);
  });

  it("hold fires after its time, when nothing lets go before", () => {
    const project = withRules(rule({ type: "hold", ms: 400 }, [toOn]));
    const pressed = run(project, [onto, { type: "down" }]).state;
    expect(advance(project, pressed, pressed.now + 500).state.traits.sampler?.t).toBe("v1");
    const let_ = step(project, pressed, { type: "up" }).state;
    expect(advance(project, let_, let_.now + 500).state.traits.sampler?.t ?? "v0").toBe("v0");
  });

  it("delay fires once its time has passed", () => {
    const project = withRules(rule({ type: "delay", ms: 300 }, [toOn], { source: null }));
    const begun = start(project, "sampler");
    expect(advance(project, begun, 299).state.traits.sampler?.t ?? "v0").toBe("v0");
    expect(advance(project, begun, 301).state.traits.sampler?.t).toBe("v1");
  });

  it("is a press, a pointer's coming and going, a contact, or about the whole piece", () => {
    const of = (test: (r: Rule) => boolean) =>
      triggerTypes.filter((type) => test(rule({ type }, [toOn])));
    expect(of(isPressed)).toEqual(["click", "double", "press", "release", "hold", "drag"]);
    expect(of(isPointed).filter((t) => !of(isPressed).includes(t))).toEqual([
      "enter",
      "leave",
      "hover",
    ]);
    expect(triggerTypes.filter(isContact)).toEqual(["press", "hold", "hover", "focus"]);
    expect(triggerTypes.filter(isOfPiece)).toEqual(["delay", "settled"]);
  });
});

describe("every kind of effect", () => {
  const kinds = new Map(
    rules.flatMap((r) => r.effects.map((e): [EffectType, Effect] => [e.type, e])),
  );
  const does = (kind: EffectType, before: readonly Input[] = []) => {
    const effect = kinds.get(kind);
    if (!effect) throw new Error(`no ${kind}`);
    return run(withRules(rule({ type: "click" }, [effect])), [...before, ...click]);
  };
  const types = (kind: EffectType) => does(kind).happened.map((event) => event.type);

  it("tells of what it does", () => {
    expect(types("go")).toContain("navigated");
    expect(types("open")).toContain("opened");
    expect(types("raise")).toContain("signalled");
    expect(types("address")).toContain("address");
    expect(types("scroll")).toContain("scrollTo");
    expect(types("clip")).toContain("clip");
  });

  it("sets its own traits, those of copies, and their options", () => {
    expect(does("set").state.traits.sampler?.t).not.toBe("v0");
    expect(Object.keys(does("nested").state.traits)).toContain("sampler/instance");
  });

  it("shows the piece, a change of screens, or nothing", () => {
    const of = (test: (e: Effect) => boolean) =>
      [...kinds.values()].filter(test).map((e) => e.type);
    expect(of(isNavigation).sort()).toEqual(["back", "close", "go", "open"]);
    expect(of((e) => !isShown(e)).sort()).toEqual(["address", "raise"]);
  });

  it("competes with those that take hold of the same; any number may stir", () => {
    const claims = [...kinds.values()].map((e): [string, string | null] => [e.type, claimOf(e)]);
    expect(Object.fromEntries(claims)).toMatchObject({
      go: "screen",
      back: "screen",
      stir: null,
      clip: "clip picture",
      seek: "clip picture",
      raise: "signal s",
    });
    const [go, back, stir] = (["go", "back", "stir"] as const).map((kind) => kinds.get(kind));
    if (!go || !back || !stir) throw new Error("missing");
    const list = [go, back, stir, stir].map((e, i) =>
      rule({ type: "click" }, [e], { id: `r${i}` }),
    );
    const { wins, losses } = contest(list);
    expect(wins.map((r) => r.id)).toEqual(["r0", "r2", "r3"]);
    expect(losses.map((l) => [l.rule.id, l.to.id])).toEqual([["r1", "r0"]]);
  });
});
