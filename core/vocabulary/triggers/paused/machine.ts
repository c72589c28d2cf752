import type { TriggerFacet } from "../../../machine/trigger-types";

/** A clip halts. */
export const paused: TriggerFacet = { by: "clip" };
