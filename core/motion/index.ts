export { curveOf, keywords } from "./easing";
export type { Curve } from "./easing";
export { mixColour, mixOf } from "./mix";
export type { Mix } from "./mix";
export { Mover } from "./mover";
