export { entryOf } from "./entry";
export type { Frozen } from "./frozen";
export type { Id } from "./id";
export { lerp } from "./lerp";
export { present } from "./present";
