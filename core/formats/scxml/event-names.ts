import type { Id } from "../../basics";
import type { TriggerType } from "../../project";

/** As event names want it (SCXML §3.12.1): every other character by its number. */
const token = (text: string): string =>
  text.replaceAll(/[^A-Za-z0-9-]/g, (c) => `_${(c.codePointAt(0) ?? 0).toString(16)}`);

/**
 * The event that something happens on a layer of a piece; keys are named after their characters.
 */
export const scxmlEvent = (
  trigger: TriggerType | "letgo" | "due",
  layer: Id,
  detail = "",
): string => [trigger, ...(detail ? [token(detail)] : []), ...(layer ? [layer] : [])].join(".");
