import type { TriggerFacet } from "../../../machine/trigger-types";

/** The piece has come to rest. */
export const settled: TriggerFacet = { by: "time" };
