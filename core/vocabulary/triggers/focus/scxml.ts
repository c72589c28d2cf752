import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const focus: TriggerEvents = { of: "layer", name: (_rule, layer) => `focus.${layer}` };
