export { buildGathered } from "./build";
export { drawingOf } from "./drawing";
export { fewestDeclarations as fewestSayings } from "./minimal";
export { planFromNames, planProblems, traitNameFor } from "./names";
export type { NamePlan } from "./names";
export { likeness, pairDrawings } from "./pair";
export type { Fixed } from "./pair";
export type { Drawing, DrawnLayer, Track } from "./types";
