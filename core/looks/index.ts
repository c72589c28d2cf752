export { changesIn, looksIn, looksOf, originOf, valuesIn } from "./cascade";
export type { Origin } from "./cascade";
export { lookFor, onlyScope, reachOf, scopesFor, suggestedScope } from "./scope";
export type { Scope } from "./scope";
export { childrenOf, Resolver, startOf } from "./tree";
export type { Resolved } from "./tree";
export { conditionShort, conditionText, meets, MOST_VARIANTS, restingVariant, restOf, sameCondition, specificity, traitsOf, valuesOf, variantFrom, variantKey, variantName, variantsOf } from "./variants";
