import type { Id } from "../../basics";
import type { Rule, TriggerType } from "../../project";

/**
 * What is asked of the rules of a layer when something happens there. Equal asks are equal texts,
 * so that tables can be kept by them.
 */
export type Ask =
  | Exclude<TriggerType, "hover">
  | "focus any"
  | "focus waiting"
  | "blur any"
  | `${"key" | "signal"} ${string}`;

/** A key as it is asked for: letters in whatever case. */
export const keyAsk = (key: string): Ask => `key ${key.length === 1 ? key.toLowerCase() : key}`;

export const signalAsk = (signal: Id): Ask => `signal ${signal}`;

/** What a rule answers. */
export const answeredBy = ({ trigger }: Rule): readonly Ask[] => {
  const { type, by } = trigger;
  if (type === "hover") return ["enter"];
  if (type === "key") return [keyAsk(trigger.key ?? "")];
  if (type === "signal") return [signalAsk(trigger.signal ?? "")];
  if (type === "focus") return ["focus", by === "any" ? "focus any" : "focus waiting"];
  return type === "blur" && by === "any" ? ["blur", "blur any"] : [type];
};
