import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const played: TriggerEvents = { of: "layer", name: (_rule, layer) => `played.${layer}` };
