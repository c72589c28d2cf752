import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A form was taken. */
export const succeeded: TriggerFacet = { by: "form" };
