import { beforeAll, describe, expect, it } from "vitest";
import type { LayoutEnv } from "#core/layout";
import { overlayPart } from "#core/machine";
import { ROOT } from "#core/project";
import { Run, answering, presented } from "#core/runtime";
import { becomes, Builder, goes } from "../../tests/support/pieces";
import { testEnv } from "../../tests/support/env";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const answeringNow = (b: Builder, run: Run): string[] => {
  const goal = run.goal();
  return goal ? answering(b.project, run.inside, goal) : [];
};

/** A lamp that lights by a click and glows while it is hovered, twice on a quay; and a notice. */
const quay = () => {
  const b = new Builder();
  const lamp = b.new("component", "Lamp");
  b.look({}, ROOT, { width: 40, height: 40, fill: "#e3b341" });
  const lit = b.trait("Lit", "no", "yes");
  const glow = b.trait("Glow", "no", "yes");
  b.rule({ source: null, effects: [goes(lit.id, "opposite")] });
  b.rule({
    source: null,
    trigger: { type: "hover" },
    undo: true,
    effects: [becomes(glow.id, glow.v.yes as string)],
  });
  const notice = b.new("screen", "Notice");
  const closer = b.layer("box", { x: 20, y: 20, width: 40, height: 40, fill: "#1f6f5c" });
  b.rule({ source: closer, effects: [{ type: "close" }] });
  const screen = b.new("screen", "Quay");
  const left = b.layer("instance", { component: lamp, x: 10, y: 10 });
  const right = b.layer("instance", { component: lamp, x: 100, y: 10 });
  const bell = b.layer("box", { x: 10, y: 100, width: 40, height: 40, fill: "#b3402e" });
  const wall = b.layer("box", { x: 100, y: 100, width: 40, height: 40, fill: "#20302e" });
  const fog = b.trait("Fog", "none", "thick");
  b.rule({
    source: bell,
    when: { [fog.id]: [fog.v.none as string] },
    effects: [becomes(fog.id, fog.v.thick as string)],
  });
  const run = new Run(env, b.project, screen);
  return { b, run, screen, notice, closer, left, right, bell, wall, lit, fog };
};

describe("what is shown, as somebody can be led to it", () => {
  it("is the traits that are not as they start, without what a contact only lends", () => {
    const { b, run, screen, right, lit, fog } = quay();
    expect(presented(b.project, run.inside)).toEqual({ screen, overlays: [], traits: [] });
    run.pointer("move", 120, 20);
    run.pointer("down", 120, 20);
    run.pointer("up", 120, 20);
    expect(presented(b.project, run.inside).traits).toEqual([
      { at: right, trait: lit.id, value: lit.v.yes },
    ]);
    run.pointer("move", 20, 110);
    run.pointer("down", 20, 110);
    run.pointer("up", 20, 110);
    expect(presented(b.project, run.inside).traits).toEqual([
      { at: "", trait: fog.id, value: fog.v.thick },
      { at: right, trait: lit.id, value: lit.v.yes },
    ]);
  });

  it("is not changed by what is no trait or value of the piece, whatever it is called", () => {
    const { b, run, screen, fog } = quay();
    for (const [trait, value] of [
      ["__proto__", "x"],
      ["constructor", "length"],
      [fog.id, "__proto__"],
      [fog.id, "toString"],
    ] as const)
      run.input({ type: "show", at: screen, trait, value });
    expect(presented(b.project, run.inside).traits).toEqual([]);
  });

  it("names what lies over the screen, and back takes that away", () => {
    const { b, run, notice } = quay();
    run.input({ type: "overlay", screen: notice });
    expect(presented(b.project, run.inside).overlays).toEqual([notice]);
    run.input({ type: "back" });
    expect(presented(b.project, run.inside).overlays).toEqual([]);
  });
});

describe("what answers", () => {
  it("is what a rule listens on whose condition holds, and takes the pointer", () => {
    const { b, run, left, right, bell, fog, screen } = quay();
    expect([...answeringNow(b, run)].sort()).toEqual(
      [`${left}/root`, `${right}/root`, bell].sort(),
    );
    run.input({ type: "show", at: screen, trait: fog.id, value: fog.v.thick as string });
    expect([...answeringNow(b, run)].sort()).toEqual([`${left}/root`, `${right}/root`].sort());
  });

  it("is only what the overlay in front has, while there is one", () => {
    const { b, run, notice, closer } = quay();
    run.input({ type: "overlay", screen: notice });
    expect(answeringNow(b, run)).toEqual([`${overlayPart(notice)}/${closer}`]);
  });

  it("is an entry and what sends a form, too, and a key of a layer that can have the focus", () => {
    const b = new Builder();
    const id = b.new("component", "Form");
    const name = b.layer("text", { text: "Your name", entry: "typing" });
    const send = b.layer("box", { y: 40, width: 60, height: 24, fill: "#1f6f5c", sends: true });
    const gone = b.layer("box", { y: 80, width: 60, height: 24, fill: "#1f6f5c", opacity: 0 });
    const keyed = b.layer("box", { y: 120, width: 60, height: 24, fill: "#1f6f5c" });
    b.rule({ source: gone, effects: [{ type: "back" }] });
    b.rule({ source: keyed, trigger: { type: "key", key: "a" }, effects: [{ type: "back" }] });
    const run = new Run(env, b.project, id);
    expect([...answeringNow(b, run)].sort()).toEqual([name, send, keyed].sort());
  });
});
