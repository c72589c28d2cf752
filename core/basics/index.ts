export { entryOf } from "./entry";
export type { Id } from "./id";
export { lerp } from "./lerp";
