import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const double: TriggerEvents = {
  of: "layer",
  climbs: true,
  name: (_rule, layer) => `double.${layer}`,
};
