import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const sent: TriggerEvents = { of: "layer", name: (_rule, layer) => `sent.${layer}` };
