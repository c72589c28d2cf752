import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** Two clicks shortly after one another. */
export const double: TriggerFacet = { by: "press", isStop: true, afterPress: true };
