import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A form sets out. */
export const sent: TriggerFacet = { by: "form" };
