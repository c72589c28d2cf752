export { combine } from "./combine";
export { partsOf } from "./parts";
export {
  addKnot,
  bendKnot,
  boundsOfOutlines,
  dropKnot,
  moveKnot,
  nearestLine,
  placeOn,
  readOutlines,
  turnKnot,
  writeOutlines,
} from "./points";
export type { Knot, KnotOutline, PathPoint } from "./points";
