import { beforeAll, describe, expect, it } from "vitest";
import { addOption, addSignal, addTheme, addToken } from "#core/edit";
import type { LayoutEnv } from "#core/layout";
import { inOrder, newId, remove, set } from "#core/project";
import type { Op, Project } from "#core/project";
import { compareEditions, heaviest, kinds } from "#core/system";
import type { Difference, DifferenceKind } from "#core/system";
import { testEnv } from "../../../tests/support/env";
import { Builder, goes } from "../../../tests/support/pieces";

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

/** A system that is adopted by what is compared. */
const sea = { order: "a0", system: "sea", name: "Sea", number: "1.0.0", edition: "0".repeat(64) };

/** A lamp on a pier: lit by a click, which it tells; its word and its glow can be set. */
const pier = () => {
  const b = new Builder();
  b.project = { ...b.project, name: "Pier kit" };
  const ink = addToken(b.project, "colour", "Ink", "#1c2f3a");
  b.do(ink.change);
  const foam = addToken(b.project, "colour", "Foam", "#f2f7f5");
  b.do(foam.change);
  b.do({ label: "Adopt", ops: [set(["adoptions", "shore"], { ...sea, id: "shore" })] });
  const calm = addToken(b.project, "motion", "Calm", { duration: 200, easing: "ease-out" });
  b.do(calm.change);
  const theme = addTheme(b.project, "Theme", ["day", "night"]);
  b.do(theme.change);
  const icon = newId();
  const shape = { d: "M0 0L10 0L10 10Z", holes: false };
  b.do({
    label: "Icon",
    ops: [
      set(["assets", icon], {
        id: icon,
        kind: "icon",
        name: "flag",
        width: 24,
        height: 24,
        shapes: [shape],
      }),
    ],
  });
  const other = b.new("component", "Buoy");
  b.layer("ellipse", { fill: "#e8723d", width: 20, height: 20 });
  const lamp = b.new("component", "Lamp");
  const glow = b.layer("box", { fill: "#f0c04e", width: 40, height: 40 });
  const word = b.layer("text", { text: "Pier", y: 50 });
  b.look({}, word, { fill: { token: ink.id } });
  const lit = b.trait("Lit", "no", "yes", "blinking");
  b.look({ [lit.id]: [lit.v.yes ?? ""] }, glow, { fill: "#ffffff" });
  const label = addOption(b.piece, word, "text", "Word");
  b.do(label.change);
  const shows = addOption(b.piece, glow, "visible", "Glow");
  b.do(shows.change);
  const signal = addSignal(b.piece, "pressed");
  b.do(signal.change);
  const motion = { kind: "tween", duration: 100, delay: 0, easing: "linear" } as const;
  const click = b.rule({
    source: glow,
    effects: [goes(lit.id, "next"), { type: "raise", signal: signal.id }],
    motion: { ...motion, token: calm.id },
  });
  const rehearsal = newId();
  const path = ["pieces", lamp];
  b.do({
    label: "Rehearsal",
    ops: [
      set([...path, "rehearsals", rehearsal], {
        id: rehearsal,
        name: "A click lights it",
        order: "a0",
        steps: [
          { do: "click", layer: glow },
          { do: "settle" },
          { do: "trait", at: "", trait: lit.id, value: lit.v.yes },
        ],
      }),
    ],
  });
  const ids = {
    ink: ink.id,
    calm: calm.id,
    foam: foam.id,
    theme: theme.id,
    night: inOrder(b.project.themes[theme.id]?.values ?? {})[1]?.id ?? "",
    icon,
    other,
    lamp,
    glow,
    word,
    lit: lit.id,
    no: lit.v.no ?? "",
    yes: lit.v.yes ?? "",
    blinking: lit.v.blinking ?? "",
    label: label.id,
    shows: shows.id,
    signal: signal.id,
    click,
    rehearsal,
  };
  return { b, ids, path };
};
const base = pier();
type Ids = (typeof base)["ids"];

const compared = (after: Project): readonly Difference[] => {
  const run = compareEditions(env, base.b.project, after);
  for (;;) {
    const { done, value } = run.next();
    if (done) return value;
  }
};
const edited = (ops: readonly Op[]): Project => {
  const b = new Builder();
  b.project = base.b.project;
  return b.do({ label: "Edit", ops }).project;
};

type Judged = [string, (ids: Ids) => readonly Op[], readonly DifferenceKind[]];
const lamp = (...path: readonly string[]): string[] => [...base.path, ...path];
const { b, ids } = base;
const piece = b.project.pieces[ids.lamp];
const looks = inOrder(piece?.looks ?? {});
const baseLook = looks[0]?.id ?? "";
const litLook = looks.find((look) => look.id !== baseLook)?.id ?? "";
const token = (id: string) => b.project.tokens[id];
const ruleNow = piece?.rules[ids.click];

const said = (look: string, layer: string, key: string): string[] =>
  lamp("looks", look, "changes", layer, key);

/** Kinds of change, and what they are, judged by hand. */
const judged: readonly Judged[] = [
  ["nothing at all", () => [], []],
  ["a component is removed", (i) => [remove(["pieces", i.other])], ["component-removed"]],
  [
    "a component is new",
    () => [set(["pieces", "newcomer"], { ...piece, id: "newcomer", name: "Second lamp" })],
    ["component-added"],
  ],
  ["a component is renamed", () => [set(lamp("name"), "Lantern")], ["component-renamed"]],
  ["a component is moved among the others", () => [set(lamp("order"), "a9")], []],
  ["a component goes into a group", () => [set(lamp("group"), "Lights")], []],
  ["a component is ready", () => [set(lamp("status"), "ready")], ["status-changed"]],
  [
    "a component is superseded",
    (i) => [set(lamp("status"), { supersededBy: i.other })],
    ["component-superseded"],
  ],
  [
    "a description is written",
    () => [set(lamp("about"), { description: "It shines." })],
    ["description-changed"],
  ],
  [
    "a sample is added",
    () => [
      set(lamp("samples", "s"), {
        id: "s",
        order: "a0",
        caption: "",
        advice: "do",
        values: {},
      }),
    ],
    ["samples-changed"],
  ],
  [
    "a trait is removed",
    (i) => [remove(lamp("traits", i.lit))],
    ["trait-removed", "rule-removed", "relied", "looks"],
  ],
  [
    "a trait is new",
    () => [
      set(lamp("traits", "size"), {
        id: "size",
        name: "Size",
        order: "a9",
        pattern: 2,
        rest: null,
        values: { small: { id: "small", name: "small", order: "a0" } },
      }),
    ],
    ["trait-added"],
  ],
  ["a trait is renamed", (i) => [set(lamp("traits", i.lit, "name"), "Burning")], ["trait-renamed"]],
  [
    "a trait starts otherwise",
    (i) => [set(lamp("traits", i.lit, "rest"), i.blinking)],
    ["trait-starts", "relied"],
  ],
  [
    "a trait says a state",
    (i) => [set(lamp("traits", i.lit, "aria"), { state: "pressed", on: [i.yes] })],
    ["trait-says"],
  ],
  [
    "a trait moves otherwise",
    (i) => [
      set(lamp("traits", i.lit, "motion"), {
        kind: "fade",
        duration: 50,
        delay: 0,
        easing: "linear",
      }),
    ],
    ["trait-moves"],
  ],
  [
    "a value is removed that nothing relies on",
    (i) => [remove(lamp("traits", i.lit, "values", i.blinking))],
    ["value-removed"],
  ],
  [
    "a value is new",
    (i) => [set(lamp("traits", i.lit, "values", "dim"), { id: "dim", name: "dim", order: "a9" })],
    ["value-added"],
  ],
  [
    "a value is renamed",
    (i) => [set(lamp("traits", i.lit, "values", i.yes, "name"), "bright")],
    ["value-renamed"],
  ],
  ["an option is removed", (i) => [remove(lamp("options", i.shows))], ["option-removed"]],
  [
    "an option is new",
    (i) => [
      set(lamp("options", "tint"), {
        id: "tint",
        name: "Tint",
        order: "a9",
        layer: i.glow,
        key: "fill",
      }),
    ],
    ["option-added"],
  ],
  [
    "an option is renamed",
    (i) => [set(lamp("options", i.label, "name"), "Sign")],
    ["option-renamed"],
  ],
  [
    "an option sets something else",
    (i) => [set(lamp("options", i.label, "key"), "visible")],
    ["option-sets"],
  ],
  [
    "the default of an option is another one",
    (i) => [set(said(baseLook, i.word, "text"), "Quay")],
    ["option-usual", "text"],
  ],
  [
    "a signal is removed with what sends it",
    (i) => [
      remove(lamp("signals", i.signal)),
      set(lamp("rules", i.click, "effects"), ruleNow?.effects.slice(0, 1)),
    ],
    ["signal-removed", "rule-changed"],
  ],
  [
    "a signal is new",
    () => [set(lamp("signals", "held"), { id: "held", name: "held", order: "a9" })],
    ["signal-added"],
  ],
  [
    "a signal is renamed",
    (i) => [set(lamp("signals", i.signal, "name"), "switched")],
    ["signal-renamed"],
  ],
  [
    "a signal is sent no more",
    (i) => [set(lamp("rules", i.click, "effects"), ruleNow?.effects.slice(0, 1))],
    ["signal-unsent", "rule-changed"],
  ],
  ["a role is given", () => [set(said(baseLook, "root", "role"), "button")], ["role"]],
  ["a label is given", () => [set(said(baseLook, "root", "label"), "Pier lamp")], ["spoken"]],
  [
    "a colour changes in all variants",
    (i) => [set(said(baseLook, i.glow, "fill"), "#e3b341")],
    ["looks"],
  ],
  [
    "a colour changes in one variant",
    (i) => [set(said(litLook, i.glow, "fill"), "#fefefe")],
    ["looks"],
  ],
  ["a layer moves", (i) => [set(said(baseLook, i.glow, "x"), 12)], ["looks"]],
  ["the frame is wider", () => [set(said(baseLook, "root", "width"), 300)], ["size"]],
  [
    "what is hidden changes",
    (i) => [
      set(lamp("layers", "ghost"), {
        id: "ghost",
        kind: "box",
        name: "Ghost",
        parent: "root",
        order: "a9",
      }),
      set(lamp("looks", baseLook, "changes", "ghost"), { visible: false, fill: "#123456" }),
      set(said(baseLook, i.glow, "fill"), "#f0c04e"),
    ],
    [],
  ],
  ["a layer is called otherwise", (i) => [set(lamp("layers", i.glow, "name"), "Shine")], []],
  [
    "a rule is switched off",
    (i) => [set(lamp("rules", i.click, "on"), false)],
    ["rule-removed", "signal-unsent", "relied"],
  ],
  [
    "a rule is removed",
    (i) => [remove(lamp("rules", i.click))],
    ["rule-removed", "signal-unsent", "relied"],
  ],
  [
    "a rule is new",
    (i) => [
      set(lamp("rules", "hover"), {
        ...ruleNow,
        id: "hover",
        order: "a9",
        source: i.word,
        trigger: { type: "double" },
      }),
    ],
    ["rule-added"],
  ],
  [
    "a rule asks for another press",
    (i) => [set(lamp("rules", i.click, "trigger"), { type: "double" })],
    ["rule-changed", "relied"],
  ],
  [
    "a rule takes longer",
    (i) => [
      set(lamp("rules", i.click, "motion"), {
        ...ruleNow?.motion,
        token: undefined,
        duration: 900,
      }),
    ],
    ["motion"],
  ],
  [
    "a token that a rule follows takes longer",
    (i) => [set(["tokens", i.calm, "value"], { duration: 700, easing: "ease-out" })],
    ["motion", "token-value"],
  ],
  [
    "a token is new",
    () => [set(["tokens", "foam"], { ...token(ids.ink), id: "foam", name: "Foam", order: "a9" })],
    ["token-added"],
  ],
  ["a token is renamed", (i) => [set(["tokens", i.ink, "name"], "Deep ink")], ["token-renamed"]],
  ["a token goes into a group", (i) => [set(["tokens", i.ink, "group"], "Sea")], ["token-renamed"]],
  [
    "a token has another value",
    (i) => [set(["tokens", i.ink, "value"], "#0a0a0a")],
    ["looks", "token-value"],
  ],
  [
    "a token has another value at night",
    (i) => [
      set(["tokens", i.ink, "looks"], {
        n: {
          id: "n",
          when: {
            [i.theme]: [Object.values(b.project.themes[i.theme]?.values ?? {})[1]?.id ?? ""],
          },
          order: "a0",
          value: "#f4f4f4",
        },
      }),
    ],
    ["looks", "token-themes"],
  ],
  [
    "a token is deprecated",
    (i) => [set(["tokens", i.ink, "deprecated"], "Use foam.")],
    ["token-deprecated"],
  ],
  ["a token is described", (i) => [set(["tokens", i.ink, "about"], "For words.")], ["token-about"]],
  ["a theme is removed", (i) => [remove(["themes", i.theme])], ["theme-removed"]],
  [
    "a theme is new",
    (i) => [
      set(["themes", "density"], {
        ...b.project.themes[i.theme],
        id: "density",
        name: "Density",
      }),
    ],
    ["theme-added"],
  ],
  ["a theme is renamed", (i) => [set(["themes", i.theme, "name"], "Light")], ["theme-renamed"]],
  [
    "a theme starts otherwise",
    (i) => [
      set(
        ["themes", i.theme, "rest"],
        Object.values(b.project.themes[i.theme]?.values ?? {})[1]?.id ?? "",
      ),
    ],
    ["theme-starts"],
  ],
  [
    "a theme has a new value",
    (i) => [set(["themes", i.theme, "values", "dusk"], { id: "dusk", name: "dusk", order: "a9" })],
    ["theme-value-added"],
  ],
  ["an icon is removed", (i) => [remove(["assets", i.icon])], ["asset-removed"]],
  ["an icon is renamed", (i) => [set(["assets", i.icon, "name"], "pennant")], ["asset-renamed"]],
  ["an icon is drawn otherwise", (i) => [set(["assets", i.icon, "width"], 32)], ["asset-changed"]],
  [
    "an icon is new",
    (i) => [set(["assets", "pennant"], { ...b.project.assets[i.icon], id: "pennant" })],
    ["asset-added"],
  ],
  [
    "a theme loses a value",
    (i) => [remove(["themes", i.theme, "values", i.night])],
    ["theme-value-removed"],
  ],
  [
    "a value of a theme is renamed",
    (i) => [set(["themes", i.theme, "values", i.night, "name"], "dark")],
    ["theme-value-renamed"],
  ],
  ["a token is removed", (i) => [remove(["tokens", i.foam])], ["token-removed"]],
  [
    "a token is of another type",
    (i) => [set(["tokens", i.foam], { ...token(i.foam), type: "number", value: 4 })],
    ["token-type"],
  ],
  [
    "a system is adopted",
    () => [set(["adoptions", "sea"], { ...sea, id: "sea" })],
    ["system-added"],
  ],
  ["an adopted system is given up", () => [remove(["adoptions", "shore"])], ["system-removed"]],
  [
    "an adopted system is at another edition",
    () => [
      set(["adoptions", "shore", "edition"], "f".repeat(64)),
      set(["adoptions", "shore", "number"], "2.0.0"),
    ],
    ["system-changed"],
  ],
  [
    "a component is renamed and drawn otherwise",
    (i) => [set(lamp("name"), "Lantern"), set(said(baseLook, i.glow, "fill"), "#b3402e")],
    ["component-renamed", "looks"],
  ],
  [
    "a word is longer than its frame",
    (i) => [set(said(baseLook, i.word, "text"), "Pier at the far end of the mole")],
    ["option-usual", "text"],
  ],
];

const sentences = (name: string, found: readonly Difference[]): string =>
  [name, ...found.map(({ kind, weight, text }) => `  ${weight}: ${text} (${kind})`)].join("\n");

describe("kinds of change", () => {
  it("are sixty and more, each with its reason in words", async () => {
    expect(judged.length).toBeGreaterThanOrEqual(60);
    expect(new Set(judged.flatMap(([, , kinds]) => kinds)).size).toBe(Object.keys(kinds).length);
    const all = judged.map(([name, ops]) => sentences(name, compared(edited(ops(ids)))));
    await expect(`${all.join("\n")}\n`).toMatchFileSnapshot("kept/reasons.txt");
  });

  it.each(judged)("%s", (_words, ops, wanted) => {
    const found = compared(edited(ops(ids)));
    expect([...new Set(found.map((d) => d.kind))].sort()).toEqual([...wanted].sort());
    expect(heaviest(found.map((d) => d.weight))).toBe(heaviest(wanted.map((kind) => kinds[kind])));
    for (const difference of found) expect(difference.text).toMatch(/^\S.*\S$/);
  });
});
