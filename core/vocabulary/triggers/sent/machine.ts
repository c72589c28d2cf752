import type { TriggerFacet } from "../../../machine/trigger-types";

/** A form sets out. */
export const sent: TriggerFacet = { by: "form" };
