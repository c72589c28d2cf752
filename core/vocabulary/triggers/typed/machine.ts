import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A field is filled in. */
export const typed: TriggerFacet = { by: "form" };
