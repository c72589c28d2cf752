export { withinScreen } from "./chain";
export { DOUBLE } from "./contact";
export { usualDrag } from "./drag";
export { overlayStyle } from "./surface";
export { firing } from "./firing";
export type { Shown } from "./firing";
export { backOf, between, endsOf, ledTo, startsOf } from "./ends";
export { focusStops, nextStop } from "./focus";
export { advance, revise, start, step } from "./machine";
export { ancestry, brokenRule, componentsAt, liveCopies, rulesOf, resolveMotion } from "./piece";
export type { ActiveInstance } from "./piece";
export { Run } from "./run";
export { MOST_STEPS, nextDue } from "./wait";
export type { MachineEvent, Revert, Input, Path, State, Timer, TraitSet } from "./types";
export {
  easingText,
  effectText,
  happeningText,
  keyName,
  listenText,
  motionText,
  ruleText,
  ruleTrouble,
  triggerText,
} from "./words";
export type { LogLine } from "./words";
