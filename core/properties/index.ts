export type {
  Bound,
  Fill,
  Fit,
  Four,
  Gradient,
  LinearFill,
  Mixing,
  Pair,
  PictureFill,
  Property,
  PropertyGroup,
  RadialFill,
  SpecifiedValue,
  Shadow,
  Stop,
  Unit,
  Value,
  Values,
  ValueType,
} from "./types";
export { fits, isBound, propertyGroups } from "./types";
export { families, weights } from "./families";
export {
  defaultsOf,
  ENDLESS,
  OPTION,
  propertiesOf,
  property,
  registry,
  styleKeys,
  TRAIT,
} from "./registry";
export { colourSchema, propertySchema, valueSchema } from "./schema";
export { parseNumber } from "./arithmetic";
export { hundredths, thousandths } from "./rounding";
export { colourText, notations, parseColour } from "./colour";
export type { Notation } from "./colour";
export { parseValue, showValue } from "./entry";
export { gradientText, parseGradient } from "./gradient";
