import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

/** The layer is left before what listens for that hears of it: what a contact did has gone back. */
export const leave: TriggerEvents = { of: "layer", name: (_rule, layer) => `left.${layer}` };
