import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A form could not be sent. */
export const failed: TriggerFacet = { by: "form" };
