export { changesIn, looksIn, looksOf, originOf, valuesIn } from "./cascade";
export type { Origin } from "./cascade";
export {
  around,
  exactly,
  lookFor,
  onlyScope,
  reached,
  reachesFor,
  reachOf,
  sameConditions,
  scopesFor,
  suggestedScope,
} from "./scope";
export type { Reach, Scope } from "./scope";
export { childrenOf, overridesFrom, Resolver, startOf } from "./tree";
export type { ComputedLayer, Running } from "./tree";
export {
  conditionShort,
  conditionText,
  isUnused,
  meets,
  MOST_VARIANTS,
  nameNote,
  restingVariant,
  restOf,
  sameCondition,
  specificity,
  traitsOf,
  unusedBy,
  valuesOf,
  variantFrom,
  variantKey,
  variantName,
  variantsOf,
} from "./variants";
export { boundValue, resolveTokens, tokensFor, tokenValue } from "./tokens";
export type { Named } from "./tokens";
export { differencesBetween, differenceText } from "./differences";
export type { Difference } from "./differences";
