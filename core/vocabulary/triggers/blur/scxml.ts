import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

/** The focus goes before what listens for that hears of it: what a contact did has gone back. */
export const blur: TriggerEvents = { of: "layer", name: (_rule, layer) => `blurred.${layer}` };
