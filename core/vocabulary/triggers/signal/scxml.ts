import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const signal: TriggerEvents = {
  of: "layer",
  name: ({ trigger }, layer) => `signal.${layer}.${trigger.signal ?? ""}`,
};
