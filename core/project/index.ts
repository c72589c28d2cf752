export { accept } from "./changes/accept";
export { Places, apply, changeSchema, merge, related, same, sentOps } from "./changes/change";
export { isRestoring, remove, set } from "./changes/op";
export type { Change, Op } from "./changes/op";
export type { EffectOf, EffectType } from "./effects";
export { isInside, overwrittenBy, restoredValue, touchesAny, valueIn } from "./changes/history";
export type { Clash, LoggedChange } from "./changes/history";
export { byOrder, inOrder, newId, orderAfter, orderAt, tableEntry } from "./ids";
export { judge, restoreKey, restoringOps } from "./changes/judge";
export type { Proposal } from "./changes/judge";
export { adoptionOf, innerId, isOwn, qualified } from "./adoption";
export type { Adoption, Origin } from "./adoption";
export type { Project } from "./project";
export { limits } from "./limits";
export { declarationsSchema } from "./declarations";
export { isTokenValue } from "./tokens/schema";
export { followingNumbers, isNumberOf, numberNames } from "./tokens/following";
export type { FollowingNumber, NumberTokens, Numbered } from "./tokens/following";
export { tokenTypes } from "./tokens/tokens";
export type {
  Alias,
  BorderValue,
  GradientParts,
  MotionValue,
  OtherValue,
  Part,
  Parts,
  SpecifiedStyle,
  SpecifiedTokenValue,
  StyleValue,
  Theme,
  Token,
  TokenGroup,
  TokenLook,
  TokenType,
  TokenValue,
  TokenValues,
} from "./tokens/tokens";
export { issueText, laneSchema, projectSchema, readProject, tables, upgrade } from "./schema";
export { cleanText, cutText } from "./text";
export {
  BASE,
  ROOT,
  advices,
  ariaStates,
  directions,
  motionKinds,
  optionKeys,
  overlayPlaces,
} from "./types";
export type {
  About,
  Acceptance,
  AriaState,
  Condition,
  Easing,
  Effect,
  Lane,
  Layer,
  LayerChanges,
  Look,
  Motion,
  MotionParts,
  Option,
  OptionKey,
  OverlayStyle,
  Piece,
  Pose,
  Reference,
  Rehearsal,
  Rule,
  Sample,
  Signal,
  Spring,
  Status,
  Step,
  Trait,
  TraitTarget,
  TraitAria,
  TraitValue,
  Variant,
  VariantNote,
  Varying,
} from "./types";
export { triggerTypes } from "./triggers";
export type { TellingTrigger, Trigger, TriggerType } from "./triggers";
export { dragDirections, dragWays } from "../vocabulary/triggers/drag/schema";
export type { DragDirection, DragWay } from "../vocabulary/triggers/drag/schema";
export { easingSchema, focusBy } from "./scalars";
export { FORMAT, isNewer, isOlder, upgradeChange, upgradeValue } from "./format";
