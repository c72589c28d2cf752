export {
  addKnot,
  bendKnot,
  boundsOfOutlines,
  dropKnot,
  linesIn,
  moveKnot,
  nearestLine,
  placeOn,
  readOutlines,
  turnKnot,
  writeOutlines,
} from "./points";
export type { Knot, KnotOutline, PathPoint } from "./points";
export { partsOf } from "./parts";
