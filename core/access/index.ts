export { isNameOf, proposedAria } from "./propose";
export { attributeFor, controls, stateNeededBy } from "./roles";
export { statesOf } from "./states";
export { accessTree } from "./tree";
export type { AccessNode, Field } from "./types";
export { practiceFor } from "./practice";
export type { PracticeKey } from "./practice";
