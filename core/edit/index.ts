export { align, distribute, flattenLayer, lock, restackTo, unwrap, wrap } from "./drawing/arrange";
export type { Alignment, Moves } from "./drawing/arrange";
export { takeFont, takeIcon, takePicture } from "./drawing/assets";
export { copyLayers, pasteClip, readClip } from "./clip/clip";
export type { Clip } from "./clip/clip";
export { addDrafts } from "./drafts";
export { detach, extract } from "./drawing/extract";
export { replaceBy } from "./drawing/replace";
export { wayBeside } from "./drawing/repeat";
export { namesFollowing } from "./drawing/naming";
export { scaleLayers, scaleLayersIn } from "./drawing/scale";
export type { Scaling } from "./drawing/scale";
export { fitFrame, isFitting, settleFrame } from "./drawing/frame";
export { placeOnScreen } from "./drawing/onscreen";
export { addGathered } from "./drawing/gathered";
export {
  addLayer,
  duplicateLayers,
  holds,
  moveInto,
  removeLayers,
  renameLayer,
  restack,
  topmost,
} from "./drawing/layers";
export {
  carryVariant,
  clearValue,
  moveSaying,
  resetVariant,
  setValues,
  styleOf,
} from "./drawing/looks";
export type { Edits } from "./drawing/looks";
export { addWayBack, wayBack } from "./behaviour/wayBack";
export { addContacts, make, makersFor } from "./makers";
export type { Given, Maker, Making, Parameter, TouchTrigger } from "./makers";
export {
  followMotion,
  motionGroups,
  motionUsesOf,
  motionsIn,
  tokensOfMotion,
} from "./behaviour/motions";
export type { MotionGroup } from "./behaviour/motions";
export { numberTokensOf, numberUsesOf, withNumberToken } from "./behaviour/numbers";
export { markUnused, nameVariant, setReference, usedAgain } from "./notes";
export {
  addPiece,
  anyPlaceable,
  contains,
  placeable,
  duplicatePiece,
  emptyProject,
  freeName,
  newPiece,
  ownPiecesOf,
  piecesOf,
  removePiece,
  renamePiece,
  setOverlay,
  setStart,
  startScreen,
} from "./pieces";
export { changeRows, changeWords, placeWords } from "./places";
export {
  acceptFinding,
  addRehearsal,
  removeRehearsal,
  renameRehearsal,
  setSteps,
  unacceptFinding,
} from "./rehearsals";
export {
  copyRules,
  pasteRules,
  readRules,
  removeRules,
  rulesAbout,
  rulesAlong,
  rulesForValue,
  setRules,
  settableOptions,
} from "./behaviour/rulebook";
export type { RuleClip } from "./behaviour/rulebook";
export {
  addOption,
  addRule,
  duplicateRule,
  moveRule,
  nextMotion,
  removeOption,
  removeRule,
  repeatable,
  setRule,
  usuallyUndone,
} from "./behaviour/rules";
export { addUsualRule, usualEffect } from "./behaviour/usual";
export { addSignal, removeSignal, renameSignal } from "./behaviour/signals";
export { distances, snap } from "./drawing/snap";
export type { Edges, Gap, Guide } from "./drawing/snap";
export { copyLanes, pasteLanes, readLanes } from "./behaviour/laneClip";
export {
  cascadeOrders,
  cascaded,
  compareTimes,
  giveMotion,
  saveMotion,
  setEffectMotion,
  setMotions,
  withLane,
  poseAt,
  withPose,
  withValueAt,
  withoutLane,
  withoutPose,
} from "./behaviour/timing";
export type { CascadeOrder } from "./behaviour/timing";
export {
  addToken,
  mergeTokens,
  placesSaying,
  removeToken,
  repeatedValues,
  replaceAt,
  setToken,
  tokenFindings,
  tokenFrom,
  tokenSaying,
  bindToToken,
  tokenTypeOf,
} from "./tokens/tokens";
export type { Repeated } from "./tokens/tokens";
export { usesOf } from "./tokens/uses";
export type { ValuePlace } from "./tokens/uses";
export {
  addTheme,
  addThemeValue,
  clearTokenValue,
  removeTheme,
  removeThemeValue,
  renameTheme,
  renameThemeValue,
  setThemeRest,
  setTokenValue,
} from "./tokens/themes";
export { changedInThemes } from "./tokens/changed";
export type { ThemedPiece } from "./tokens/changed";
export { changedConditions } from "./tokens/take";
export { planTokens, takeTokens } from "./tokens/take";
export type { TokenPlan, TokenRow } from "./tokens/take";
export {
  addTrait,
  addTraitValue,
  duplicateTraitValue,
  lostWith,
  moveTrait,
  moveTraitValue,
  removeTrait,
  removeTraitValue,
  renameTrait,
  renameTraitValue,
  setPattern,
  setTraitAria,
  setTraitMotion,
  setRest,
} from "./behaviour/traits";
export { lastWiring, wire, wireEffects, wireScopes, wireTriggers } from "./behaviour/wiring";
export type { Wire } from "./behaviour/wiring";
export { oppositeOf } from "./behaviour/opposites";
export { sendsForms } from "./sends";
export { overlaysOf } from "./overlays";
export {
  libraryGroups,
  ownGroups,
  moveToGroup,
  renameGroup,
  setAbout,
  setStatus,
} from "./library/about";
export { addSample, moveSample, removeSample, setSample } from "./library/samples";
export { tokenTypeOfPart, untied, withPart } from "./behaviour/parts";
export type { Timed, TimedPart } from "./behaviour/parts";
export { setTokenAbout, setTokenDeprecated } from "./tokens/about";
export { editedValue } from "./tokens/keep";
export { nearNumber, nearToken } from "./tokens/near";
export type { NearToken } from "./tokens/near";
export { bringAlong, clipHere, strangersIn } from "./clip/carried";
export type { Carried } from "./clip/carried";
