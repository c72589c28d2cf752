export { buildGathered } from "./build";
export { drawingOf } from "./drawing";
export { fewestDeclarations } from "./minimal";
export { planFromNames, planProblems, traitNameFor } from "./names";
export type { NamePlan } from "./names";
export { pairDrawings } from "./pair";
export type { Fixed } from "./pair";
export type { Drawing, DrawnLayer, Track } from "./types";
