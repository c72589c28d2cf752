export { paint } from "./paint";
export type { Paint } from "./paint";
export { readPath, scalePath } from "./path";
export type { Segment } from "./path";
export { markup, svgDocument } from "./svg";
