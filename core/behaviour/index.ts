export { advance, MOST_STEPS, revise, start, step } from "./machine";
export { brokenRule, liveCopies, rulesOf } from "./piece";
export type { Live } from "./piece";
export { Run } from "./run";
export type { Happening, Hold, Input, Path, State, Timer, TraitSet } from "./types";
export { effectText, happeningText, motionText, ruleText, ruleTrouble, triggerText } from "./words";
export type { LogLine } from "./words";
