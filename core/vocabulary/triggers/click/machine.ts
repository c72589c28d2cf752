import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A press and letting go on the same layer. */
export const click: TriggerFacet = { by: "press", isStop: true, afterPress: true };
