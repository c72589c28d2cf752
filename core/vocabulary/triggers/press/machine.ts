import type { TriggerFacet } from "../../../machine/rules/trigger-types";

/** Something presses: a pointer, or Enter and Space. */
export const press: TriggerFacet = { by: "press", isStop: true, contact: "press" };
