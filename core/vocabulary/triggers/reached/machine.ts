import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A clip gets to a moment. */
export const reached: TriggerFacet = { by: "clip" };
