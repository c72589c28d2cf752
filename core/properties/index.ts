export type { Four, Mixing, Property, PropertyGroup, Shadow, Value, Values, ValueType } from "./types";
export { propertyGroups } from "./types";
export { defaultsOf, families, OPTION, propertiesOf, property, registry, TRAIT } from "./registry";
export { colourSchema, propertySchema } from "./schema";
export { parseNumber } from "./arithmetic";
export { parseColour } from "./colour";
export { parseValue, showValue } from "./entry";
