import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** The piece has come to rest. */
export const settled: TriggerFacet = { by: "time" };
