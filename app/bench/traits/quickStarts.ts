import { traitsWords } from "./words";

/** Traits that are often declared, by what they are called in the menu. */
export const quickStarts: readonly {
  readonly words: string;
  readonly name: string;
  readonly values: readonly string[];
}[] = [
  { words: traitsWords.yesOrNo, name: traitsWords.checked, values: ["no", "yes"] },
  { words: traitsWords.offOrOn, name: traitsWords.power, values: ["off", "on"] },
  {
    words: traitsWords.contactNoneHoveredPressed,
    name: traitsWords.contact,
    values: ["none", "hovered", "pressed"],
  },
  {
    words: traitsWords.contactFocusWell,
    name: traitsWords.contact,
    values: ["none", "hovered", "pressed", "focused"],
  },
  { words: traitsWords.usableYesNo, name: traitsWords.usable, values: ["yes", "no"] },
  {
    words: traitsWords.choiceThree,
    name: traitsWords.choice,
    values: ["first", "second", "third"],
  },
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
