import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  conditionText,
  originOf,
  Resolver,
  restingVariant,
  scopesFor,
  suggestedScope,
  valuesIn,
  variantKey,
  variantName,
  variantsOf,
} from "#core/looks";
import { addOption, clearValue, setValues } from "#core/edit";
import { BASE, ROOT } from "#core/project";
import type { Variant } from "#core/project";
import { OPTION, TRAIT } from "#core/properties";
import { kelpwayKit } from "../../demo/index";
import { Builder } from "../../tests/support/pieces";
import { reachOf } from "./scope";

const switchPiece = () => {
  const b = new Builder();
  b.new("component", "Switch");
  const knob = b.layer("box", { x: 4, width: 28 });
  const alerts = b.trait("Alerts", "off", "on");
  const pressed = b.trait("Pressed", "no", "yes");
  const v = (a: "off" | "on", p: "no" | "yes"): Variant => ({
    [alerts.id]: alerts.v[a] as string,
    [pressed.id]: pressed.v[p] as string,
  });
  return {
    b,
    knob,
    alerts,
    pressed,
    v,
    on: { [alerts.id]: [alerts.v.on as string] },
    down: { [pressed.id]: [pressed.v.yes as string] },
  };
};

describe("variants", () => {
  it("are all combinations, named by what is the matter", () => {
    const { b, v } = switchPiece();
    expect(variantsOf(b.piece)).toEqual([
      v("off", "no"),
      v("off", "yes"),
      v("on", "no"),
      v("on", "yes"),
    ]);
    expect(variantsOf(b.piece).map((x) => variantName(b.piece, x))).toEqual([
      "off",
      "off, pressed",
      "on",
      "on, pressed",
    ]);
    expect(restingVariant(b.piece)).toEqual(v("off", "no"));
  });

  it("a piece without traits has exactly one", () => {
    const b = new Builder();
    b.new("component", "Plain");
    expect(variantsOf(b.piece)).toEqual([{}]);
    expect(reachOf(b.piece, {}).length).toBe(1);
  });
});

describe("the cascade", () => {
  it("takes the most specific look, ties by order, and tells the origin and what lost", () => {
    const { b, knob, alerts, pressed, v, on, down } = switchPiece();
    b.look(on, knob, { x: 32 })
      .look(down, knob, { x: 10, width: 33 })
      .look({ ...on, ...down }, knob, { x: 27 });
    const x = (variant: Variant) => valuesIn(b.project, b.piece, variant, b.layerOf(knob)).x;
    expect([v("off", "no"), v("off", "yes"), v("on", "no"), v("on", "yes")].map(x)).toEqual([
      4, 10, 32, 27,
    ]);
    const origin = originOf(b.project, b.piece, v("on", "yes"), b.layerOf(knob), "x");
    expect(conditionText(b.piece, b.piece.looks[origin.from ?? ""]?.when ?? {})).toBe(
      "Alerts is on and Pressed is yes",
    );
    expect(origin.own).toBe(true);
    expect(origin.hidden).toHaveLength(3);
    expect(originOf(b.project, b.piece, v("on", "yes"), b.layerOf(knob), "width")).toMatchObject({
      value: 33,
      own: false,
    });
    expect(originOf(b.project, b.piece, v("off", "no"), b.layerOf(knob), "x")).toMatchObject({
      value: 4,
      from: BASE,
      own: true,
    });
    expect(originOf(b.project, b.piece, v("on", "no"), b.layerOf(knob), "opacity")).toMatchObject({
      value: 1,
      from: null,
      own: false,
    });
    void alerts;
    void pressed;
  });

  it("a change of the base reaches every variant that does not say otherwise", () => {
    const { b, knob, v, on } = switchPiece();
    b.look(on, knob, { fill: "#2c9a70" });
    b.look({}, knob, { fill: "#ffffff" });
    const fills = variantsOf(b.piece).map(
      (variant) => valuesIn(b.project, b.piece, variant, b.layerOf(knob)).fill,
    );
    expect(fills).toEqual(["#ffffff", "#ffffff", "#2c9a70", "#2c9a70"]);
    const look = originOf(b.project, b.piece, v("on", "no"), b.layerOf(knob), "fill")
      .from as string;
    b.do(clearValue(b.piece, look, knob, "fill"));
    expect(valuesIn(b.project, b.piece, v("on", "no"), b.layerOf(knob)).fill).toBe("#ffffff");
    expect(b.piece.looks[look]).toBeUndefined();
  });

  it("an edit in a scope changes exactly the variants the scope reaches, unless they say otherwise for themselves", () => {
    const { b, knob } = switchPiece();
    fc.assert(
      fc.property(
        fc.nat({ max: 3 }),
        fc.nat({ max: 3 }),
        fc.integer({ min: -50, max: 50 }),
        (which, choice, x) => {
          const variant = variantsOf(b.piece)[which] as Variant;
          const scopes = scopesFor(b.piece, variant);
          const scope = scopes[choice % scopes.length];
          if (!scope) return;
          const edited = new Builder();
          edited.project = b.project;
          edited.on(b.at).do(setValues(b.piece, scope.when, { [knob]: { y: x + 1000 } }));
          const reached = new Set(reachOf(b.piece, scope.when).map((r) => variantKey(b.piece, r)));
          expect(reached.size).toBe(scope.reach);
          for (const other of variantsOf(b.piece)) {
            const y = valuesIn(edited.project, edited.piece, other, edited.layerOf(knob)).y;
            expect(y === x + 1000).toBe(reached.has(variantKey(b.piece, other)));
          }
        },
      ),
    );
  });

  it("suggests the traits in which a variant differs from rest", () => {
    const { b, v, on } = switchPiece();
    expect(suggestedScope(b.piece, v("off", "no"))).toEqual({});
    expect(suggestedScope(b.piece, v("on", "no"))).toEqual(on);
    expect(scopesFor(b.piece, v("on", "yes")).map((s) => s.reach)).toEqual([4, 2, 2, 1]);
    expect(scopesFor(b.piece, v("on", "yes")).filter((s) => s.suggested)).toHaveLength(1);
  });
});

describe("the resolved tree", () => {
  it("is deterministic, and keeps the identity of whatever an edit does not touch", () => {
    const project = kelpwayKit();
    const piece = project.pieces["trip-settings"];
    if (!piece) throw new Error("no demo");
    const one = new Resolver();
    const two = new Resolver();
    const first = one.tree(project, piece.id, {});
    expect(two.tree(project, piece.id, {})).toEqual(first);
    expect(one.tree(project, piece.id, {})).toBe(first);
    const b = new Builder();
    b.project = project;
    b.on(piece.id).look({}, "title", { text: "Other" });
    const next = one.tree(b.project, piece.id, {});
    expect(next).not.toBe(first);
    const find = (tree: typeof first, id: string) => tree?.children.find((c) => c.layer.id === id);
    expect(find(next, "bicycle")).toBe(find(first, "bicycle"));
    expect(find(next, "head")).not.toBe(find(first, "head"));
  });

  it("gives copies their own start and their own option values", () => {
    const b = new Builder();
    const component = b.new("component", "Switch");
    const label = b.layer("text", { text: "Dock alerts" });
    const trait = b.trait("Alerts", "off", "on");
    b.look({ [trait.id]: [trait.v.on as string] }, label, { fill: "#2c9a70" });
    const option = addOption(b.piece, label, "text");
    b.do(option.change);
    b.new("screen", "Trip");
    const one = b.layer("instance", { component });
    const two = b.layer("instance", {
      component,
      [TRAIT + trait.id]: trait.v.on as string,
      [OPTION + option.id]: "Delays",
    });
    const tree = new Resolver().tree(b.project, b.at, {});
    const text = (id: string) =>
      tree?.children.find((c) => c.layer.id === id)?.nested?.children[0]?.values;
    expect(text(one)).toMatchObject({ text: "Dock alerts", fill: "#20302e" });
    expect(text(two)).toMatchObject({ text: "Delays", fill: "#2c9a70" });
  });

  it("does not follow a component into itself, nor to one that is gone", () => {
    const b = new Builder();
    const a = b.new("component", "A");
    const inner = b.layer("instance", { component: a });
    expect(new Resolver().tree(b.project, a, {})?.children[0]?.nested).toBeNull();
    b.look({}, inner, { component: "nowhere" });
    expect(new Resolver().tree(b.project, a, {})?.children[0]?.nested).toBeNull();
    expect(new Resolver().tree(b.project, "nowhere", {})).toBeNull();
    expect(b.piece.layers[ROOT]).toBeDefined();
  });
});

describe("a trait that another window has just made", () => {
  it("rests in a variant that does not name it yet, and scopes are offered all the same", () => {
    const b = new Builder();
    b.new("component", "Gangway");
    const side = b.trait("Side", "port", "starboard");
    const scopes = scopesFor(b.piece, {});
    expect(scopes.map((s) => s.when)).toContainEqual({ [side.id]: [side.v.port] });
  });
});
