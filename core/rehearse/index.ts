export { Recorder } from "./record";
export type { Act } from "./record";
export { Rehearser, rehearse } from "./rehearse";
export type { Failure } from "./rehearse";
export { expects, pathText, pieceAtPath, stepText } from "./words";
