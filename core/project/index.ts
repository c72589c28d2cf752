export { accept } from "./accept";
export { Places, apply, changeSchema, merge, related, same, sentOps } from "./change";
export { isRestoring, remove, set } from "./op";
export type { Change, Op } from "./op";
export type { EffectOf, EffectType } from "./effects";
export { isInside, overwrittenBy, restoredValue, touchesAny, valueIn } from "./history";
export type { Clash, LoggedChange } from "./history";
export { byOrder, inOrder, newId, orderAfter, orderAt, tableEntry } from "./ids";
export { judge, restoreKey, restoringOps } from "./judge";
export type { Proposal } from "./judge";
export { limits } from "./limits";
export { declarationsSchema, issueText, readProject, tables, upgrade } from "./schema";
export { cleanText, cutText } from "./text";
export {
  BASE,
  ROOT,
  directions,
  motionKinds,
  optionKeys,
  overlayPlaces,
  tokenTypes,
} from "./types";
export type {
  Acceptance,
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
  TraitValue,
  Variant,
  VariantNote,
  Varying,
} from "./types";
export { triggerTypes } from "./triggers";
export type { TellingTrigger, Trigger, TriggerType } from "./triggers";
export { dragDirections } from "../vocabulary/triggers/drag/schema";
export { FORMAT, isNewer, isOlder, upgradeChange, upgradeValue } from "./format";
