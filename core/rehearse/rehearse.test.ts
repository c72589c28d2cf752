import { beforeAll, describe, expect, it } from "vitest";
import type { LayoutEnv } from "#core/layout";
import { accept } from "#core/project";
import type { Step } from "#core/project";
import { Recorder, rehearse, stepText } from "#core/rehearse";
import { testEnv } from "../../tests/support/env";
import { Builder, becomes } from "../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

/** A lamp that goes on in a second, with a word on it; and a screen it hangs on. */
const lamp = () => {
  const b = new Builder();
  const id = b.new("component", "Lamp");
  const bulb = b.layer("box", { x: 10, y: 10, width: 40, height: 40 });
  const word = b.layer("text", { text: "Dark", x: 0, y: 60 });
  const lit = b.trait("Lit", "no", "yes");
  b.look({ [lit.id]: [lit.v.yes as string] }, bulb, { x: 60, fill: "#ffcc00" }).look(
    { [lit.id]: [lit.v.yes as string] },
    word,
    { text: "Bright" },
  );
  b.rule({
    source: bulb,
    effects: [becomes(lit.id, lit.v.yes as string)],
    motion: { kind: "tween", duration: 1000, delay: 0, easing: "linear" },
  });
  const screen = b.new("screen", "Mole");
  const copy = b.layer("instance", { component: id, x: 100, y: 100 });
  return { b, id, bulb, lit, screen, copy };
};

describe("rehearsing", () => {
  it("does what it says on the virtual clock and sees what is expected, at any moment", () => {
    const { b, id, bulb, lit } = lamp();
    const steps: Step[] = [
      { do: "text", text: "Dark", shown: true },
      { do: "click", layer: bulb },
      { do: "trait", at: "", trait: lit.id, value: lit.v.yes as string },
      { do: "wait", ms: 500 },
      { do: "layer", layer: bulb, key: "x", value: 35, within: 0.001 },
      { do: "settle" },
      { do: "layer", layer: bulb, key: "x", value: 60, within: 0 },
      { do: "layer", layer: bulb, key: "fill", value: "#ffcc00", within: 0 },
      { do: "layer", layer: bulb, key: "visible", value: true, within: 0 },
      { do: "text", text: "Dark", shown: false },
    ];
    expect(rehearse(env, b.project, id, steps)).toBeNull();
    expect(rehearse(env, b.project, id, steps)).toBeNull();
  });

  it("says at which step it fails, when, and what is instead", () => {
    const { b, id, bulb, lit, screen, copy } = lamp();
    const no = lit.v.no as string;
    expect(
      rehearse(env, b.project, id, [
        { do: "click", layer: bulb },
        { do: "wait", ms: 250 },
        { do: "trait", at: "", trait: lit.id, value: no },
      ]),
    ).toEqual({ step: 2, at: 250, why: "Lit is yes" });
    expect(
      rehearse(env, b.project, id, [{ do: "layer", layer: bulb, key: "x", value: 12, within: 1 }])
        ?.why,
    ).toBe("it is 10");
    expect(rehearse(env, b.project, id, [{ do: "click", layer: "nowhere" }])?.why).toBe(
      "the layer is not visible",
    );
    expect(rehearse(env, b.project, id, [{ do: "text", text: "Dark", shown: false }])?.why).toBe(
      "the text is visible",
    );
    expect(rehearse(env, b.project, screen, [{ do: "screen", screen: id }])?.why).toBe(
      "Mole is visible",
    );
    expect(
      rehearse(env, b.project, screen, [
        { do: "click", layer: `${copy}/${bulb}` },
        { do: "trait", at: copy, trait: lit.id, value: no },
      ])?.why,
    ).toBe("Lit is yes");
    expect(
      rehearse(env, b.project, screen, [{ do: "trait", at: "gone", trait: lit.id, value: no }])
        ?.why,
    ).toBe("that copy is not visible");
  });

  it("gives up waiting for what never comes to rest", () => {
    const { b, id, lit } = lamp();
    for (const [from, to] of [
      ["no", "yes"],
      ["yes", "no"],
    ] as const)
      b.on(id).rule({
        trigger: { type: "delay", ms: 300 },
        when: { [lit.id]: [lit.v[from] as string] },
        effects: [becomes(lit.id, lit.v[to] as string)],
      });
    expect(rehearse(env, b.project, id, [{ do: "settle" }])?.why).toBe("it never settles");
  });

  it("every step is a sentence, and the project takes only steps that make sense", () => {
    const { b, id, bulb, lit, screen, copy } = lamp();
    const piece = b.project.pieces[screen] as never;
    const text = (s: Step) => stepText(b.project, piece, s);
    expect(text({ do: "click", layer: `${copy}/${bulb}` })).toBe("click Copy › Box");
    expect(text({ do: "drag", layer: copy, by: [-40, 0], ms: 300 })).toBe(
      "drag Copy 40 px left in 300 ms",
    );
    expect(text({ do: "trait", at: copy, trait: lit.id, value: lit.v.yes as string })).toBe(
      "expect Copy: Lit is yes",
    );
    expect(
      text({ do: "layer", layer: `${copy}/${bulb}`, key: "opacity", value: 0.5, within: 0.1 }),
    ).toBe("expect the opacity of Copy › Box to be 0.5 ± 0.1");
    const put = (steps: unknown) =>
      accept(b.project, {
        label: "x",
        ops: [
          {
            op: "set",
            path: ["pieces", id, "rehearsals", "r"],
            value: { id: "r", name: "R", order: "a0", steps },
          },
        ],
      });
    expect(put([{ do: "click", layer: bulb }]).ok).toBe(true);
    for (const bad of [
      [{ do: "click", layer: "a//b" }],
      [{ do: "wait", ms: -1 }],
      [{ do: "explode" }],
      [{ do: "click" }],
    ])
      expect(put(bad).ok).toBe(false);
  });
});

describe("recording", () => {
  const at = (n: number, type: "move" | "down" | "up", layer: string | null, x = 0) =>
    ({ type, at: n, layer, x, y: 0, touch: false }) as const;

  it("makes clicks, presses, drags and pauses of what the hand did, and what it makes does the same again", () => {
    const r = new Recorder();
    for (const act of [
      at(0, "move", "knob"),
      at(20, "down", "knob"),
      at(90, "up", "knob"),
      at(600, "move", null),
      at(1200, "move", "knob"),
      at(1300, "down", "knob"),
      at(2000, "up", "knob"),
      at(3000, "down", "knob", 10),
      at(3200, "up", "knob", 90),
    ])
      r.take(act);
    r.take({ type: "key", at: 3210, key: "Enter" });
    // what is typed letter by letter is one step
    for (const [i, text] of ["I", "Id", "Ida"].entries())
      r.take({ type: "fill", at: 3220 + i * 200, layer: "name", text });
    expect(r.recorded).toEqual([
      { do: "click", layer: "knob" },
      { do: "wait", ms: 510 },
      { do: "point", layer: null },
      { do: "wait", ms: 700 },
      { do: "point", layer: "knob" },
      { do: "press" },
      { do: "wait", ms: 700 },
      { do: "release" },
      { do: "wait", ms: 1000 },
      { do: "drag", layer: "knob", by: [80, 0], ms: 200 },
      { do: "key", key: "Enter" },
      { do: "fill", layer: "name", text: "Ida" },
    ]);
  });

  it("a press that is moved off is kept as such, gliding over things is one movement, and a tap is a tap", () => {
    const r = new Recorder();
    for (const act of [
      at(0, "move", "a"),
      at(10, "move", "b"),
      at(30, "move", "c"),
      at(500, "down", "c", 0),
      at(800, "up", null, 300),
    ])
      r.take(act);
    r.take({ type: "down", at: 2000, layer: "a", x: 0, y: 0, touch: true });
    r.take({ type: "up", at: 2050, layer: "a", x: 0, y: 0, touch: true });
    expect(r.recorded).toEqual([
      { do: "wait", ms: 500 },
      { do: "point", layer: "c" },
      { do: "press" },
      { do: "wait", ms: 300 },
      { do: "point", layer: null },
      { do: "release" },
      { do: "wait", ms: 1200 },
      { do: "tap", layer: "a" },
    ]);
  });
});
