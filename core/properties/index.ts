export { parseNumber } from "./arithmetic";
export { AS_IT_CAME, FADE, HERE, namedPoses } from "./away";
export type { Asset, FontAsset, IconAsset, IconShape, PictureAsset } from "./assets";
export { parseValue, showValue } from "./entry";
export { USUAL_FAMILY, families } from "./families";
export { gradientText } from "./gradient";
export { layerKinds } from "./kinds";
export type { LayerKind } from "./kinds";
export type { LayerValues, PropertyName, Role } from "./registry";
export {
  ENDLESS,
  OPTION,
  THEME,
  TRAIT,
  blends,
  defaultsOf,
  propertiesOf,
  property,
  registry,
  styleKeys,
} from "./registry";
export { mapFour } from "./four";
export { hundredths, thousandths } from "./rounding";
export {
  boundSchema,
  colourSchema,
  gradientShapes,
  optionSchema,
  propertySchema,
  shadowShape,
  stopShape,
  valueSchema,
} from "./schema";
export { fits, isBound } from "./types";
export type {
  AwayPose,
  Bound,
  Fill,
  Four,
  Gradient,
  Mixing,
  Pair,
  PictureFill,
  Property,
  PropertyGroup,
  Shadow,
  SpecifiedValue,
  Stop,
  Value,
  ValueType,
  Values,
} from "./types";
export { pictureTypes } from "./assets";
export type { PictureType } from "./assets";
export { choiceText, labelOf, sheetEntry, sheetType, titleOf } from "./sheet";
