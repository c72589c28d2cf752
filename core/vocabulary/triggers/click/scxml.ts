import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const click: TriggerEvents = {
  of: "layer",
  climbs: true,
  unlessHeld: true,
  name: (_rule, layer) => `click.${layer}`,
};
