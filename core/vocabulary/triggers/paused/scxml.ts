import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const paused: TriggerEvents = { of: "layer", name: (_rule, layer) => `paused.${layer}` };
