import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A clip gets to its end. */
export const ended: TriggerFacet = { by: "clip" };
