import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A copy says something to the piece around it. */
export const signal: TriggerFacet = { by: "copy" };
