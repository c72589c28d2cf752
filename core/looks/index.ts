export { cascade, changesIn, looksIn, looksOf, originOf, valuesIn } from "./cascade";
export type { Origin } from "./cascade";
export { Declarations } from "./declarations";
export { differenceText, differencesBetween } from "./differences";
export {
  exactly,
  lookFor,
  onlyScope,
  reached,
  reachesFor,
  sameConditions,
  scopesFor,
  suggestedScope,
} from "./scope";
export type { Reach } from "./scope";
export { boundValue, resolveTokens, isAlias, tokenValue, tokenValueOf, tokensFor } from "./tokens";
export type { Named } from "./tokens";
export {
  baseProject,
  hasThemes,
  inTheme,
  lookOfToken,
  otherThemes,
  themeOf,
  themeText,
  themesOf,
  unusualTheme,
} from "./themes";
export { Resolver, SharedCopies, childrenOf, overridesFrom, startOf, withOptions } from "./tree";
export type { ComputedLayer, Overrides, Running } from "./tree";
export {
  MOST_VARIANTS,
  conditionShort,
  conditionText,
  isUnused,
  meets,
  nameNote,
  restOf,
  restingVariant,
  sameCondition,
  specificity,
  traitsOf,
  unusedBy,
  valuesOf,
  variantFrom,
  variantKey,
  variantName,
  variantsOf,
  varyingOf,
} from "./variants";
export { restingName } from "./words";
