import type { TriggerFacet } from "../../../machine/trigger-types";

/** A form was taken. */
export const succeeded: TriggerFacet = { by: "form" };
