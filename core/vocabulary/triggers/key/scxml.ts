import { scxmlEvent } from "../../../formats/scxml/event-names";
import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const key: TriggerEvents = {
  of: "layer",
  climbs: true,
  name: ({ trigger }, layer) => scxmlEvent("key", layer, trigger.key ?? ""),
};
