export { changesIn, looksIn, originOf, valuesIn } from "./cascade";
export type { Origin } from "./cascade";
export {
  exactly,
  onlyScope,
  reached,
  reachesFor,
  reachOf,
  sameConditions,
  scopesFor,
  suggestedScope,
} from "./scope";
export type { Reach } from "./scope";
export { childrenOf, Resolver } from "./tree";
export type { ComputedLayer } from "./tree";
export {
  conditionShort,
  conditionText,
  isUnused,
  meets,
  MOST_VARIANTS,
  restingVariant,
  restOf,
  sameCondition,
  specificity,
  traitsOf,
  valuesOf,
  variantFrom,
  variantKey,
  variantName,
  variantsOf,
} from "./variants";
export { boundValue, tokensFor, tokenValue } from "./tokens";
export { differencesBetween, differenceText } from "./differences";
