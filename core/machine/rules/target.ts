import type { Id } from "../../basics";
import { traitsOf, valuesOf } from "../../looks";
import type { Piece, TraitTarget, Variant } from "../../project";

/**
 * The value an effect gives a trait; next and previous go round, opposite mirrors the order of
 * values, first is where a list begins.
 */
export const targetValue = (
  piece: Piece,
  variant: Variant,
  id: Id,
  target: TraitTarget,
): Id | null => {
  const trait = traitsOf(piece).find((t) => t.id === id);
  if (!trait) return null;
  if ("value" in target) return trait.values[target.value] ? target.value : null;
  const values = valuesOf(trait);
  const at = values.findIndex((v) => v.id === variant[trait.id]);
  const n = values.length;
  const to = { next: (at + 1) % n, previous: (at - 1 + n) % n, opposite: n - 1 - at, first: 0 }[
    target.step
  ];
  return values[to]?.id ?? null;
};
