export {
  boundsIn,
  mapOf,
  mapPoint,
  resized,
  spotAt,
  spotBounds,
  spotOf,
  spotsIn,
  unite,
  wayInto,
} from "./bounds";
export type { Affine, Rect, ShownBox } from "./bounds";
export type { Face, FontBook } from "./fonts";
export { facesFor, widthOf } from "./fonts";
export { findBox, hitTest, toParent } from "./hit";
export { layout } from "./place";
export type { LayoutEnv } from "./place";
export { setText } from "./text";
export type { LayoutBox } from "./types";
