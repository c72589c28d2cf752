import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** Something has pressed for so many ms. */
export const hold: TriggerFacet = { by: "press", isStop: true, afterPress: true, contact: "press" };
