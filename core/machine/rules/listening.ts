import type { TriggerType } from "../../project";
import type { RuleFilter } from "../events";

/** Rules with one of these triggers. */
export const listensFor =
  (...types: readonly TriggerType[]): RuleFilter =>
  (rule) =>
    types.includes(rule.trigger.type);
