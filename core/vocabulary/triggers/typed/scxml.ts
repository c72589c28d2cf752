import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const typed: TriggerEvents = { of: "layer", name: (_rule, layer) => `typed.${layer}` };
