import { describe, expect, it } from "vitest";
import { ruleText, ruleTrouble } from "#core/describe";
import { advance, start, step } from "#core/machine";
import type { Input, State } from "#core/machine";
import { ROOT, inOrder } from "#core/project";
import { addWayBack, make, makings, wayBack } from "#core/edit";
import { becomes, Builder } from "../../../tests/support/pieces";
import { contactTrait } from "./makers";

const over = (layer: string | null): Input => ({ type: "over", layer });
const click = (layer: string): Input[] => [over(layer), { type: "down" }, { type: "up" }];
const play = (b: Builder, ...script: (Input | number)[]): State =>
  script.reduce<State>(
    (s, x) =>
      (typeof x === "number" ? advance(b.project, s, s.now + x) : step(b.project, s, x)).state,
    start(b.project, b.at),
  );
const names = (b: Builder, state: State): string =>
  inOrder(b.piece.traits)
    .map((t) => t.values[state.traits[b.at]?.[t.id] ?? ""]?.name ?? inOrder(t.values)[0]?.name)
    .join(" ");
const named = (b: Builder, ids: readonly string[], part: string) => {
  const found = makings(b.piece, ids).find((m) => m.name.includes(part));
  if (!found)
    throw new Error(
      `no ${part} among ${makings(b.piece, ids)
        .map((m) => m.name)
        .join("; ")}`,
    );
  return found;
};

const tabs = () => {
  const b = new Builder();
  b.new("component", "Piers");
  const layers = [0, 1, 2].map((i) => b.layer("box", { x: i * 50 }));
  const pier = b.trait("Pier", "one", "two", "three");
  const open = b.trait("Open", "no", "yes");
  return { b, layers, pier, open };
};

describe("makers", () => {
  it("contact makes its trait and three rules that end by themselves, once", () => {
    const { b } = tabs();
    const made = named(b, [], "contact");
    expect(made.traits[0]?.name).toBe("Contact");
    b.do(make(b.piece, made));
    expect(contactTrait(b.piece)?.name).toBe("Contact");
    const path = ROOT;
    expect(names(b, play(b, over(path)))).toBe("one no hovered");
    expect(names(b, play(b, over(path), { type: "down" }))).toBe("one no pressed");
    expect(names(b, play(b, over(path), { type: "down" }, { type: "up" }, over(null)))).toBe(
      "one no none",
    );
    expect(names(b, play(b, { type: "focus", layer: path }))).toBe("one no focused");
    expect(makings(b.piece, []).some((m) => m.key === "contact")).toBe(false);
  });

  it("picking gives each layer its value; only as many layers as values are offered it", () => {
    const { b, layers } = tabs();
    expect(makings(b.piece, layers.slice(0, 2)).map((m) => m.name)).toEqual([
      "pick one of these: Open",
      "open and close: Open",
    ]);
    b.do(make(b.piece, named(b, layers, "pick one of these: Pier")));
    expect(names(b, play(b, ...click(layers[2] as string)))).toBe("three no");
    expect(names(b, play(b, ...click(layers[2] as string), ...click(layers[0] as string)))).toBe(
      "one no",
    );
    expect(inOrder(b.piece.rules).every((r) => ruleTrouble(b.project, b.piece, r) === null)).toBe(
      true,
    );
  });

  it("there and back is one rule; steps go once, or round for ever", () => {
    const { b, layers } = tabs();
    b.do(make(b.piece, named(b, [layers[0] as string], "there and back: Open")));
    expect(names(b, play(b, ...click(layers[0] as string)))).toBe("one yes");
    expect(names(b, play(b, ...click(layers[0] as string), ...click(layers[0] as string)))).toBe(
      "one no",
    );
    const once = tabs();
    const round = tabs();
    once.b.do(make(once.b.piece, named(once.b, [], "step through Pier once")));
    round.b.do(make(round.b.piece, named(round.b, [], "step through Pier for ever")));
    expect(
      [799, 800, 1600, 9000].map((ms) => names(once.b, play(once.b, ms)).split(" ")[0]),
    ).toEqual(["one", "two", "three", "three"]);
    expect(
      [800, 1600, 2400, 3200].map((ms) => names(round.b, play(round.b, ms)).split(" ")[0]),
    ).toEqual(["two", "three", "one", "two"]);
  });

  it("the way back listens for the counterpart where the rule led, and leads to what was", () => {
    const { b, layers, pier, open } = tabs();
    const source = layers[0] as string;
    const enter = b.rule({
      source,
      trigger: { type: "enter" },
      when: { [pier.id]: [pier.v.two as string] },
      effects: [becomes(pier.id, pier.v.three as string), becomes(open.id, open.v.yes as string)],
    });
    const change = addWayBack(b.piece, b.piece.rules[enter] as never);
    if (!change) throw new Error("no way back");
    b.do(change);
    const back = inOrder(b.piece.rules)[1];
    expect(back && ruleText(b.project, b.piece, back)).toBe(
      "When Box is left, while Pier is three and Open is yes → Pier becomes two, Open becomes no, cut",
    );
    expect(
      wayBack(b.piece, { ...(b.piece.rules[enter] as never as object), undo: true } as never),
    ).toBeNull();
    const turns = b.rule({
      source,
      effects: [{ type: "set", trait: open.id, to: { step: "opposite" } }],
    });
    expect(wayBack(b.piece, b.piece.rules[turns] as never)).toBeNull();
  });

  it("a deck goes round by dragging: the front card away, the one before it back", () => {
    const { b, layers, pier } = tabs();
    Object.values(pier.v).forEach((v, i) =>
      layers.forEach((l, k) => b.look({ [pier.id]: [v] }, l, { stack: k === i ? 3 : 1 })),
    );
    const made = named(b, layers, "drag deck: Pier");
    expect(made.rules).toHaveLength(8);
    b.do(make(b.piece, made));
    const drag = (layer: string): Input[] => [
      { type: "move", x: 0, y: 0 },
      over(layer),
      { type: "down" },
      { type: "move", x: 120, y: 0 },
      { type: "up" },
      over(null),
    ];
    const [one, two, three] = layers as [string, string, string];
    expect(names(b, play(b, ...drag(one)))).toBe("two no");
    expect(
      names(b, play(b, ...drag(one), 500, ...drag(two), 500, ...drag(three), 500, ...drag(one))),
    ).toBe("two no");
    expect(names(b, play(b, ...drag(one), 500, ...drag(one)))).toBe("one no");
    const key = (k: string): Input => ({ type: "key", key: k, phase: "down" });
    expect(names(b, play(b, key("ArrowRight"), key("ArrowRight"), key("ArrowLeft")))).toBe(
      "two no",
    );
  });

  it("open and close: the first layer opens, the second and Escape close", () => {
    const { b, layers } = tabs();
    b.do(make(b.piece, named(b, layers.slice(0, 2), "open and close: Open")));
    const [opens, closes] = layers as [string, string];
    expect(names(b, play(b, ...click(opens)))).toBe("one yes");
    expect(names(b, play(b, ...click(opens), ...click(closes)))).toBe("one no");
    expect(names(b, play(b, ...click(opens), { type: "key", key: "Escape", phase: "down" }))).toBe(
      "one no",
    );
    expect(makings(b.piece, layers.slice(0, 2)).some((m) => m.key === "open")).toBe(false);
  });
});
