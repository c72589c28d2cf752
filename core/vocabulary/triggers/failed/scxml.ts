import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const failed: TriggerEvents = {
  of: "layer",
  climbs: true,
  name: (_rule, layer) => `failed.${layer}`,
};
