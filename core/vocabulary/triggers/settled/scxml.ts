import type { TriggerEvents } from "../../../formats/scxml/trigger-events";

export const settled: TriggerEvents = { of: "piece", name: () => "settled" };
