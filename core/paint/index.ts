export { combineWith } from "./combining";
export { contrastOf } from "./contrast";
export { outlinePath } from "./outline";
export { paint } from "./paint";
export { placingKeys } from "./placing";
export { markup, svgDocument } from "./svg";
export type { Attrs, Paint } from "./types";
