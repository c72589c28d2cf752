import type { TriggerFacet } from "../../../machine/trigger-types";

/** The layer is dragged far or fast enough. */
export const drag: TriggerFacet = { by: "press" };
