export { buildGathered } from "./build";
export { drawingOf } from "./drawing";
export { fewestDeclarations } from "./minimal";
export { planFromNames, planProblems } from "./names";
export type { NamePlan } from "./names";
export { pairDrawings } from "./pair";
export type { Fixed } from "./pair";
export { withOneMoreTrait, withTraitName, withValue, withoutTrait } from "./plan";
export type { Drawing, DrawnLayer, Track } from "./types";
