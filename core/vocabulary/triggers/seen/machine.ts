import type { TriggerFacet } from "../../../machine/trigger-types";

/** A layer comes into sight. */
export const seen: TriggerFacet = { by: "sight" };
