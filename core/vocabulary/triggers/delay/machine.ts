import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** So many ms have passed since the condition became true. */
export const delay: TriggerFacet = { by: "time" };
