export { rehearse, Rehearser, valueOf } from "./rehearse";
export type { Failure } from "./rehearse";
export { Recorder } from "./record";
export type { Act } from "./record";
export { expects, pathText, pieceAtPath, stepText } from "./words";
