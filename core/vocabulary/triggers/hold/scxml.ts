import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const hold: TriggerEvents = { of: "rule", name: (rule) => `held.${rule.id}` };
