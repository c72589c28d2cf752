import type { Id } from "../../basics";
import type { Rule } from "../../project";

/** The events of a chart by which a trigger comes about. */
export interface TriggerEvents {
  /** each layer has one, each rule one of its own, or there is one for the whole piece */
  readonly of: "layer" | "rule" | "piece";
  /** it goes to the innermost layer with an enabled rule */
  readonly climbs?: true;
  /** it does nothing when the press has become a hold */
  readonly unlessHeld?: true;
  readonly name: (rule: Rule, layer: Id) => string;
}
