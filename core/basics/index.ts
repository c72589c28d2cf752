export { entryOf } from "./entry";
export { lerp } from "./lerp";
