import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const enter: TriggerEvents = { of: "layer", name: (_rule, layer) => `enter.${layer}` };
