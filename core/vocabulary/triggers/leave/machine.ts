import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A pointer goes away from the layer. */
export const leave: TriggerFacet = { by: "hover" };
