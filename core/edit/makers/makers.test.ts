import { describe, expect, it } from "vitest";
import { ruleText, ruleTrouble } from "#core/describe";
import { advance, start, step } from "#core/machine";
import type { Input, State } from "#core/machine";
import { valuesIn } from "#core/looks";
import { BASE, ROOT, inOrder } from "#core/project";
import { addSignal, addWayBack, make, makersFor, wayBack } from "#core/edit";
import type { Given, Maker } from "#core/edit";
import { becomes, Builder } from "../../../tests/support/pieces";
import { contactTrait } from "./contact";

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
const makersOf = (b: Builder, layers: readonly string[]): Maker[] =>
  makersFor({
    project: b.project,
    piece: b.piece,
    layers,
    motion: { kind: "tween", duration: 200, delay: 0, easing: "ease-in-out" },
  });
const offered = (b: Builder, layers: readonly string[]) => makersOf(b, layers).map((m) => m.name);
const named = (b: Builder, ids: readonly string[], part: string): Maker => {
  const found = makersOf(b, ids).find((m) => m.name.includes(part));
  if (!found) throw new Error(`no ${part} among ${offered(b, ids).join("; ")}`);
  return found;
};
/** Makes a ready-made behaviour; what it made. */
const made = (b: Builder, ids: readonly string[], part: string, given: Given = {}) => {
  const maker = named(b, ids, part);
  const making = maker.draw(given);
  b.do(make(b.project, b.piece, maker.name, making));
  return making;
};

const tabs = () => {
  const b = new Builder();
  b.new("component", "Piers");
  const layers = [0, 1, 2].map((i) => b.layer("box", { x: i * 50 }));
  const pier = b.trait("Pier", "one", "two", "three");
  const open = b.trait("Open", "no", "yes");
  return { b, layers, pier, open };
};

describe("ready-made behaviour", () => {
  it("contact makes its trait and three rules that end by themselves, once", () => {
    const { b } = tabs();
    expect(made(b, [], "Contact").traits[0]?.name).toBe("Contact");
    expect(contactTrait(b.piece)?.name).toBe("Contact");
    const path = ROOT;
    expect(names(b, play(b, over(path)))).toBe("one no hovered");
    expect(names(b, play(b, over(path), { type: "down" }))).toBe("one no pressed");
    expect(names(b, play(b, over(path), { type: "down" }, { type: "up" }, over(null)))).toBe(
      "one no none",
    );
    expect(names(b, play(b, { type: "focus", layer: path }))).toBe("one no focused");
    expect(offered(b, [])).not.toContain("Contact: hovered, focused, pressed");
  });

  it("a trait called after a contact is on while that lasts, and is not toggled", () => {
    const { b } = tabs();
    b.trait("Hovered", "no", "yes");
    expect(offered(b, [])[0]).toBe("Turn on during hover: Hovered");
    expect(offered(b, [])).not.toContain("Toggle on click: Hovered");
    const { rules, traits } = made(b, [], "Turn on during hover: Hovered");
    expect([rules.length, traits.length]).toEqual([1, 0]);
    expect(names(b, play(b, over(ROOT)))).toBe("one no yes");
    expect(names(b, play(b, over(ROOT), over(null)))).toBe("one no no");
    expect(offered(b, [])).not.toContain("Turn on during hover: Hovered");
  });

  it("a value that is none of the others needs no layer to be picked by", () => {
    const { b, layers } = tabs();
    const stars = b.trait("Stars", "0", "1", "2", "3");
    const { rules } = made(b, layers, "One layer per value: Stars");
    expect(rules.map((r) => [r.source, r.effects[0]])).toEqual(
      layers.map((layer, i) => [
        layer,
        { type: "set", trait: stars.id, to: { value: stars.v[String(i + 1)] } },
      ]),
    );
  });

  it("picking gives each layer its value; only as many layers as values are offered it", () => {
    const { b, layers } = tabs();
    expect(offered(b, layers.slice(0, 2))).toEqual([
      "One layer per value: Open",
      "Open and close: Open",
      "Appear one after another",
    ]);
    made(b, layers, "One layer per value: Pier");
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
    made(b, [layers[0] as string], "Toggle on click: Open");
    expect(names(b, play(b, ...click(layers[0] as string)))).toBe("one yes");
    expect(names(b, play(b, ...click(layers[0] as string), ...click(layers[0] as string)))).toBe(
      "one no",
    );
    const once = tabs();
    const round = tabs();
    made(once.b, [], "Advance Pier automatically, once");
    made(round.b, [], "Advance Pier automatically, in a loop");
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
      "When Box loses the pointer, while Pier is three and Open is yes → Pier becomes two, Open becomes no, cut",
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
    const drawn = made(b, layers, "Drag deck");
    expect([drawn.rules.length, drawn.traits.length, drawn.looks.length]).toEqual([8, 0, 0]);
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
    made(b, layers.slice(0, 2), "Open and close: Open");
    const [opens, closes] = layers as [string, string];
    expect(names(b, play(b, ...click(opens)))).toBe("one yes");
    expect(names(b, play(b, ...click(opens), ...click(closes)))).toBe("one no");
    expect(names(b, play(b, ...click(opens), { type: "key", key: "Escape", phase: "down" }))).toBe(
      "one no",
    );
    expect(offered(b, layers.slice(0, 2))).not.toContain("Open and close: Open");
  });

  it("contact and there-and-back have a way back with its own time, where one is asked for", () => {
    const { b, layers } = tabs();
    const source = layers[0] as string;
    const touch = made(b, [source], "Contact", { there: 120, back: 400 });
    expect(touch.rules.map((r) => [r.motion.duration, r.back?.duration])).toEqual([
      [120, 400],
      [120, 400],
      [100, 400],
    ]);
    expect(named(b, [], "Toggle on click: Open").draw({}).rules).toHaveLength(1);
    const turns = made(b, [source], "Toggle on click: Open", { there: 200, back: 90 });
    expect(turns.rules.map((r) => r.motion.duration)).toEqual([200, 90]);
    expect(names(b, play(b, ...click(source), ...click(source)))).toBe("one no hovered");
  });

  it("a deck made of cards as they lie: a trait, a look for each in front, free drags", () => {
    const b = new Builder();
    b.new("component", "Deck");
    const cards = [0, 1, 2].map((i) =>
      b.layer("box", { x: 20 - i * 8, y: 20 - i * 10, width: 100, height: 60, fill: "#c9472f" }),
    );
    const drawn = made(b, cards, "Drag deck", { ways: "two", lean: 20, travel: 90 });
    const [trait] = inOrder(b.piece.traits);
    expect(trait && inOrder(trait.values).map((v) => v.name)).toEqual(["first", "second", "third"]);
    expect(drawn.rules[0]?.trigger).toMatchObject({ way: "free", lean: 20, direction: "left" });
    const values = trait ? inOrder(trait.values).map((v) => v.id) : [];
    const at = (value: string) =>
      cards.map((id) => {
        const v = valuesIn(
          b.project,
          b.piece,
          { [trait?.id ?? ""]: value },
          b.piece.layers[id] as never,
        );
        return [v.x, v.y, v.stack];
      });
    // the last in the tree is in front; each takes the place of the one before it
    expect(at(values[0] ?? "")).toEqual([
      [20, 20, 1],
      [12, 10, 2],
      [4, 0, 3],
    ]);
    expect(at(values[1] ?? "")).toEqual([
      [12, 10, 2],
      [4, 0, 3],
      [20, 20, 1],
    ]);
    const drag = (layer: string, x: number): Input[] => [
      { type: "move", x: 0, y: 0 },
      over(layer),
      { type: "down" },
      { type: "move", x, y: 0 },
      { type: "up" },
      over(null),
    ];
    const front = cards[2] as string;
    expect(names(b, play(b, ...drag(front, -80)))).toBe("second");
    expect(names(b, play(b, ...drag(front, 80)))).toBe("third");
    expect(names(b, play(b, ...drag(front, -10), 500))).toBe("first");
  });

  it("layers appear one after another as the piece comes up, each from its pose", () => {
    const { b, layers } = tabs();
    const drawn = made(b, layers, "Appear", { pose: "pops up", interval: 50, time: 200 });
    expect(drawn.traits[0]?.name).toBe("Shown");
    expect(drawn.rules[0]?.motion.lanes?.map((l) => l.delay)).toEqual([0, 50, 100]);
    const first = b.piece.looks[BASE]?.changes[layers[0] as string];
    expect(first).toMatchObject({ visible: false, comesFrom: { scale: [0, 0] } });
    expect(names(b, play(b, 0))).toBe("one no yes");
  });

  it("or as a trait takes its second value, by the rules that are there", () => {
    const { b, layers, open } = tabs();
    b.rule({ effects: [becomes(open.id, open.v.yes as string)] });
    const drawn = made(b, layers, "Appear", { trait: open.id, interval: 30 });
    expect([drawn.traits.length, drawn.rules.length, drawn.changed.length]).toEqual([0, 0, 1]);
    expect(inOrder(b.piece.rules)[0]?.motion.lanes?.map((l) => l.delay)).toEqual([0, 30, 60]);
    const look = Object.values(b.piece.looks).find((l) => l.when[open.id]);
    expect(look?.changes[layers[1] as string]).toEqual({ visible: true });
  });

  it("a layer wiggles about how it is turned, and swells from its size, and is as it was", () => {
    const { b, layers } = tabs();
    const layer = layers[0] as string;
    b.look({}, layer, { rotation: 10, scale: [2, 1] });
    const [turn] = made(b, [layer], "Wiggle", { angle: 5, times: 0, trigger: "delay" }).rules;
    const lane = turn?.motion.lanes?.[0];
    expect([turn?.trigger.type, turn?.source, lane?.key, lane?.times]).toEqual([
      "delay",
      null,
      "rotation",
      0,
    ]);
    const poses = lane?.poses?.map((p) => p.value) ?? [];
    expect([poses[0], poses[1], poses.at(-1)]).toEqual([10, 5, 10]);
    const [grow] = made(b, [layer], "Swell", { size: 150 }).rules;
    expect(grow?.motion.lanes?.[0]?.poses?.map((p) => p.value)).toEqual([
      [2, 1],
      [3, 1.5],
      [2, 1],
    ]);
    expect(inOrder(b.piece.rules).every((r) => ruleTrouble(b.project, b.piece, r) === null)).toBe(
      true,
    );
  });

  it("each signal of a copy is answered with the value of its name", () => {
    const b = new Builder();
    const chooser = b.new("component", "Chooser");
    for (const name of ["Port", "Starboard", "undecided"]) b.do(addSignal(b.piece, name).change);
    b.new("component", "Seat");
    const copy = b.layer("instance", { component: chooser });
    expect(offered(b, [])).not.toContain("Follow signals with Side");
    b.trait("Side", "middle", "port", "starboard");
    expect(made(b, [copy], "Follow signals with Side").rules).toHaveLength(2);
    expect(inOrder(b.piece.rules).map((r) => ruleText(b.project, b.piece, r))).toEqual([
      expect.stringContaining("Side becomes port"),
      expect.stringContaining("Side becomes starboard"),
    ]);
    expect(offered(b, [copy])).not.toContain("Follow signals with Side");
  });

  it("there and back listens on the group, or the piece, where a knob lies over the track", () => {
    const b = new Builder();
    b.new("component", "Switch");
    b.trait("On", "off", "on");
    const group = b.layer("box", { widthMode: "fit", heightMode: "fit" });
    const track = b.layer("box", { width: 64, height: 36, fill: "#c9c3b4" }, group);
    const source = (layer: string) =>
      named(b, [layer], "Toggle on click: On").draw({}).rules[0]?.source;
    b.layer("text", { width: 60, height: 30 }, group);
    expect(source(track)).toBe(track);
    const knob = b.layer("ellipse", { x: 4, y: 4, width: 28, height: 28, fill: "#ffffff" }, group);
    expect([source(track), source(knob)]).toEqual([group, knob]);
    const bare = b.layer("box", { x: 100, width: 64, height: 36, fill: "#c9c3b4" });
    b.layer("ellipse", { x: 104, width: 28, height: 28, fill: "#ffffff" });
    expect(source(bare)).toBeNull();
  });
});
