export { contrastOf } from "./contrast";
export { paint } from "./paint";
export type { Paint } from "./types";
export { markup, svgDocument } from "./svg";
export { outlinePath } from "./outline";
