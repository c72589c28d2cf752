import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A clip begins to play. */
export const played: TriggerFacet = { by: "clip" };
