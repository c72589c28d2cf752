import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** The layer is dragged far or fast enough. */
export const drag: TriggerFacet = { by: "press" };
