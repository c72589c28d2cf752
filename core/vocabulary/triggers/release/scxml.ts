import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const release: TriggerEvents = {
  of: "layer",
  climbs: true,
  unlessHeld: true,
  name: (_rule, layer) => `release.${layer}`,
};
