export { align, distribute, flattenLayer, lock, restackTo, unwrap, wrap } from "./arrange";
export type { Alignment, Moves } from "./arrange";
export { takeFont, takeIcon, takePicture } from "./assets";
export { copyLayers, pasteClip, readClip } from "./clip";
export type { Clip } from "./clip";
export { addDrafts } from "./drafts";
export { detach, extract, replaceBy } from "./extract";
export { addGathered } from "./gathered";
export {
  addLayer,
  duplicateLayers,
  holds,
  moveInto,
  removeLayers,
  renameLayer,
  restack,
  topmost,
} from "./layers";
export { carryVariant, clearValue, moveSaying, resetVariant, setValues, styleOf } from "./looks";
export type { Edits } from "./looks";
export { addWayBack, make, makings, wayBack } from "./makers";
export type { Making } from "./makers";
export { followMotion, motionGroups, motionUsesOf, motionsIn } from "./motions";
export type { MotionGroup } from "./motions";
export { markUnused, nameVariant, setReference, usedAgain } from "./notes";
export {
  addPiece,
  contains,
  duplicatePiece,
  emptyProject,
  freeName,
  newPiece,
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
} from "./rulebook";
export type { RuleClip } from "./rulebook";
export {
  addOption,
  addRule,
  duplicateRule,
  moveRule,
  removeOption,
  removeRule,
  repeatable,
  setRule,
  usualMotion,
} from "./rules";
export { addSignal, removeSignal, renameSignal } from "./signals";
export { distances, snap } from "./snap";
export type { Edges, Gap, Guide } from "./snap";
export {
  cascadeOrders,
  cascaded,
  compareTimes,
  giveMotion,
  saveMotion,
  setEffectMotion,
  setMotions,
  withLane,
  withPose,
  withoutLane,
  withoutPose,
} from "./timing";
export type { CascadeOrder } from "./timing";
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
  tokenTypeOf,
  usesOf,
} from "./tokens";
export type { ValuePlace } from "./tokens";
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
  setRest,
} from "./traits";
export { lastWiring, wire, wireEffects, wireScopes, wireTriggers } from "./wiring";
export type { Wire } from "./wiring";
export { oppositeOf } from "./opposites";
