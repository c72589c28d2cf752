import type { CatalogueIcon } from "../session/assets";

/** How well a word fits an icon: the less, the better; null where it does not. */
const fit = ({ name, uses = [], tags = [] }: CatalogueIcon, word: string): number | null => {
  const parts = name.split("-");
  const tagWords = tags.flatMap((t) => t.split(/[\s-]+/));
  const ways = [
    uses.includes(word),
    name === word,
    parts[0] === word,
    parts.includes(word),
    name.startsWith(word),
    tags.includes(word),
    tagWords.includes(word),
    uses.some((u) => u.startsWith(word)),
    name.includes(word),
    tagWords.some((t) => t.startsWith(word)),
  ];
  const found = ways.indexOf(true);
  return found < 0 ? null : found;
};

const plainness = ({ name }: CatalogueIcon): number => name.split("-").length * 100 + name.length;

/**
 * Icons that fit every word typed, by their name, by what they are used for, or by the words their
 * makers gave them; the best first, and of equals the plainest.
 */
export const findIcons = (icons: readonly CatalogueIcon[], text: string): CatalogueIcon[] => {
  const words = text
    .toLowerCase()
    .split(/[\s-]+/)
    .filter(Boolean);
  if (words.length === 0) return [...icons];
  const whole = words.join("-");
  const hits = icons.flatMap((icon) => {
    if (icon.uses?.includes(whole)) return [{ icon, off: 0 }];
    const fits = words.map((w) => fit(icon, w));
    if (fits.includes(null)) return [];
    return [{ icon, off: fits.reduce<number>((sum, f) => sum + (f ?? 0), 0) }];
  });
  return hits
    .sort((a, b) => a.off - b.off || plainness(a.icon) - plainness(b.icon))
    .map((hit) => hit.icon);
};
