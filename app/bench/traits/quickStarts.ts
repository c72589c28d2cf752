/** Traits that are often declared, by what they are called in the menu. */
export const quickStarts: readonly {
  readonly words: string;
  readonly name: string;
  readonly values: readonly string[];
}[] = [
  { words: "Yes or no", name: "Checked", values: ["no", "yes"] },
  { words: "Off or on", name: "Power", values: ["off", "on"] },
  {
    words: "Contact: none, hovered, pressed",
    name: "Contact",
    values: ["none", "hovered", "pressed"],
  },
  {
    words: "Contact with focus as well",
    name: "Contact",
    values: ["none", "hovered", "pressed", "focused"],
  },
  { words: "Usable: yes, no", name: "Usable", values: ["yes", "no"] },
  { words: "A choice of three", name: "Choice", values: ["first", "second", "third"] },
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
  return { name: name || "Choice", values: [...new Set(values)] };
};
