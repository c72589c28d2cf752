export {
  easingText,
  effectText,
  eventText,
  keyName,
  motionText,
  ruleText,
  ruleTrouble,
  triggerText,
} from "./words";
export type { LogLine } from "./words";
