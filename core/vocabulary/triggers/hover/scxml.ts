import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

/** Entering comes with hovering, and both answer to one event. */
export const hover: TriggerEvents = { of: "layer", name: (_rule, layer) => `enter.${layer}` };
