import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** The keyboard's focus comes. */
export const focus: TriggerFacet = { by: "focus", isStop: true, contact: "focus" };
