import { describe, expect, it } from "vitest";
import {
  addRule,
  addTraitValue,
  copyRules,
  duplicateLayers,
  duplicatePiece,
  duplicateTraitValue,
  lastWiring,
  nextMotion,
  setTraitMotion,
  pasteRules,
  readRules,
  removeRules,
  rulesAbout,
  rulesAlong,
  rulesForValue,
  setRules,
  wire,
  wireEffects,
  wireScopes,
} from "#core/edit";
import type { Id } from "#core/basics";
import { valuesIn, variantsOf } from "#core/looks";
import { brokenRule } from "#core/machine";
import type { Piece, Trait, Variant } from "#core/project";
import { becomes, Builder, goes } from "../../../tests/support/pieces";

/** A lock gate: open or shut, lit or not, on three steps. */
const gate = () => {
  const b = new Builder();
  const id = b.new("component", "Gate");
  const left = b.layer("box");
  const right = b.layer("box");
  const open = b.trait("Open", "no", "yes");
  const lit = b.trait("Lit", "no", "yes");
  const step = b.trait("Step", "one", "two", "three");
  const card = (o: string, l: string, s: string): Variant => ({
    [open.id]: open.v[o] as Id,
    [lit.id]: lit.v[l] as Id,
    [step.id]: step.v[s] as Id,
  });
  return { b, id, left, right, open, lit, step, card };
};

describe("a wire from card to card", () => {
  it("says what must change, and nothing else", () => {
    const { b, open, step, card } = gate();
    expect(
      wireEffects(b.piece, [card("no", "yes", "one")], { variant: card("yes", "yes", "three") }),
    ).toEqual([becomes(open.id, open.v.yes as Id), becomes(step.id, step.v.three as Id)]);
    expect(
      wireEffects(b.piece, [card("no", "no", "one"), card("yes", "no", "one")], {
        variant: card("yes", "no", "one"),
      }),
    ).toEqual([becomes(open.id, open.v.yes as Id)]);
    expect(
      wireEffects(b.piece, [card("no", "no", "one")], { variant: card("no", "no", "one") }),
    ).toEqual([]);
    expect(wireEffects(b.piece, [card("no", "no", "one")], { screen: "pier", over: true })).toEqual(
      [{ type: "open", screen: "pier" }],
    );
  });

  it("offers conditions from wide to narrow, with the variants each covers; usual is where what changes is as it was", () => {
    const { b, left, open, lit, step, card } = gate();
    const scopes = wireScopes(b.piece, [card("no", "yes", "one")], {
      variant: card("yes", "yes", "one"),
    });
    expect(scopes.map((s) => s.covers.length)).toEqual([12, 6, 3, 1]);
    expect(scopes.map((s) => s.usual)).toEqual([false, true, false, false]);
    expect(scopes[1]?.when).toEqual({ [open.id]: [open.v.no] });
    expect(scopes[2]?.when).toEqual({ [open.id]: [open.v.no], [lit.id]: [lit.v.yes] });
    const several = wireScopes(b.piece, [card("no", "no", "one"), card("no", "no", "two")], {
      variant: card("no", "no", "three"),
    });
    expect(several.find((s) => s.usual)).toMatchObject({
      when: { [step.id]: [step.v.one, step.v.two] },
    });
    // a layer for each of several values chooses its value from wherever one is; unless it has a
    // rule for that already
    const tab = () =>
      wireScopes(b.piece, [card("no", "no", "one")], { variant: card("no", "no", "three") }, [
        left,
      ]).find((s) => s.usual)?.when;
    expect(tab()).toEqual({});
    b.rule({ source: left, effects: [goes(step.id, "next")] });
    expect(tab()).toEqual({ [step.id]: [step.v.one] });
    expect(
      wireScopes(b.piece, [card("no", "no", "one")], { screen: "pier", over: false }).find(
        (s) => s.usual,
      )?.when,
    ).toEqual({});
  });

  it("proposes the motion of the trait that is set, before that used last", () => {
    const { b, left, open } = gate();
    const slow = { kind: "tween", duration: 640, delay: 0, easing: "ease-out" } as const;
    b.do(setTraitMotion(b.piece, open.id, { ...slow, lanes: [] }));
    const effects = [becomes(open.id, open.v.yes as Id)];
    expect(b.piece.traits[open.id]?.motion).toEqual(slow);
    expect(nextMotion(b.piece, effects)).toEqual(slow);
    const made = addRule(b.piece, { source: left, effects });
    b.do(made.change);
    expect(b.piece.rules[made.id]?.motion).toEqual(slow);
    b.do(setTraitMotion(b.piece, open.id, null));
    expect(b.piece.traits[open.id]).not.toHaveProperty("motion");
  });

  it("makes a rule for each layer in one step, with what was used last", () => {
    const { b, left, right, open } = gate();
    expect(lastWiring(b.piece).trigger.type).toBe("click");
    b.rule({
      trigger: { type: "press" },
      effects: [goes(open.id, "next")],
      motion: { kind: "fade", duration: 90, delay: 0, easing: "ease" },
    });
    const last = lastWiring(b.piece);
    expect(last).toMatchObject({
      trigger: { type: "press" },
      motion: { kind: "fade", duration: 90 },
    });
    const made = wire(b.piece, [left, right], {
      ...last,
      when: {},
      effects: [becomes(open.id, open.v.yes as Id)],
    });
    b.do(made.change);
    expect(made.ids.map((id) => b.piece.rules[id]?.source)).toEqual([left, right]);
    expect(wire(b.piece, ["root"], { ...last, when: {}, effects: [] }).change.ops[0]).toMatchObject(
      { value: { source: null } },
    );
  });
});

describe("rules that are copied", () => {
  it("into another piece look for what they name by its name, values within their own trait; the rest shows as broken", () => {
    const { b, left, open, lit } = gate();
    const rule = b.rule({
      source: left,
      when: { [lit.id]: [lit.v.no as Id] },
      effects: [becomes(open.id, open.v.yes as Id)],
    });
    const gone = b.rule({ source: b.layer("ellipse"), effects: [goes(open.id, "next")] });
    const clip = readRules(JSON.stringify(copyRules(b.piece, [rule, gone])));
    if (!clip) throw new Error("not read");
    b.new("component", "Lock");
    const box = b.layer("box");
    const there = b.trait("Lit", "no", "yes");
    const opens = b.trait("Open", "yes", "no");
    const made = pasteRules(b.piece, clip);
    b.do(made.change);
    const [one, two] = made.ids.map((id) => b.piece.rules[id]);
    expect(one).toMatchObject({
      source: box,
      when: { [there.id]: [there.v.no] },
      effects: [{ trait: opens.id, to: { value: opens.v.yes } }],
    });
    expect(two && brokenRule(b.project, b.piece, two)).toEqual(["source"]);
    expect([
      readRules("{}"),
      readRules("not json"),
      readRules(JSON.stringify({ ...clip, rules: [{ ...clip.rules[0], motion: null }] })),
    ]).toEqual([null, null, null]);
  });

  it("come along with duplicated layers, pointing at the duplicates", () => {
    const { b, left, right, open } = gate();
    b.rule({ source: left, effects: [goes(open.id, "next")] });
    b.rule({ source: right, effects: [goes(open.id, "next")] });
    const made = duplicateLayers(b.piece, [left], { dx: 10, dy: 0 });
    b.do(made.change);
    expect(rulesAbout(b.piece, [...made.twins.keys()])).toHaveLength(1);
    const along = rulesAlong(b.piece, made.twins);
    b.do(along.change);
    expect(along.ids.map((id) => b.piece.rules[id]?.source)).toEqual(made.ids);
    expect(Object.keys(b.piece.rules)).toHaveLength(3);
  });

  it("come along to a value made from another: what leads on gets a twin, what holds in several holds in one more", () => {
    const { b, step, lit } = gate();
    const leads = b.rule({
      when: { [step.id]: [step.v.two as Id] },
      trigger: { type: "delay", ms: 50 },
      effects: [becomes(step.id, step.v.three as Id)],
    });
    const holds = b.rule({
      when: { [step.id]: [step.v.one as Id, step.v.two as Id] },
      effects: [goes(lit.id, "next")],
    });
    const added = addTraitValue(b.piece, b.piece.traits[step.id] as Trait, "again");
    b.do(added.change);
    const along = rulesForValue(b.piece, step.id, step.v.two as Id, added.id);
    b.do(along.change);
    expect(along.ids.map((id) => b.piece.rules[id]?.when)).toEqual([{ [step.id]: [added.id] }]);
    expect(b.piece.rules[holds]?.when[step.id]).toEqual([step.v.one, step.v.two, added.id]);
    expect(b.piece.rules[leads]?.when[step.id]).toEqual([step.v.two]);
  });

  it("a duplicated value looks as the other does in every variant, and a duplicated piece is the same piece", () => {
    const { b, left, step, lit } = gate();
    b.look({ [step.id]: [step.v.two as Id] }, left, { x: 20 })
      .look({ [step.id]: [step.v.two as Id], [lit.id]: [lit.v.yes as Id] }, left, { x: 30 })
      .look({ [lit.id]: [lit.v.yes as Id] }, left, { x: 40, y: 5 });
    const made = duplicateTraitValue(b.piece, b.piece.traits[step.id] as Trait, step.v.two as Id);
    b.do(made.change);
    for (const v of variantsOf(b.piece).filter((v) => v[step.id] === made.id))
      expect(valuesIn(b.project, b.piece, v, b.layerOf(left))).toEqual(
        valuesIn(b.project, b.piece, { ...v, [step.id]: step.v.two as Id }, b.layerOf(left)),
      );
    b.rule({ effects: [goes(lit.id, "next")] });
    const whole = duplicatePiece(b.project, b.piece, true);
    const bare = duplicatePiece(b.project, b.piece, false);
    b.do(whole.change).do(bare.change);
    const [one, two] = [whole.id, bare.id].map((id) => b.project.pieces[id] as Piece);
    expect([one?.name, one?.rules, two?.rules]).toEqual(["Gate 2", b.piece.rules, {}]);
    expect(one?.looks).toEqual(b.piece.looks);
  });

  it("are changed and removed together in one step", () => {
    const { b, open } = gate();
    const ids = [1, 2, 3].map(() => b.rule({ effects: [goes(open.id, "next")] }));
    b.do(
      setRules(b.piece, ids.slice(0, 2), {
        motion: { kind: "tween", duration: 200, delay: 0, easing: "linear" },
        on: false,
      }),
    );
    expect(ids.map((id) => [b.piece.rules[id]?.motion.duration, b.piece.rules[id]?.on])).toEqual([
      [200, false],
      [200, false],
      [0, true],
    ]);
    b.do(removeRules(b.piece, ids.slice(1)));
    expect(Object.keys(b.piece.rules)).toEqual([ids[0]]);
  });
});
