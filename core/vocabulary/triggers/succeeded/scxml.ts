import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const succeeded: TriggerEvents = {
  of: "layer",
  climbs: true,
  name: (_rule, layer) => `succeeded.${layer}`,
};
