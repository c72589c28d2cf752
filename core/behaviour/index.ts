export { withinScreen } from "../machine/chain";
export { DOUBLE } from "../machine/contact";
export { usualDrag } from "../machine/drag";
export { overlayStyle } from "../machine/surface";
export { firing } from "../runtime/firing";
export type { Shown } from "../runtime/firing";
export { backOf, between, endsOf, startsOf } from "../machine/ends";
export { focusStops, nextStop } from "../machine/focus";
export { advance, start, step } from "../machine/machine";
export { ancestry, brokenRule, componentsAt, rulesOf, resolveMotion } from "../machine/piece";
export { Run } from "../runtime/run";
export { nextDue } from "../machine/wait";
export type { MachineEvent, Input, State } from "../machine/types";
export {
  easingText,
  effectText,
  happeningText,
  keyName,
  motionText,
  ruleText,
  ruleTrouble,
  triggerText,
} from "../describe/words";
export type { LogLine } from "../describe/words";
