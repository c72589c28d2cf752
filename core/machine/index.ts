export { chainOf, liveAt, withinScreen } from "./chain";
export { withMoments } from "./clips";
export { DOUBLE } from "./contact";
export { SLOP, dragged, usualDrag } from "./drag";
export { claimOf, contest, targetValue } from "./effects";
export { backOf, between, endsOf, startsOf } from "./ends";
export { fireRule } from "./fire";
export { focusStops, nextStop, usable } from "./focus";
export { isEntry } from "./forms";
export { advance, byHand, revise, shownVariant, start, step } from "./machine";
export { movesOf } from "./moves";
export {
  ancestry,
  brokenRule,
  componentsAt,
  hiddenIn,
  liveCopies,
  resolveMotion,
  rulesOf,
} from "./piece";
export type { ActiveInstance } from "./piece";
export { saidIn } from "./saying";
export { overlayOf, overlayPart, overlayStyle } from "./surface";
export type { Input, MachineEvent, Path, Point, State, Timer } from "./types";
export { nextDue } from "./wait";
