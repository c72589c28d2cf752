import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const drag: TriggerEvents = { of: "layer", name: (_rule, layer) => `drag.${layer}` };
