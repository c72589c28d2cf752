import { describe, expect, it } from "vitest";
import { readTokens } from "#core/formats/tokens";
import type { ReadToken } from "#core/formats/tokens";
import { nearestBezier } from "#core/motion";
import type { Easing } from "#core/project";

const text = (json: unknown): string => (typeof json === "string" ? json : JSON.stringify(json));
const readOne = (json: unknown) => readTokens([{ name: "pier.tokens.json", text: text(json) }]);
const values = (json: unknown): Record<string, unknown> =>
  Object.fromEntries(readOne(json).tokens.map((t: ReadToken) => [t.at, t.value]));
const notes = (json: unknown): Record<string, string> =>
  Object.fromEntries(readOne(json).notes.map((n) => [n.path, n.reason]));

describe("a token file", () => {
  it("says values of every type of the format, each as it is used here", () => {
    expect(
      values({
        tide: {
          $type: "color",
          $value: { colorSpace: "srgb", components: [0.09, 0.286, 0.36], alpha: 0.5 },
        },
        sea: { $type: "color", $value: { colorSpace: "oklch", components: [0.6, 0.1, 200] } },
        step: { $type: "dimension", $value: { value: 0.5, unit: "rem" } },
        face: { $type: "fontFamily", $value: ["Figtree", "sans-serif"] },
        bold: { $type: "fontWeight", $value: "extra-bold" },
        quick: { $type: "duration", $value: { value: 0.2, unit: "s" } },
        out: { $type: "cubicBezier", $value: [0, 0, 0.58, 1] },
        half: { $type: "number", $value: 0.5 },
        dots: { $type: "strokeStyle", $value: "dotted" },
        edge: {
          $type: "border",
          $value: { color: "{tide}", width: { value: 2, unit: "px" }, style: "dashed" },
        },
        move: {
          $type: "transition",
          $value: {
            duration: "{quick}",
            delay: { value: 40, unit: "ms" },
            timingFunction: [0, 0, 0.58, 1],
          },
        },
        lift: {
          $type: "shadow",
          $value: {
            color: "{tide}",
            offsetX: { value: 0, unit: "px" },
            offsetY: "{step}",
            blur: { value: 12, unit: "px" },
            spread: { value: -2, unit: "px" },
            inset: true,
          },
        },
        dawn: {
          $type: "gradient",
          $value: [
            { color: "#ff8800", position: 0 },
            { color: "{tide}", position: 1.5 },
          ],
        },
        title: {
          $type: "typography",
          $value: {
            fontFamily: "{face}",
            fontSize: { value: 20, unit: "px" },
            fontWeight: 700,
            letterSpacing: { value: 0, unit: "px" },
            lineHeight: 1.2,
          },
        },
      }),
    ).toEqual({
      tide: "#17495c80",
      sea: "#0d9298",
      step: 8,
      face: "Figtree",
      bold: "800",
      quick: 200,
      out: [0, 0, 0.58, 1],
      half: 0.5,
      dots: "dotted",
      edge: { colour: { token: "tide" }, width: 2, style: "dashed" },
      move: { duration: { token: "quick" }, delay: 40, easing: [0, 0, 0.58, 1] },
      lift: [
        {
          x: 0,
          y: { token: "step" },
          blur: 12,
          spread: -2,
          colour: { token: "tide" },
          inner: true,
        },
      ],
      dawn: {
        kind: "linear",
        angle: 180,
        stops: [
          { at: 0, colour: "#ff8800" },
          { at: 1, colour: { token: "tide" } },
        ],
      },
      title: { font: { token: "face" }, size: 20, weight: "700", spacing: 0, lineHeight: 1.2 },
    });
  });

  it("may be an older draft: colours as CSS has them, lengths and times as texts", () => {
    const $type = "dimension";
    expect(
      values({
        tide: { $type: "color", $value: "#17495C" },
        veil: { $type: "color", $value: "rgb(23 73 92 / 50%)" },
        step: { $type, $value: "8px" },
        wide: { $type, $value: "1.5rem" },
        none: { $type, $value: 0 },
        quick: { $type: "duration", $value: "0.2s" },
        out: { $type: "cubicBezier", $value: "cubic-bezier(0, 0, 0.58, 1)" },
        text: { $type: "typography", $value: { fontSize: "20px", lineHeight: "30px" } },
      }),
    ).toEqual({
      tide: "#17495c",
      veil: "#17495c80",
      step: 8,
      wide: 24,
      none: 0,
      quick: 200,
      out: [0, 0, 0.58, 1],
      text: { size: 20, lineHeight: 1.5 },
    });
  });

  it("may be JSON5, and begin with a byte order mark", () => {
    const json5 = "\uFEFF{ // the sea\n sea: { $type: 'color', $value: '#17495c', }, }";
    expect(values(json5)).toEqual({ sea: "#17495c" });
  });

  it("has types from groups and from what an alias leads to, its own first", () => {
    const read = readOne({
      sea: {
        $type: "color",
        deep: { tide: { $value: "#17495c" } },
        name: { $type: "other-type", $value: 1 },
      },
      size: { $type: "dimension", like: { $value: "{sea.deep.tide}" }, step: { $value: "4px" } },
    });
    expect(read.tokens.map((t) => [t.at, t.type])).toEqual([
      ["sea.deep.tide", "colour"],
      ["sea.name", "other"],
      ["size.like", "colour"],
      ["size.step", "length"],
    ]);
  });

  it("refers to tokens by braces, and to tokens and inside them by JSON pointers", () => {
    expect(
      values({
        sea: { $type: "color", $value: { colorSpace: "srgb", components: [1, 0.5, 0] } },
        a: { $type: "color", $value: "{sea}" },
        b: { $type: "color", $value: { $ref: "#/sea/$value" } },
        c: { $type: "color", $ref: "#/sea" },
        red: { $type: "number", $value: { $ref: "#/sea/$value/components/0" } },
        mix: {
          $type: "color",
          $value: { colorSpace: "srgb", components: [0, { $ref: "#/sea/$value/components/1" }, 0] },
        },
      }),
    ).toMatchObject({
      a: { alias: "sea" },
      b: { alias: "sea" },
      c: { alias: "sea" },
      red: 1,
      mix: "#008000",
    });
  });

  it("has groups that are tokens themselves, and groups that extend others", () => {
    expect(
      values({
        pier: { $type: "color", $root: { $value: "#111111" }, dark: { $value: "#222222" } },
        quay: { $extends: "{pier}", dark: { $value: "#333333" }, light: { $value: "#444444" } },
      }),
    ).toEqual({
      "pier.$root": "#111111",
      "pier.dark": "#222222",
      "quay.$root": "#111111",
      "quay.dark": "#333333",
      "quay.light": "#444444",
    });
  });

  it("keeps what is of no use here: other types, wrong values, no type at all", () => {
    const json = {
      icon: { $type: "asset", $value: "a.svg" },
      sea: { $type: "color", $value: { deep: 3 } },
      odd: { $value: [1, 2] },
      lost: { $type: "color", $value: "{nobody}" },
    };
    expect(readOne(json).tokens.map((t) => t.type)).toEqual(["other", "other", "other", "other"]);
    expect(notes(json)).toEqual({
      icon: "“asset” is not a type of the format",
      sea: '{"deep":3} is not a value of type “color”',
      odd: "it has no type",
      lost: "“nobody” is not in any of the files",
    });
  });

  it("says what only we have beside the nearest the format has, unless that was changed since", () => {
    const spring = { kind: "spring", mass: 1, stiffness: 180, damping: 12 };
    const curve = ($value: unknown) => ({
      jump: { $type: "cubicBezier", $value, $extensions: { "app.nubble": { easing: spring } } },
    });
    expect(values(curve(nearestBezier(spring as Easing)))).toEqual({ jump: spring });
    expect(values(curve([0.25, 0.1, 0.25, 1]))).toEqual({ jump: [0.25, 0.1, 0.25, 1] });
  });
});

describe("a bad token file", () => {
  const problems = (json: unknown) => readOne(json).problems.map((p) => [p.path, p.reason]);

  it("is told of with file, place and reason, and never throws", () => {
    expect(readOne("{ no").problems).toMatchObject([{ file: "pier.tokens.json", path: "" }]);
    expect(readOne("{ no").problems[0]?.reason).toContain("neither JSON nor JSON5");
    expect(problems("[1]")).toEqual([["", "a token file is an object of groups and tokens"]]);
    expect(problems({ a: { b: 3, c: { $type: "number", $value: 1 } } })).toEqual([
      ["a.b", "this is neither a token nor a group"],
    ]);
    expect(
      problems({ a: { "{x": { $value: 1 } }, c: { $type: "number", $value: 1 } }),
    ).toHaveLength(1);
    expect(problems({ a: { $extends: "{a}", c: { $type: "number", $value: 1 } } })).toHaveLength(1);
    expect(problems(`${'{ "a": '.repeat(200)}1${"}".repeat(200)}`)[0]?.[1]).toContain("nested");
  });

  it("takes what it can of names and texts nobody can keep", () => {
    const $type = "number";
    const long = "x".repeat(25_000);
    const json = {
      "": { $type, $value: 1 },
      constructor: { $type, $value: 2 },
      ["n".repeat(121)]: { $type, $value: 3 },
      big: { $type, $value: 4, $extensions: { "org.pier": long } },
      told: { $type, $value: 5, $description: long },
    };
    expect(readOne(json).tokens.map((t) => t.at)).toEqual(["constructor"]);
    expect(problems(json).map(([, reason]) => reason)).toEqual([
      "its name is empty",
      "its name has more than 120 characters, or its groups more than 240",
      "it says more than 20000 characters",
      "it says more than 8000 characters",
    ]);
  });

  it("whose aliases lead in a circle says so, however long the circle", () => {
    const ring = Object.fromEntries(
      Array.from({ length: 3000 }, (_, i) => [
        `t${i}`,
        { $type: "color", $value: `{t${(i + 1) % 3000}}` },
      ]),
    );
    const found = notes(ring);
    expect(Object.keys(found)).toHaveLength(500);
    expect(found.t0).toContain("circle");
    expect(notes({ a: { $type: "color", $value: "{a}" } }).a).toContain("circle");
  });

  it("has the type of what its aliases end in, whichever way round they stand", () => {
    const names = Array.from({ length: 3000 }, (_, i) => `t${i}`);
    const row = names.map((name, i) => [
      name,
      i === 0 ? { $type: "color", $value: "#123456" } : { $value: `{t${i - 1}}` },
    ]);
    for (const entries of [row, [...row].reverse()]) {
      const { tokens, problems: none } = readOne(Object.fromEntries(entries));
      expect(none).toEqual([]);
      expect(new Set(tokens.map((t) => t.type))).toEqual(new Set(["colour"]));
    }
  });

  it("that doubles at every step comes to nothing instead of filling the memory", () => {
    const bomb = Object.fromEntries(
      Array.from({ length: 40 }, (_, i) => [
        `t${i}`,
        {
          $type: "typography",
          $value: { fontSize: i === 0 ? "8px" : [`{t${i - 1}}`, `{t${i - 1}}`] },
        },
      ]),
    );
    expect(readOne(bomb).tokens).toHaveLength(40);
  });

  it("cannot reach into what every object has by itself", () => {
    const read = readOne(
      '{ "__proto__": { "$type": "number", "$value": 1 }, "a": { "$type": "number", "$value": "{constructor}" } }',
    );
    expect(read.tokens.map((t) => t.type)).toEqual(["other"]);
    expect(({} as Record<string, unknown>).$value).toBeUndefined();
  });
});

describe("files of several themes", () => {
  const base = {
    sea: { $type: "color", tide: { $value: "#17495c" }, foam: { $value: "#ffffff" } },
  };
  const night = { sea: { $type: "color", foam: { $value: "#0d1b21" } } };

  it("are one for each value, put over those that are for all", () => {
    const read = readTokens([
      { name: "base.json", text: text(base) },
      { name: "night.json", text: text(night), theme: { name: "Theme", value: "night" } },
    ]);
    expect(read.problems).toEqual([]);
    expect(read.themes).toEqual([{ name: "Theme", values: ["", "night"] }]);
    expect(read.tokens.map((t) => [t.at, t.value, t.themed])).toEqual([
      ["sea.tide", "#17495c", []],
      [
        "sea.foam",
        "#ffffff",
        [{ when: { Theme: "night" }, said: "#0d1b21", written: '"#0d1b21"' }],
      ],
    ]);
  });

  const resolver = {
    version: "2025.10",
    sets: { all: { sources: [{ $ref: "base.json" }] } },
    modifiers: {
      Theme: { contexts: { day: [], night: [{ $ref: "./night.json" }] }, default: "day" },
    },
    resolutionOrder: [{ $ref: "#/sets/all" }, { $ref: "#/modifiers/Theme" }],
  };

  it("are put together as a resolver says", () => {
    const read = readTokens([
      { name: "resolver.json", text: text(resolver) },
      { name: "themes/night.json", text: text(night) },
      { name: "base.json", text: text(base) },
    ]);
    expect(read.problems).toEqual([]);
    expect(read.themes).toEqual([{ name: "Theme", values: ["day", "night"] }]);
    expect(read.tokens.find((t) => t.at === "sea.foam")?.themed).toHaveLength(1);
  });

  it("say which file is missing, and what is wrong with a resolver", () => {
    const missing = readTokens([
      { name: "resolver.json", text: text(resolver) },
      { name: "base.json", text: text(base) },
    ]);
    expect(missing.problems.map((p) => p.reason)).toEqual([
      "the resolver names the file “./night.json”, which was not chosen",
    ]);
    expect(missing.tokens).toHaveLength(2);
    const wrong = readOne({ resolutionOrder: [{ $ref: "#/sets/gone" }] });
    expect(wrong.problems).toHaveLength(1);
    expect(readOne({ resolutionOrder: [3] }).problems).toHaveLength(1);
  });
});
