import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A pointer comes onto the layer. */
export const enter: TriggerFacet = { by: "hover" };
