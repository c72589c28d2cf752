import { beforeAll, describe, expect, it } from "vitest";
import type { LayoutEnv } from "#core/layout";
import { ROOT } from "#core/project";
import type { Motion } from "#core/project";
import { Run } from "#core/runtime";
import { becomes, Builder, goes } from "../../tests/support/pieces";
import { testEnv } from "../../tests/support/env";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const slow: Motion = { kind: "tween", duration: 400, delay: 0, easing: "linear" };
const full = { x: 0, y: 0, width: 100, height: 100 };

/** A component of 100 × 100 px with a trait that rules may set. */
const begun = () => {
  const b = new Builder();
  const id = b.new("component", "Berth sign");
  b.look({}, ROOT, { width: 100, height: 100 });
  const lit = b.trait("Lit", "no", "yes");
  const on = { [lit.id]: [lit.v.yes as string] };
  const run = () => new Run(env, b.project, id);
  return { b, id, lit, on, run };
};
const hitAt = (run: Run, x: number, y: number) => run.hit(x, y)?.path ?? null;

describe("what is unseen is untouchable", () => {
  it.each([
    ["opacity 0", { opacity: 0 }],
    ["scaled to nothing", { scale: [0, 1] }],
    ["not shown", { visible: false }],
  ] as const)("%s", (_, unseen) => {
    const { b, run } = begun();
    const below = b.layer("box", { ...full, fill: "#1f6f5c" });
    const group = b.layer("box", { ...full });
    const above = b.layer("box", { ...full, fill: "#d9622b" }, group);
    b.rule({ source: above, effects: [{ type: "back" }] });
    expect(hitAt(run(), 50, 50)).toBe(above);
    b.look({}, group, unseen);
    expect(hitAt(run(), 50, 50)).toBe(below);
    expect(run().tab(1)).toBe(false);
    b.look({}, above, { pointer: "always" });
    const stillThere = "opacity" in unseen ? above : below;
    expect(hitAt(run(), 50, 50)).toBe(stillThere);
  });

  it("cut off by a clip around it, but not what a scroller has out of sight", () => {
    const { b, run } = begun();
    const window = b.layer("box", { x: 0, y: 0, width: 100, height: 40, clip: true });
    const gone = b.layer("box", { x: 0, y: 60, width: 50, height: 20, fill: "#d9622b" }, window);
    b.rule({ source: gone, effects: [{ type: "back" }] });
    expect(run().tab(1)).toBe(false);
    b.look({}, window, { clip: false, scrolls: "down" });
    expect(run().tab(1)).toBe(true);
  });

  it("beyond a mask", () => {
    const { b, run } = begun();
    const below = b.layer("box", { ...full, fill: "#1f6f5c" });
    const group = b.layer("box", full);
    b.layer("ellipse", { ...full, masks: true, fill: "#000000" }, group);
    const picture = b.layer("box", { ...full, fill: "#d9622b" }, group);
    expect(hitAt(run(), 50, 50)).toBe(picture);
    expect(hitAt(run(), 3, 3)).toBe(below);
  });

  it("is judged by the variant being gone to: what fades out lets go at once", () => {
    const { b, lit, on, run } = begun();
    const below = b.layer("box", { ...full, fill: "#1f6f5c" });
    const above = b.layer("box", { ...full, fill: "#d9622b" });
    b.look(on, above, { opacity: 0 });
    b.rule({ source: above, effects: [goes(lit.id, "opposite")], motion: slow });
    b.rule({ source: below, effects: [goes(lit.id, "opposite")], motion: slow });
    const it = run();
    const click = () => {
      it.pointer("move", 50, 50);
      it.pointer("down", 50, 50);
      it.pointer("up", 50, 50);
    };
    click();
    it.advanceTo(40);
    expect([hitAt(it, 50, 50), it.variant()[lit.id]]).toEqual([below, lit.v.yes]);
    click();
    it.advanceTo(41);
    expect([hitAt(it, 50, 50), it.variant()[lit.id]]).toEqual([above, lit.v.no]);
  });

  it("takes the focus away from what is hidden while it has it", () => {
    const { b, lit, on, run } = begun();
    const field = b.layer("box", { ...full, fill: "#1f6f5c" });
    b.look(on, field, { opacity: 0 });
    b.rule({
      source: field,
      trigger: { type: "key", key: "h" },
      effects: [becomes(lit.id, lit.v.yes as string)],
    });
    const it = run();
    it.tab(1);
    expect(it.focus()).toBe(field);
    it.key("h", "down");
    expect(it.focus()).toBeNull();
  });
});

describe("a mark belongs to what it lies on", () => {
  it.each([
    ["text", { text: "Depart" }, true],
    ["icon", {}, true],
    ["line", {}, true],
    ["picture", {}, true],
    ["box", {}, true],
    ["box", { borderColour: "#20302e", borderWidth: 2 }, true],
    ["box", { fill: "#20302e00" }, true],
    ["path", { borderColour: "#20302e", borderWidth: 2 }, true],
    ["box", { fill: "#d9622b" }, false],
    ["ellipse", { fill: "#d9622b" }, false],
    ["polygon", { fill: "#d9622b", sides: 6 }, false],
  ] as const)("%s %j lets the pointer through: %s", (kind, values, lets) => {
    const { b, run } = begun();
    const below = b.layer("box", { ...full, fill: "#1f6f5c" });
    const mark = b.layer(kind, { x: 20, y: 20, width: 60, height: 60, ...values });
    const middle = kind === "text" ? 28 : 50;
    expect(hitAt(run(), middle, middle)).toBe(lets ? below : mark);
    b.rule({ source: mark, effects: [{ type: "back" }] });
    expect(hitAt(run(), middle, middle)).toBe(mark);
  });

  it("takes it where a working rule names it, whatever its condition; not where that is switched off or tells of time", () => {
    const { b, lit, run } = begun();
    const below = b.layer("box", { ...full, fill: "#1f6f5c" });
    const words = b.layer("text", { x: 0, y: 0, width: 100, widthMode: "fixed", text: "Depart" });
    const on = { [lit.id]: [lit.v.yes as string] };
    b.rule({ source: words, on: false, effects: [{ type: "back" }] });
    b.rule({ source: words, trigger: { type: "delay", ms: 9 }, effects: [{ type: "back" }] });
    expect(hitAt(run(), 50, 8)).toBe(below);
    b.rule({ source: words, when: on, effects: [{ type: "back" }] });
    expect(hitAt(run(), 50, 8)).toBe(words);
    b.look({}, words, { pointer: "never" });
    expect(hitAt(run(), 50, 8)).toBe(below);
  });

  it.each([
    ["text", { text: "Depart", entry: "typing" }],
    ["picture", { plays: 900 }],
    ["box", { scrolls: "down" }],
    ["icon", { sends: true }],
  ] as const)("%s %j is made for it", (kind, values) => {
    const { b, run } = begun();
    b.layer("box", { ...full, fill: "#1f6f5c" });
    const made = b.layer(kind, { x: 0, y: 0, width: 24, height: 24, ...values });
    expect(hitAt(run(), 5, 5)).toBe(made);
  });
});

describe("an unfilled frame", () => {
  it("takes the pointer only where a rule has the whole piece as its source, over its layers and the room between", () => {
    const { b, lit, run } = begun();
    b.layer("icon", { x: 10, y: 40, width: 20, height: 20 });
    b.layer("text", { x: 40, y: 40, width: 40, widthMode: "fixed", text: "Go" });
    const hidden = b.layer("box", { x: 0, y: 0, width: 100, height: 20, fill: "#d9622b" });
    b.look({}, hidden, { opacity: 0 });
    expect(hitAt(run(), 15, 45)).toBeNull();
    b.rule({ effects: [goes(lit.id, "opposite")] });
    const hits = [15, 35, 60].map((x) => hitAt(run(), x, 45));
    expect(hits).toEqual([ROOT, ROOT, ROOT]);
    const beside = [hitAt(run(), 15, 10), hitAt(run(), 95, 45), hitAt(run(), 15, 95)];
    expect(beside).toEqual([null, null, null]);
    b.look({}, ROOT, { touch: 10 });
    expect([hitAt(run(), 85, 45), hitAt(run(), 97, 45)]).toEqual([ROOT, null]);
    b.look({}, ROOT, { touch: 0, pointer: "always" });
    expect(hitAt(run(), 97, 97)).toBe(ROOT);
  });

  it("with a border or a shadow takes all of it: one sees how large it is", () => {
    const { b, lit, run } = begun();
    b.look({}, ROOT, { borderColour: "#20302e", borderWidth: 1 });
    b.rule({ effects: [goes(lit.id, "opposite")] });
    expect(hitAt(run(), 90, 90)).toBe(ROOT);
  });

  it("of a copy that a rule around listens on is touched over what the copy shows", () => {
    const { b, id } = begun();
    b.layer("ellipse", { x: 40, y: 40, width: 20, height: 20, fill: "#1f6f5c" });
    const screen = b.new("screen", "Chart");
    const copy = b.layer("instance", { component: id, x: 100, y: 100 });
    const run = () => new Run(env, b.project, screen);
    expect(hitAt(run(), 105, 105)).toBe(ROOT);
    b.rule({ source: copy, effects: [{ type: "back" }] });
    const ellipse = Object.keys(b.project.pieces[id]?.layers ?? {}).find((l) => l !== ROOT);
    expect(hitAt(run(), 105, 105)).toBe(ROOT);
    expect(hitAt(run(), 142, 142)).toBe(copy);
    expect(hitAt(run(), 150, 150)).toBe(`${copy}/${ellipse}`);
  });
});
