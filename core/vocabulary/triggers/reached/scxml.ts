import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const reached: TriggerEvents = { of: "layer", name: (_rule, layer) => `reached.${layer}` };
