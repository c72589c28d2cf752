import { beforeAll, describe, expect, it } from "vitest";
import { layout } from "#core/layout";
import type { LayoutEnv } from "#core/layout";
import { Resolver } from "#core/looks";
import { markup, paint } from "#core/paint";
import { registry } from "#core/properties";
import type { LayerKind, PropertyName, Value } from "#core/properties";
import { testEnv } from "../../tests/support/env";
import { Builder } from "../../tests/support/pieces";

type Values = Readonly<Record<string, Value>>;

/** A layer that shows a property: of a kind, with values beside it and around it. */
interface Probe {
  readonly kind: LayerKind;
  readonly value: Value;
  readonly beside: Values;
  readonly around: Values;
}

const shows = (kind: LayerKind, value: Value, beside: Values = {}, around: Values = {}): Probe => ({
  kind,
  value,
  beside,
  around,
});
const inRow: Values = { arrange: "row" };
const row: Values = { arrange: "row", padding: [2, 2, 2, 2] };
const edged: Values = { borderColour: "#20302e", borderWidth: 4 };
const fit = { widthMode: "fit", heightMode: "fit" };
const hexagon = { sides: 6 };
const rings = "M0 0L100 0L100 100L0 100Z M20 20L80 20L80 80L20 80Z";
const bend = { shape: "M0 0L100 0L0 100", ...edged };

/** How each property comes to be seen; why, where none of it is seen in a picture at rest. */
const probes: Readonly<Record<PropertyName, Probe | string>> = {
  x: shows("box", 30),
  y: shows("box", 30),
  width: shows("box", 120),
  height: shows("box", 90),
  widthMode: shows("box", "fit"),
  heightMode: shows("box", "fit"),
  minWidth: shows("box", 120, fit),
  maxWidth: shows("box", 20, fit),
  minHeight: shows("box", 90, fit),
  maxHeight: shows("box", 10, fit),
  rotation: shows("box", 30),
  scale: shows("box", [2, 1]),
  pivot: shows("box", [0, 0], { rotation: 30 }),
  stack: "puts a layer before its siblings: see the tests of layout",
  visible: shows("box", false),
  comesFrom: "is seen while the layer comes: see the tests of motion",
  goesTo: "is seen while the layer goes: see the tests of motion",
  followX: "follows a parent that is given another size: see the tests of layout",
  followY: "follows a parent that is given another size: see the tests of layout",
  touch: "is felt, not seen",
  pointer: "is felt, not seen",
  arrange: shows("box", "column", inRow),
  gap: shows("box", 12, inRow),
  padding: shows("box", [9, 9, 9, 9], inRow),
  align: shows("box", "end", row),
  justify: shows("box", "end", row),
  wrap: shows("box", true, { ...row, width: 34 }),
  resizing: "says what happens to what is inside a layer of another size: see the tests of layout",
  scrolls: shows("box", "down", { height: 15 }),
  scrolledBy: shows("box", 6, { scrolls: "down", height: 15 }),
  grow: shows("box", 1, {}, inRow),
  floats: shows("box", true, {}, { ...inRow, padding: [20, 20, 20, 20] }),
  picture: "needs a file: see the tests of pictures",
  fit: "needs a file: see the tests of pictures",
  focus: "needs a file: see the tests of pictures",
  icon: "needs a drawing: see the tests of icons",
  combine: "needs shapes: see the tests of outlines",
  fill: shows("box", "#2c9a70"),
  radius: shows("box", [8, 8, 8, 8]),
  sides: shows("polygon", 8, hexagon),
  inset: shows("polygon", 40, hexagon),
  rounding: shows("polygon", 6, hexagon),
  shape: shows("path", "M0 0L100 0L0 100Z"),
  overlaps: shows("path", "holes", { shape: rings }),
  shadow: shows("box", [{ x: 0, y: 4, blur: 6, spread: 0, colour: "#00000040" }]),
  opacity: shows("box", 0.5),
  blur: shows("box", 4),
  mixing: shows("box", "multiply"),
  clip: shows("box", true),
  masks: shows("box", true),
  borderColour: shows("box", "#2c9a70", edged),
  borderWidth: shows("box", 8, edged),
  borderAt: shows("box", "outside", edged),
  borderStyle: shows("box", "dashed", edged),
  ends: shows("path", "flat", bend),
  joins: shows("path", "pointed", bend),
  text: shows("text", "Aboard"),
  style: "stands for others: see the tests of tokens",
  font: shows("text", "Bitter"),
  weight: shows("text", "700"),
  size: shows("text", 30),
  lineHeight: shows("text", 2),
  spacing: shows("text", 4),
  alignText: shows("text", "end", { widthMode: "fixed" }),
  alignDown: shows("text", "bottom", { heightMode: "fixed" }),
  letters: shows("text", "capitals"),
  decoration: shows("text", "struck"),
  tooLong: shows("text", "ellipsis", {
    widthMode: "fixed",
    width: 30,
    text: "All aboard the ferry",
  }),
  role: shows("box", "button"),
  label: shows("box", "Board now"),
  plays: shows("picture", 4000),
  starts: "is told by the machine: see the tests of clips",
  repeats: "is told by the machine: see the tests of clips",
  playedTo: shows("picture", 2000, { plays: 4000 }),
  entry: "is told by the machine: see the tests of fields",
  choices: "is told by the machine: see the tests of fields",
  sends: "is told by the machine: see the tests of fields",
  component: "stands for another piece: see the tests of copies",
};

let env: LayoutEnv;
beforeAll(async () => {
  env = await testEnv();
});

const pictured = ({ kind, beside, around }: Probe, more: Values): string => {
  const b = new Builder();
  b.new("component", "Quay");
  b.look({}, "root", { width: 300, height: 200, ...around });
  const size: Values = kind === "text" ? {} : { width: 80, height: 50 };
  const fill: Values = kind === "picture" ? {} : { fill: "#dcd5c6" };
  const id = b.layer(kind, { x: 10, y: 10, ...size, ...fill, ...beside, ...more });
  if (kind === "box") {
    b.layer("box", { x: 0, y: 0, width: 30, height: 12, fill: "#20302e" }, id);
    b.layer("box", { x: 40, y: 8, width: 20, height: 20, fill: "#1f6f5c" }, id);
  }
  // something beside it that it can push, cover and mask
  b.layer("box", { x: 60, y: 30, width: 40, height: 40, fill: "#e3b341" });
  const tree = new Resolver().tree(b.project, b.at, {});
  if (!tree) throw new Error("nothing to paint");
  return markup(paint(layout(env, tree)));
};

describe("every property of the registry", () => {
  it("has a place in this list", () => {
    expect(Object.keys(probes)).toEqual(registry.map((p) => p.key));
  });

  const seen = Object.entries(probes).flatMap(([key, probe]) =>
    typeof probe === "string" ? [] : [[key, probe] as const],
  );
  it.each(seen)("changes the picture: %s", (key, probe) => {
    expect(pictured(probe, { [key]: probe.value })).not.toBe(pictured(probe, {}));
  });

  it.each(seen)("belongs to the kind it was tried on: %s", (key, { kind, value }) => {
    const entry = registry.find((p) => p.key === key);
    expect(entry?.kinds).toContain(kind);
    expect(entry?.fallback).not.toEqual(value);
  });
});
