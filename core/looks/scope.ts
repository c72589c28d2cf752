import { present } from "../basics";
import type { Id } from "../basics";
import type { Condition, Look, Piece, Trait, Variant, Varying } from "../project";
import {
  meets,
  restOf,
  restingVariant,
  sameCondition,
  traitsOf,
  valuesOf,
  variantsOf,
} from "./variants";

/** A condition offered for the next edit, and how many variants it reaches. */
export interface Scope {
  readonly when: Condition;
  readonly reach: number;
  /** the one Nubble would take */
  readonly suggested: boolean;
}

/** A trait's value in a variant; a trait that somebody has just made rests. */
const valueOf = (trait: Trait, variant: Variant): Id => variant[trait.id] ?? restOf(trait);

/** The variants a condition covers. */
export const reachOf = (piece: Varying, when: Condition): Variant[] =>
  variantsOf(piece).filter((v) => meets(when, v));

/**
 * The scope suggested for an edit made while looking at a variant: the trait values in which it
 * differs from the resting variant; in the resting variant, everything.
 */
export const suggestedScope = (piece: Varying, variant: Variant): Condition => {
  const rest = restingVariant(piece);
  return Object.fromEntries(
    traitsOf(piece)
      .filter((t) => variant[t.id] !== rest[t.id])
      .map((t) => [t.id, [valueOf(t, variant)]]),
  );
};

/** The condition that holds in one variant only. */
export const onlyScope = (piece: Varying, variant: Variant): Condition =>
  Object.fromEntries(traitsOf(piece).map((t) => [t.id, [valueOf(t, variant)]]));

/**
 * The scopes offered for a variant, from wide to narrow: everything; each single trait value; the
 * suggestion; this one only. Those that say the same are offered once.
 */
export const scopesFor = (piece: Varying, variant: Variant): Scope[] => {
  const suggested = suggestedScope(piece, variant);
  const single = traitsOf(piece).map((t): Condition => ({ [t.id]: [valueOf(t, variant)] }));
  const conditions: Condition[] = [];
  for (const when of [{}, ...single, suggested, onlyScope(piece, variant)]) {
    if (!conditions.some((c) => sameCondition(c, when))) conditions.push(when);
  }
  return conditions
    .map((when) => ({
      when,
      reach: reachOf(piece, when).length,
      suggested: sameCondition(when, suggested),
    }))
    .sort((a, b) => b.reach - a.reach);
};

/** The look that holds exactly under a condition, if there is one. */
export const lookFor = (piece: Piece, when: Condition): Look | undefined =>
  Object.values(piece.looks).find((l) => sameCondition(l.when, when));

/**
 * The narrowest condition that all the given variants meet: for each trait, the values they have.
 */
const around = (piece: Varying, variants: readonly Variant[]): Condition => {
  const out: Record<string, string[]> = {};
  for (const trait of traitsOf(piece)) {
    const has = valuesOf(trait)
      .map((v) => v.id)
      .filter((id) => variants.some((v) => v[trait.id] === id));
    if (has.length < valuesOf(trait).length) out[trait.id] = has;
  }
  return out;
};

/** Conditions an edit is made in at once, and the variants they reach together. */
export interface Reach {
  readonly whens: readonly Condition[];
  readonly reach: number;
  readonly suggested: boolean;
}

const reachOfAll = (piece: Varying, whens: readonly Condition[]): number =>
  variantsOf(piece).filter((v) => whens.some((w) => meets(w, v))).length;

/**
 * What can be offered for an edit of several chosen variants, from wide to narrow: everything; the
 * narrowest condition around them, if it is not exactly them with how many more it reaches; and
 * only these. One variant is offered its scopes.
 */
export const reachesFor = (piece: Varying, variants: readonly Variant[]): Reach[] => {
  const [only] = variants;
  if (!only) return [];
  if (variants.length === 1)
    return scopesFor(piece, only).map((s) => ({
      whens: [s.when],
      reach: s.reach,
      suggested: s.suggested,
    }));
  const box = around(piece, variants);
  const exact = reachOf(piece, box).length === variants.length;
  const sets: Condition[][] = [[{}], [box]];
  if (!exact) sets.push(variants.map((v) => onlyScope(piece, v)));
  const fresh = sets.filter(
    (set, i) => sets.findIndex((other) => sameConditions(other, set)) === i,
  );
  return fresh
    .map((whens, i) => ({
      whens,
      reach: reachOfAll(piece, whens),
      suggested: i === fresh.length - 1,
    }))
    .sort((a, b) => b.reach - a.reach);
};

/**
 * The conditions that reach exactly the given variants: one around them if there is such a one,
 * else one for each.
 */
export const exactly = (piece: Varying, variants: readonly Variant[]): readonly Condition[] => {
  const box = around(piece, variants);
  return reachOf(piece, box).length === variants.length
    ? [box]
    : variants.map((v) => onlyScope(piece, v));
};

/** Whether two runs of conditions say the same in the same order. */
export const sameConditions = (a: readonly Condition[], b: readonly Condition[]): boolean =>
  a.length === b.length && a.every((c, i) => sameCondition(c, present(b[i])));

/** Whether a variant is reached by any of the conditions. */
export const reached = (whens: readonly Condition[], variant: Variant): boolean =>
  whens.some((w) => meets(w, variant));
