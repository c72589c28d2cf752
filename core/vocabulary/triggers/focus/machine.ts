import type { TriggerFacet } from "../../../machine/trigger-types";

/** The keyboard's focus comes. */
export const focus: TriggerFacet = { by: "focus", isStop: true, contact: "focus" };
