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
