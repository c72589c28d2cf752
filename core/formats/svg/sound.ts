import { plainText } from "../../basics";
import { labelOf, propertySchema } from "../../properties";
import type { Draft } from "./draft";
import { svgWords } from "./words";

/** Without these a layer is not what it was in the file. */
const essential = new Set(["x", "y", "width", "height", "shape"]);

const whyOf = (draft: Draft, key: string): string => {
  if (key === "shape") {
    return svgWords.pathTooLongThousand(draft.name, plainText(draft.values.shape).length / 1000);
  }
  return essential.has(key)
    ? svgWords.beyondWhatLayerCan(draft.name, labelOf(key) ?? key)
    : svgWords.of(labelOf(key) ?? key, draft.name);
};

/**
 * Layers of a file with only such values as layers can have; what cannot be taken is told to
 * `lost`, the rest is.
 */
export const soundDrafts = (drafts: readonly Draft[], lost: (what: string) => void): Draft[] =>
  drafts.flatMap((draft): Draft[] => {
    const wrong = Object.keys(draft.values).filter(
      (key) => propertySchema(key)?.safeParse(draft.values[key]).success === false,
    );
    for (const key of wrong) lost(whyOf(draft, key));
    if (wrong.some((key) => essential.has(key))) return [];
    const values =
      wrong.length === 0
        ? draft.values
        : Object.fromEntries(Object.entries(draft.values).filter(([key]) => !wrong.includes(key)));
    return [{ ...draft, values, inside: soundDrafts(draft.inside, lost) }];
  });
