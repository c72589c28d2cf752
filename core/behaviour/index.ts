export { withinScreen } from "./chain";
export { DOUBLE } from "./contact";
export { usualDrag } from "./drag";
export { overlayStyle } from "./surface";
export { firing } from "./firing";
export type { Shown } from "./firing";
export { backOf, between, endsOf, startsOf } from "./ends";
export { focusStops, nextStop } from "./focus";
export { advance, start, step } from "./machine";
export { ancestry, brokenRule, componentsAt, rulesOf, resolveMotion } from "./piece";
export { Run } from "./run";
export { nextDue } from "./wait";
export type { MachineEvent, Input, State } from "./types";
export {
  easingText,
  effectText,
  happeningText,
  keyName,
  motionText,
  ruleText,
  ruleTrouble,
  triggerText,
} from "./words";
export type { LogLine } from "./words";
