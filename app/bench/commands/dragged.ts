import { z } from "zod";
import { optionSchema } from "#core/properties";
import type { SpecifiedValue } from "#core/properties";

/** What a component that is dragged onto a card is called among what can be dragged. */
export const COMPONENT = "application/x-nubble-component";

/** A copy of a component before it lands: what it is of, and what it is given. */
export interface Unplaced {
  readonly component: string;
  readonly values: Readonly<Record<string, SpecifiedValue>>;
}

const unplaced = z.object({
  component: z.string().max(200),
  values: z.record(z.string().max(200), optionSchema),
});

const jsonOf = (text: string): unknown => {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
};

/** What was dragged here, whoever dragged it; null where it is nothing of ours. */
export const readDragged = (text: string): Unplaced | null => {
  const read = unplaced.safeParse(jsonOf(text));
  return read.success ? read.data : null;
};
