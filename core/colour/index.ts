export { colourAt, colourDistance, mixColour } from "./mix";
export { colourText, notations, parseColour } from "./notation";
export type { Notation } from "./notation";
