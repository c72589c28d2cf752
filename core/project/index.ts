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
export { limits } from "./limits";
export { declarationsSchema, issueText, laneSchema, readProject, tables, upgrade } from "./schema";
export { cleanText, cutText } from "./text";
export {
  BASE,
  ROOT,
  ariaStates,
  directions,
  motionKinds,
  optionKeys,
  overlayPlaces,
  tokenTypes,
} from "./types";
export type {
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
  MotionValue,
  Option,
  OptionKey,
  OverlayStyle,
  Piece,
  Pose,
  Project,
  Reference,
  Rehearsal,
  Rule,
  Signal,
  Spring,
  Step,
  StyleValue,
  Token,
  TokenType,
  TokenValue,
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
export { focusBy } from "./scalars";
export { FORMAT, isNewer, isOlder, upgradeChange, upgradeValue } from "./format";
