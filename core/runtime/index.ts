export { firing } from "./firing";
export type { Shown } from "./firing";
export { Run } from "./run";
export { sceneOf } from "./scene";
export { Touchable } from "./touchable";
