import type { TriggerFacet } from "../../../machine/trigger-types";

/** What pressed lets go. */
export const release: TriggerFacet = { by: "press", isStop: true, afterPress: true };
