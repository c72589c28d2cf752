export { entryOf } from "./entry";
export type { Frozen } from "./frozen";
export type { Id } from "./id";
export { lerp } from "./lerp";
export { isOneOf } from "./one-of";
export { present } from "./present";
export { plainText } from "./plain";
