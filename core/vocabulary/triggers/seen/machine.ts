import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A layer comes into sight. */
export const seen: TriggerFacet = { by: "sight" };
