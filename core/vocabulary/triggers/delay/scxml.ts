import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const delay: TriggerEvents = { of: "rule", name: (rule) => `due.${rule.id}` };
