import { beforeAll, describe, expect, it } from "vitest";
import fc from "fast-check";
import { buildGathered, drawingOf, pairDrawings, planFromNames, planProblems } from "#core/gather";
import type { Drawing, DrawnLayer } from "#core/gather";
import { emptyProject } from "#core/edit";
import { layout } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { Resolver, meets, specificity, variantsOf } from "#core/looks";
import { accept, set } from "#core/project";
import type { SpecifiedValue } from "#core/properties";
import { testEnv } from "../../tests/support/env";
import { fewestDeclarations as fewestSayings } from "./minimal";
import { likeness } from "./pair";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const layer = (
  id: string,
  name: string,
  kind: DrawnLayer["kind"],
  parent: string | null,
  [x, y, width, height]: readonly [number, number, number, number],
  values: Record<string, SpecifiedValue> = {},
): DrawnLayer => ({ id, name, kind, parent, x, y, width, height, values });
const toggle = (name: string, prefix: string, on: boolean, pressed: boolean): Drawing => ({
  name,
  layers: [
    layer(`${prefix}r`, name, "box", null, [0, 0, 64, 36]),
    layer(`${prefix}t`, "Track", "box", `${prefix}r`, [0, 0, 64, 36], {
      fill: on ? "#2c9a70" : "#c9c3b4",
      radius: [18, 18, 18, 18],
    }),
    layer(
      `${prefix}k`,
      on ? "knob 2" : "Knob",
      "ellipse",
      `${prefix}r`,
      [on ? 32 : 4, 4, pressed ? 33 : 28, 28],
      { fill: "#ffffff" },
    ),
    ...(pressed
      ? [layer(`${prefix}g`, "Glow", "ellipse", `${prefix}r`, [0, 0, 10, 10], { fill: "#f0c04e" })]
      : []),
  ],
});
const four = [
  toggle("Alert switch / off", "a", false, false),
  toggle("Alert switch / on", "b", true, false),
  toggle("Alert switch / off, pressed", "c", false, true),
  toggle("Alert switch / on, pressed", "d", true, true),
];

describe("what the names of drawings say", () => {
  it.each([
    [["Alert switch/off", "Alert switch/on"], "Alert switch", [["Power", "off,on"]]],
    [
      [
        "alert_switch_on_pressed",
        "alert_switch_on_none",
        "alert_switch_off_pressed",
        "alert_switch_off_none",
      ],
      "Alert switch",
      [
        ["Power", "on,off"],
        ["Contact", "pressed,none"],
      ],
    ],
    [
      ["BoardNowHover", "BoardNowPressed", "BoardNowNone"],
      "Board Now",
      [["Contact", "Hover,Pressed,None"]],
    ],
    [
      ["Checked=no, Contact=none", "Checked=yes, Contact=hovered"],
      "Component",
      [
        ["Checked", "no,yes"],
        ["Contact", "none,hovered"],
      ],
    ],
    [
      ["Tick box", "Tick box checked", "Tick box hovered", "Tick box checked hovered"],
      "Tick box",
      [
        ["Checked", "no,yes"],
        ["Hovered", "no,yes"],
      ],
    ],
    [
      ["Deck tabs – car", "Deck tabs – saloon", "Deck tabs – sun"],
      "Deck tabs",
      [["Choice", "car,saloon,sun"]],
    ],
    [["Group", "Group 2", "Group 3"], "Group", [["Choice", "1,2,3"]]],
    [["default.svg", "hover.svg"], "Component", [["Contact", "default,hover"]]],
    [["bell-16-large", "bell-16-small"], "Bell 16", [["Size", "large,small"]]],
  ])("%j", (names, component, traits) => {
    const plan = planFromNames(names);
    expect(plan.component).toBe(component);
    expect(plan.traits.map((t) => [t.name, t.values.join()])).toEqual(traits);
    expect(plan.rows).toHaveLength(names.length);
    expect(planProblems(plan)).toEqual([]);
  });

  it("says what is missing or double instead of guessing", () => {
    const plan = planFromNames(["Bell", "Bell"]);
    expect(planProblems({ ...plan, component: " " })).toMatchObject([
      { row: -1 },
      { row: 1, text: "Drawing 2 has the same values as drawing 1." },
    ]);
  });
});

describe("pairing layers", () => {
  it("takes the same part for the same in spite of numbers, colours and places, and leaves what is new alone", () => {
    const tracks = pairDrawings(four);
    expect(tracks.map((t) => [t.name, t.parts])).toEqual([
      ["Alert switch / off", ["ar", "br", "cr", "dr"]],
      ["Track", ["at", "bt", "ct", "dt"]],
      ["Knob", ["ak", "bk", "ck", "dk"]],
      ["Glow", [null, null, "cg", "dg"]],
    ]);
    expect(
      tracks.every((t) => t.sure.every((s, i) => (t.parts[i] === null ? s === 0 : s > 0.6))),
    ).toBe(true);
  });

  it("finds the best assignment as a whole, where taking the nearest first would not", () => {
    const at = (id: string, x: number) => layer(id, "dot", "ellipse", "r", [x, 0, 10, 10]);
    const drawing = (p: string, xs: number[]): Drawing => ({
      name: p,
      layers: [
        layer("r", "r", "box", null, [0, 0, 200, 20]),
        ...xs.map((x, i) => ({ ...at(`${p}${i}`, x), parent: "r" })),
      ],
    });
    const tracks = pairDrawings([drawing("a", [0, 60]), drawing("b", [50, 120])]);
    expect(tracks.slice(1).map((t) => t.parts)).toEqual([
      ["a0", "b0"],
      ["a1", "b1"],
    ]);
  });

  it("keeps what is corrected by hand", () => {
    const tracks = pairDrawings(four, { bk: null, bt: "t-ak" });
    expect(tracks.find((t) => t.name === "Knob")?.parts[1]).toBe("bt");
    expect(tracks.find((t) => t.name === "Knob")?.parts[0]).toBe("ak");
    expect(tracks.find((t) => t.id === "t-bk")?.parts.slice(0, 2)).toEqual([null, "bk"]);
  });

  it("never takes a text for a shape", () => {
    const root = layer("r", "r", "box", null, [0, 0, 10, 10]);
    expect(
      likeness(
        { layer: layer("a", "Label", "text", "r", [0, 0, 10, 10]), rank: 0, frame: root },
        { layer: layer("b", "Label", "box", "r", [0, 0, 10, 10]), rank: 0, frame: root },
      ),
    ).toBe(0);
  });
});

describe("saying as little as possible", () => {
  const told = (
    sayings: readonly { when: Record<string, readonly string[]>; value: number }[],
    variant: Record<string, string>,
  ) =>
    [...sayings]
      .sort((a, b) => specificity(a.when) - specificity(b.when))
      .filter((s) => meets(s.when, variant))
      .at(-1)?.value;

  it("gives every variant its value, whatever the values are", () => {
    const table = fc.array(fc.integer({ min: 0, max: 3 }), { minLength: 12, maxLength: 12 });
    fc.assert(
      fc.property(table, (values) => {
        const variants = ["0", "1", "2"].flatMap((a) =>
          ["0", "1"].flatMap((b) => ["0", "1"].map((c) => ({ a, b, c }))),
        );
        const samples = variants.map((variant, i) => ({ variant, value: values[i] as number }));
        const sayings = fewestSayings(["a", "b", "c"], samples);
        for (const s of samples) expect(told(sayings as never, s.variant)).toBe(s.value);
      }),
      { numRuns: 300 },
    );
  });

  it("says once what one trait brings about", () => {
    const samples = ["off", "on"].flatMap((a) =>
      ["no", "yes"].map((b) => ({ variant: { a, b }, value: a === "on" ? 1 : 0 })),
    );
    expect(fewestSayings(["a", "b"], samples)).toEqual([
      { when: {}, value: 0 },
      { when: { a: ["on"] }, value: 1 },
    ]);
    const either = ["none", "hovered", "pressed"].map((c) => ({
      variant: { c },
      value: c === "none" ? 0 : 5,
    }));
    expect(fewestSayings(["c"], either)).toEqual([
      { when: {}, value: 0 },
      { when: { c: ["hovered", "pressed"] }, value: 5 },
    ]);
  });
});

describe("building the component", () => {
  it("looks in every variant as the drawing did", () => {
    const plan = planFromNames(four.map((d) => d.name));
    const piece = buildGathered(four, pairDrawings(four), plan, "made", "a0", true);
    const result = accept(emptyProject("x"), { label: "x", ops: [set(["pieces", "made"], piece)] });
    if (!result.ok) throw new Error(result.error);
    expect(variantsOf(piece)).toHaveLength(4);
    expect(Object.values(piece.looks).length).toBeLessThanOrEqual(4);
    const resolver = new Resolver();
    const seen = variantsOf(piece).map((v) => {
      const scene = layout(env, resolver.tree(result.project, "made", v) as never);
      const again = drawingOf("x", scene, () => ({}));
      return again.layers
        .map((l) => [l.name.replace(/^Alert.*/, "root"), l.x, l.y, l.width, l.height].join(" "))
        .sort();
    });
    const wanted = four.map((d) =>
      d.layers
        .map((l) =>
          [
            l.name.replace(/^Alert.*/, "root").replace("knob 2", "Knob"),
            l.x,
            l.y,
            l.width,
            l.height,
          ].join(" "),
        )
        .sort(),
    );
    expect(new Set(seen.map((s) => s.join("|")))).toEqual(new Set(wanted.map((s) => s.join("|"))));
  });
});
