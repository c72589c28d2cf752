import { describe, expect, it } from "vitest";
import {
  addToken,
  bindToToken,
  carryVariant,
  lostWith,
  markUnused,
  mergeTokens,
  moveTrait,
  moveTraitValue,
  nameVariant,
  placesSaying,
  removeToken,
  removeTraitValue,
  repeatedValues,
  replaceAt,
  resetVariant,
  setPattern,
  setReference,
  setToken,
  setValues,
  styleOf,
  takeIcon,
  takePicture,
  tokenFindings,
  tokenFrom,
  tokenSaying,
  tokenTypeOf,
  usedAgain,
  usesOf,
} from "#core/edit";
import {
  Resolver,
  differenceText,
  differencesBetween,
  originOf,
  restingVariant,
  tokenValue,
  traitsOf,
  valuesIn,
  variantName,
  variantsOf,
} from "#core/looks";
import { accept, inOrder } from "#core/project";
import type { Project, Token } from "#core/project";
import { kelpwayKit } from "../../demo/index";
import { Builder } from "../../tests/support/pieces";
import { dependentsOf } from "./tokens/tokens";

const kit = () => {
  const b = new Builder();
  b.project = kelpwayKit();
  return b.on("alert-switch");
};
const token = (p: Project, id: string): Token => p.tokens[id] as Token;

describe("tokens", () => {
  it("are followed through aliases, and shown everywhere at once when they change", () => {
    const b = kit();
    expect(tokenValue(b.project.tokens, "colour-primary")).toBe("#2c9a70");
    b.do(setToken(token(b.project, "colour-kelp"), { value: "#00ff00" }));
    expect(tokenValue(b.project.tokens, "colour-primary")).toBe("#00ff00");
    expect(
      valuesIn(
        b.project,
        b.piece,
        { alerts: "alerts-on", pressed: "pressed-no" },
        b.layerOf("track"),
      ).fill,
    ).toBe("#00ff00");
    expect(dependentsOf(b.project, "colour-kelp").map((t) => t.id)).toEqual(["colour-primary"]);
    b.do(setToken(token(b.project, "colour-kelp"), { value: { alias: "colour-primary" } }));
    expect(tokenValue(b.project.tokens, "colour-kelp")).toBeUndefined();
  });

  it("leave their value behind when they are removed, styles each of theirs", () => {
    const b = kit();
    expect(usesOf(b.project, "colour-rope").length).toBeGreaterThan(2);
    const seen = () =>
      JSON.stringify(
        new Resolver().tree(
          b.project,
          "fare-panel",
          restingVariant(b.project.pieces["fare-panel"] as never),
        ),
        (k, v: unknown) => (["layer", "style", "id"].includes(k) ? undefined : v),
      );
    const before = seen();
    b.do(removeToken(b.project, token(b.project, "colour-ink"))).do(
      removeToken(b.project, token(b.project, "style-heading")),
    );
    expect(seen()).toBe(before);
    expect(usesOf(b.project, "colour-ink")).toEqual([]);
  });

  it("equal values can become one, unused and equal tokens are found and made one", () => {
    const b = new Builder();
    b.new("component", "Berth");
    const ids = [1, 2, 3].map(() => b.layer("box", { fill: "#123456" }));
    const [first] = repeatedValues(b.project);
    if (!first) throw new Error("nothing found");
    expect(first.places).toHaveLength(3);
    b.do(tokenFrom(b.project, first, "Deep").change);
    expect(b.piece.looks.base?.changes[ids[0] as string]?.fill).toHaveProperty("token");
    const other = addToken(b.project, "colour", "Deeper", "#123456");
    b.do(other.change);
    const found = tokenFindings(b.project);
    expect(found.unused.map((t) => t.name)).toEqual(["Deeper"]);
    expect(found.equal[0]?.map((t) => t.name)).toEqual(["Deep", "Deeper"]);
    b.do(mergeTokens(b.project, found.equal[0] as Token[]));
    expect(Object.values(b.project.tokens).map((t) => t.name)).toEqual(["Deep"]);
    expect(tokenTypeOf("fill", "none")).toBeNull();
    expect(tokenTypeOf("shadow", [])).toBeNull();
    expect(tokenTypeOf("gap", 8)).toBe("length");
  });

  it("equal values can follow a token that says the same", () => {
    const b = new Builder();
    const deep = addToken(b.project, "colour", "Deep", "#123456");
    b.do(deep.change);
    b.new("component", "Berth");
    const ids = ["#123456", "#123456", "#abcdef"].map((fill) => b.layer("box", { fill }));
    const [first] = repeatedValues(b.project);
    if (!first) throw new Error("nothing found");
    const known = tokenSaying(b.project, first);
    expect(known?.name).toBe("Deep");
    b.do(bindToToken(first, known as Token));
    const fills = ids.map((id) => b.piece.looks.base?.changes[id]?.fill);
    expect(fills).toEqual([{ token: deep.id }, { token: deep.id }, "#abcdef"]);
    expect(tokenSaying(b.project, { ...first, value: "#654321" })).toBeUndefined();
  });

  it("refuse a value of another kind", () => {
    const b = kit();
    expect(
      accept(b.project, setToken(token(b.project, "colour-kelp"), { value: 12 })),
    ).toMatchObject({ ok: false });
  });
});

describe("finding and replacing", () => {
  it("says another value in exactly the places found", () => {
    const b = kit();
    const places = placesSaying(
      b.project,
      "board-now-button",
      (p) => p.key === "opacity" && p.said === 0.35,
    );
    expect(places).toHaveLength(1);
    b.do(replaceAt(places, 0.5));
    expect(b.project.pieces["board-now-button"]?.looks.base?.changes.halo?.opacity).toBe(0.5);
  });
});

describe("assets", () => {
  it("the same icon and the same picture are taken once", () => {
    const b = kit();
    const icon = Object.values(b.project.assets).find((a) => a.kind === "icon");
    if (icon?.kind !== "icon") throw new Error("no icon");
    expect(
      takeIcon(b.project, { name: icon.name, width: 16, height: 16, shapes: icon.shapes }).change,
    ).toBeNull();
    const fresh = takePicture(b.project, {
      name: "New",
      hash: "0".repeat(64),
      type: "image/png",
      width: 1,
      height: 1,
      bytes: 9,
    });
    expect(accept(b.project, fresh.change as never)).toMatchObject({ ok: true });
  });
});

describe("variants", () => {
  it("can have names, and combinations can be left out of everything", () => {
    const b = kit();
    const on = { alerts: "alerts-on", pressed: "pressed-yes" };
    b.do(nameVariant(b.piece, on, "Held down"));
    expect(variantName(b.piece, on)).toBe("Held down");
    b.do(nameVariant(b.piece, on, ""));
    expect(variantName(b.piece, on)).toBe("on, pressed");
    b.do(markUnused(b.piece, { alerts: ["alerts-on"], pressed: ["pressed-yes"] }));
    expect(variantsOf(b.piece)).toHaveLength(3);
    b.do(usedAgain(b.piece, on));
    expect(variantsOf(b.piece)).toHaveLength(4);
    b.do(markUnused(b.piece, {}));
    expect(variantsOf(b.piece)).toEqual([restingVariant(b.piece)]);
  });

  it("traits and values move, keep their rest, and say what would go with them", () => {
    const b = kit();
    b.do(moveTrait(b.piece, "pressed", 0)).do(setPattern(b.piece, "pressed", 7));
    expect(traitsOf(b.piece).map((t) => t.id)).toEqual(["pressed", "alerts"]);
    const alerts = () => b.piece.traits.alerts as never;
    b.do(moveTraitValue(b.piece, alerts(), "alerts-on", 0));
    expect(restingVariant(b.piece).alerts).toBe("alerts-off");
    expect(lostWith(b.piece, alerts(), "alerts-on")).toMatchObject({
      variants: 2,
      looks: 2,
      rules: 0,
      text: expect.stringMatching(/^2 variants and 3 values set where/) as string,
    });
    b.do(markUnused(b.piece, { alerts: ["alerts-on"], pressed: ["pressed-yes"] }));
    b.do(removeTraitValue(b.piece, alerts(), "alerts-on") as never);
    expect(Object.keys(b.piece.notes)).toEqual([]);
  });

  it("take over one another's look, and are reset", () => {
    const b = kit();
    const off = { alerts: "alerts-off", pressed: "pressed-no" };
    const on = { alerts: "alerts-on", pressed: "pressed-no" };
    expect(
      differencesBetween(b.project, b.piece, off, on).map((d) => differenceText(b.project, d)),
    ).toEqual(["Knob: x from 4 to 32", "Track: fill from Rope to Kelp"]);
    b.do(
      carryVariant(b.project, b.piece, on, {
        alerts: "alerts-off",
        pressed: "pressed-yes",
      }) as never,
    );
    expect(
      differencesBetween(b.project, b.piece, on, { alerts: "alerts-off", pressed: "pressed-yes" }),
    ).toEqual([]);
    expect(carryVariant(b.project, b.piece, on, on)).toBeNull();
    b.do(resetVariant(b.piece, on) as never);
    expect(originOf(b.project, b.piece, on, b.layerOf("knob"), "x").value).toBe(4);
    expect(resetVariant(b.piece, off)).toBeNull();
  });

  it("what is said for one variant alone shows there, also beside an equally specific look that came later", () => {
    const b = new Builder();
    b.new("component", "Berth");
    const tide = b.trait("Tide", "low", "mid", "high");
    const light = b.trait("Light", "day", "night");
    const id = b.layer("box", { x: 0, y: 0, fill: "#c9c3b4" });
    const alone = { [tide.id]: [tide.v.mid as string], [light.id]: [light.v.night as string] };
    const both = { ...alone, [tide.id]: [tide.v.mid as string, tide.v.high as string] };
    const mid = { [tide.id]: tide.v.mid as string, [light.id]: light.v.night as string };
    const high = { ...mid, [tide.id]: tide.v.high as string };
    b.look(alone, id, { x: 1, y: 7 }).look(both, id, { x: 2, fill: "#1f6f5c" });
    const value = (variant: Record<string, string>, key: string) =>
      valuesIn(b.project, b.piece, variant, b.layerOf(id))[key];
    expect([value(mid, "x"), value(mid, "y")]).toEqual([2, 7]);
    b.look(alone, id, { fill: "#e3b341" });
    // it went behind the other; what that one had hidden of it stays unseen
    expect([value(mid, "fill"), value(mid, "x"), value(mid, "y"), value(high, "fill")]).toEqual([
      "#e3b341",
      2,
      7,
      "#1f6f5c",
    ]);
    b.look(alone, id, { x: 9 });
    expect([value(mid, "x"), value(high, "x")]).toEqual([9, 2]);
  });

  it("a style is what can be carried over: not the place, not the contents", () => {
    const b = new Builder();
    b.project = kelpwayKit();
    b.new("component", "Sign");
    const id = b.layer("text", { x: 4, text: "Dock", fill: "#123456", size: 12, opacity: 0.5 });
    const rest = restingVariant(b.piece);
    const style = styleOf(b.project, b.piece, rest, b.layerOf(id));
    expect(style).toMatchObject({ fill: "#123456", size: 12, opacity: 0.5 });
    for (const key of ["x", "text", "visible", "role"]) expect(style).not.toHaveProperty(key);
    // tokens stay tokens, and what a text style brings is left to it
    b.do(
      setValues(
        b.piece,
        {},
        { [id]: { fill: { token: "colour-kelp" }, style: { token: "style-heading" } } },
      ),
    );
    const bound = styleOf(b.project, b.piece, rest, b.layerOf(id));
    expect(bound).toMatchObject({
      fill: { token: "colour-kelp" },
      style: { token: "style-heading" },
    });
    expect(bound).not.toHaveProperty("size");
    const other = b.layer("text", { text: "Pier", size: 40 });
    b.do(setValues(b.piece, {}, { [other]: bound }));
    expect(valuesIn(b.project, b.piece, rest, b.layerOf(other))).toMatchObject({
      text: "Pier",
      fill: "#2c9a70",
      size: valuesIn(b.project, b.piece, rest, b.layerOf(id)).size,
    });
  });

  it("a reference picture is no part of the piece's layers", () => {
    const b = kit();
    b.do(
      setReference(b.piece, { picture: "picture-saltholm", x: 0, y: 0, width: 480, opacity: 0.4 }),
    );
    expect(b.piece.reference?.width).toBe(480);
    expect(
      accept(b.project, setReference(b.piece, { picture: "x", x: 0, y: 0, width: -1, opacity: 2 })),
    ).toMatchObject({ ok: false });
    expect(inOrder(b.piece.layers)).toHaveLength(5);
  });
});
