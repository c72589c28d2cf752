import type { Affine, LayoutBox } from "../layout";
import type { Field } from "./types";

/** As tall as this many lines, and a field is one for several lines. */
const SEVERAL = 1.9;

/** An entry as a field of the page; null where a layer is none. `text` is what is filled in. */
export const fieldOf = (
  { values, width, height }: LayoutBox,
  map: Affine,
  text: string,
): Field | null => {
  const by = values.entry;
  if (by !== "typing" && by !== "choosing") return null;
  const choices = (values.choices ?? "").split(",").map((c) => c.trim());
  const line = (values.size ?? 16) * (values.lineHeight ?? 1.3);
  const wraps = values.tooLong === "wraps" && values.widthMode !== "fit";
  return {
    by,
    text,
    placeholder: text === "" ? (values.text ?? "") : "",
    choices: choices.filter(Boolean),
    isMultiline: by === "typing" && wraps && height > SEVERAL * line,
    values,
    width,
    height,
    map,
  };
};
