import { traitsWords } from "./words";

const { no, yes, off, valueOn: on, none, hovered, pressed, focused } = traitsWords;

/** Traits that are often declared, by the names they usually have. */
export const quickStarts: readonly {
  readonly name: string;
  readonly values: readonly string[];
}[] = [
  { name: traitsWords.contact, values: [none, hovered, pressed] },
  { name: traitsWords.contact, values: [none, hovered, pressed, focused] },
  { name: traitsWords.checked, values: [no, yes] },
  { name: traitsWords.selected, values: [no, yes] },
  { name: traitsWords.on, values: [off, on] },
  { name: traitsWords.open, values: [no, yes] },
  { name: traitsWords.expanded, values: [no, yes] },
  { name: traitsWords.disabled, values: [no, yes] },
  { name: traitsWords.error, values: [no, yes] },
  { name: traitsWords.loading, values: [no, yes] },
];

/** A trait typed in one go: its name before a colon, its values with commas between them. */
export const readTrait = (text: string): { name: string; values: readonly string[] } => {
  const colon = text.indexOf(":");
  const name = colon < 0 ? "" : text.slice(0, colon).trim();
  const values = text
    .slice(colon + 1)
    .split(/[,;\n]/)
    .map((v) => v.trim())
    .filter(Boolean);
  return { name: name || traitsWords.choice, values: [...new Set(values)] };
};
