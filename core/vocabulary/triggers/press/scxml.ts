import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const press: TriggerEvents = {
  of: "layer",
  climbs: true,
  name: (_rule, layer) => `press.${layer}`,
};
