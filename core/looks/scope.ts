import type { Condition, Look, Piece, Variant } from "../project/types";
import { meets, restingVariant, sameCondition, traitsOf, variantsOf } from "./variants";

/** A condition offered for the next edit, and how many variants it reaches. */
export interface Scope {
  readonly when: Condition;
  readonly reach: number;
  /** the one Nubble would take */
  readonly suggested: boolean;
}

/** The variants a condition covers. */
export const reachOf = (piece: Piece, when: Condition): Variant[] => variantsOf(piece).filter((v) => meets(when, v));

/**
 * The scope suggested for an edit made while looking at a variant: the trait values in which it differs from
 * the resting variant; in the resting variant, everything.
 */
export const suggestedScope = (piece: Piece, variant: Variant): Condition => {
  const rest = restingVariant(piece);
  return Object.fromEntries(traitsOf(piece).filter((t) => variant[t.id] !== rest[t.id]).map((t) => [t.id, [variant[t.id] as string]]));
};

/** The condition that holds in one variant only. */
export const onlyScope = (piece: Piece, variant: Variant): Condition =>
  Object.fromEntries(traitsOf(piece).map((t) => [t.id, [variant[t.id] as string]]));

/**
 * The scopes offered for a variant, from wide to narrow: everything; each single trait value; the suggestion; this one only.
 * Those that say the same are offered once.
 */
export const scopesFor = (piece: Piece, variant: Variant): Scope[] => {
  const suggested = suggestedScope(piece, variant);
  const single = traitsOf(piece).map((t): Condition => ({ [t.id]: [variant[t.id] as string] }));
  const conditions: Condition[] = [];
  for (const when of [{}, ...single, suggested, onlyScope(piece, variant)]) {
    if (!conditions.some((c) => sameCondition(c, when))) conditions.push(when);
  }
  return conditions
    .map((when) => ({ when, reach: reachOf(piece, when).length, suggested: sameCondition(when, suggested) }))
    .sort((a, b) => b.reach - a.reach);
};

/** The look that holds exactly under a condition, if there is one. */
export const lookFor = (piece: Piece, when: Condition): Look | undefined => Object.values(piece.looks).find((l) => sameCondition(l.when, when));
