import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** The keyboard's focus goes. */
export const blur: TriggerFacet = { by: "focus" };
