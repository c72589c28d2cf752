export { contrastOf } from "./contrast";
export type { Contrast } from "./contrast";
export { paint } from "./paint";
export type { Paint } from "./types";
export { readPath, scalePath } from "./path";
export type { Segment } from "./path";
export { markup, svgDocument } from "./svg";
export { pictureBox } from "./ink";
export { compoundPath, outlinePath, polygonPoints } from "./outline";
