import fc from "fast-check";
import type { Id } from "#core/basics";
import { ROOT, inOrder } from "#core/project";
import type { Condition, Piece } from "#core/project";
import type { LayerKind } from "#core/properties";
import { Builder } from "../pieces";

const kinds: readonly LayerKind[] = ["box", "ellipse", "text"];
const colours = ["#1f6f5c", "#e3b341", "#c9c3b4", "none"];

const layerPlan = fc.record({
  kind: fc.constantFrom(...kinds),
  into: fc.nat(9),
  x: fc.integer({ min: -20, max: 90 }),
  y: fc.integer({ min: -20, max: 60 }),
  width: fc.integer({ min: 4, max: 60 }),
  height: fc.integer({ min: 4, max: 40 }),
  fill: fc.constantFrom(...colours),
});
const lookPlan = fc.record({
  traits: fc.array(fc.tuple(fc.nat(2), fc.array(fc.nat(2), { minLength: 1, maxLength: 2 })), {
    maxLength: 3,
  }),
  layer: fc.nat(9),
  key: fc.constantFrom("x", "y", "width", "opacity", "fill", "visible"),
  n: fc.nat(50),
});
export const plan = fc.record({
  traits: fc.array(fc.integer({ min: 2, max: 3 }), { minLength: 1, maxLength: 3 }),
  layers: fc.array(layerPlan, { minLength: 2, maxLength: 8 }),
  looks: fc.array(lookPlan, { maxLength: 10 }),
  pick: fc.array(fc.nat(100), { minLength: 8, maxLength: 8 }),
});
export type Plan = typeof plan extends fc.Arbitrary<infer T> ? T : never;

const valueOf = (key: string, n: number) => {
  if (key === "fill") {
    return colours[n % colours.length] as string;
  }
  if (key === "visible") {
    return n % 2 === 0;
  }
  return key === "opacity" ? (n % 10) / 10 : n;
};

/**
 * A component with traits, a tree of layers and looks for whatever combinations, as a plan says.
 */
export const built = (p: Plan): { b: Builder; ids: Id[] } => {
  const b = new Builder();
  const ids: Id[] = [];
  b.new("component", "Quay");
  p.traits.forEach((n, i) =>
    b.trait(["Tide", "Light", "Berth"][i] as string, ...["low", "mid", "high"].slice(0, n)),
  );
  for (const { kind, into, ...values } of p.layers) {
    const boxes = [ROOT, ...ids.filter((id) => b.layerOf(id).kind === "box")];
    ids.push(
      b.layer(
        kind,
        kind === "text" ? { x: values.x, y: values.y, fill: values.fill, text: "Ferry" } : values,
        boxes[into % boxes.length],
      ),
    );
  }
  for (const look of p.looks)
    b.look(conditionOf(b.piece, look.traits), ids[look.layer % ids.length] as Id, {
      [look.key]: valueOf(look.key, look.n),
    });
  return { b, ids };
};

const conditionOf = (
  piece: Piece,
  traits: readonly (readonly [number, readonly number[]])[],
): Condition => {
  const all = inOrder(piece.traits);
  const out: Record<Id, Id[]> = {};
  for (const [t, values] of traits) {
    const trait = all[t % all.length];
    const list = inOrder(trait?.values ?? {});
    if (trait) out[trait.id] = [...new Set(values.map((v) => list[v % list.length]?.id as Id))];
  }
  return out;
};
