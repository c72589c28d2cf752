import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const seen: TriggerEvents = { of: "layer", name: (_rule, layer) => `seen.${layer}` };
