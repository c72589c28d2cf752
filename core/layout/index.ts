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
export type { Affine, Rect, Resize, ShownBox } from "./bounds";
export type { Face, FontBook } from "./fonts";
export { facesFor, widthOf } from "./fonts";
export { findBox, hitTest, toLocal, toParent } from "./hit";
export type { Hit } from "./hit";
export { layout } from "./place";
export type { LayoutEnv } from "./place";
export { setText } from "./text";
export type { Line, SetText } from "./text";
export type { Box, LayoutBox } from "./types";
