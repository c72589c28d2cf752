import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A key goes down while the layer, or something in it, has the focus. */
export const key: TriggerFacet = { by: "key", isStop: true };
