export { Drawing } from "./draw";
export { Player } from "./play";
export type { PlayOptions } from "./play";
