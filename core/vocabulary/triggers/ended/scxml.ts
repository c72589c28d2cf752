import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const ended: TriggerEvents = { of: "layer", name: (_rule, layer) => `ended.${layer}` };
