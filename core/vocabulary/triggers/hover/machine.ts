import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** A pointer is on the layer; ends when it leaves. */
export const hover: TriggerFacet = { by: "hover", contact: "hover" };
