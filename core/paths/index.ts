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
export type { Knot, Outline, Spot } from "./points";
export type { Part } from "./combine";
export { partsOf } from "./parts";
