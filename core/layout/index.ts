export {
  boundsIn,
  boundsOf,
  mapOf,
  mapPoint,
  resized,
  spotAt,
  spotBounds,
  spotOf,
  spotsIn,
  wayInto,
} from "./bounds";
export type { Affine, ShownBox } from "./bounds";
export { boxAt, chainTo, withBox } from "./chain";
export { facesFor, widthOf } from "./fonts";
export type { Face, FontBook } from "./fonts";
export { findBox, hitTest, toLocal, toParent } from "./hit";
export type { Hit } from "./hit";
export { layout, scrollRoom } from "./place";
export type { LayoutEnv } from "./place";
export { areaOf, intersect, overlaps, unite } from "./rect";
export { shareBefore } from "./share";
export type { Line } from "./text";
export { clipsChildren } from "./types";
export type { LayoutBox, Rect } from "./types";
