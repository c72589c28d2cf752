import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** What pressed lets go. */
export const release: TriggerFacet = { by: "press", isStop: true, afterPress: true };
