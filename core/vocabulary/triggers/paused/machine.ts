import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A clip halts. */
export const paused: TriggerFacet = { by: "clip" };
