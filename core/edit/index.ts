export { changeRows, changeWords, placeWords } from "./places";
export {
  addToken,
  aliasesOf,
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
export { takeFont, takeIcon, takePicture } from "./assets";
export { addDrafts } from "./drafts";
export {
  addLayer,
  duplicateLayers,
  holds,
  moveInto,
  removeLayers,
  renameLayer,
  restack,
  subtree,
  topmost,
} from "./layers";
export {
  carryVariant,
  clearValue,
  moveSaying,
  ownLooks,
  resetVariant,
  setValues,
  styleOf,
} from "./looks";
export type { Edits } from "./looks";
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
export {
  addOption,
  addRule,
  contacts,
  duplicateRule,
  moveRule,
  removeOption,
  removeRule,
  repeatable,
  setRule,
  usualMotion,
} from "./rules";
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
export { lastWiring, wire, wireEffects, wireScopes, wireTriggers } from "./wiring";
export type { Wire } from "./wiring";
export { addWayBack, contactTrait, make, makings, wayBack } from "./makers";
export type { Making } from "./makers";
export {
  acceptFinding,
  addRehearsal,
  removeRehearsal,
  renameRehearsal,
  setSteps,
  unacceptFinding,
} from "./rehearsals";
export {
  cascaded,
  cascadeOrders,
  compareTimes,
  giveMotion,
  saveMotion,
  setEffectMotion,
  setMotions,
  withLane,
  withoutLane,
  withoutPose,
  withPose,
} from "./timing";
export type { CascadeOrder } from "./timing";
export { followMotion, motionGroups, motionsIn, motionUsesOf, unlike } from "./motions";
export type { MotionGroup } from "./motions";
export { addSignal, removeSignal, renameSignal } from "./signals";
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
export { markUnused, nameVariant, setReference, usedAgain } from "./notes";
export { detach, extract, replaceBy } from "./extract";
export { align, distribute, flattenLayer, lock, restackTo, unwrap, wrap } from "./arrange";
export type { Alignment, Moves } from "./arrange";
export { copyLayers, pasteClip, readClip } from "./clip";
export type { Clip } from "./clip";
export { distances, snap } from "./snap";
export type { Edges, Gap, Guide } from "./snap";
