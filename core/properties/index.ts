export type {
  Bound,
  Fill,
  Four,
  Gradient,
  Pair,
  PictureFill,
  PropertyGroup,
  SpecifiedValue,
  Shadow,
  Stop,
  Value,
  Values,
  ValueType,
} from "./types";
export { fits, isBound } from "./types";
export { families } from "./families";
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
export { propertySchema } from "./schema";
export { parseNumber } from "./arithmetic";
export { hundredths, thousandths } from "./rounding";
export { parseValue, showValue } from "./entry";
export { gradientText } from "./gradient";
