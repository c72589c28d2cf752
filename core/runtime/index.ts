export { firing } from "./firing";
export type { Shown } from "./firing";
export { answering } from "./answers";
export { presented } from "./presenting";
export type { Presented, ShownTrait } from "./presenting";
export { Run } from "./run";
export type { Goal } from "./run";
export { sceneOf } from "./scene";
export { Touchable } from "./touchable";
