import { cleanText } from "../../project";
import { svgWords } from "./words";

const entities: Readonly<Record<string, string>> = {
  lt: "<",
  gt: ">",
  quot: '"',
  apos: "'",
  amp: "&",
};

/** The character a reference names; null for one that XML 1.0 (§4.1, §2.2) does not allow. */
const characterOf = (reference: string): string | null => {
  const hex = /^#x([0-9a-f]+)$/i.exec(reference)?.[1];
  const decimal = /^#(\d+)$/.exec(reference)?.[1];
  const code = hex === undefined ? Number(decimal) : Number.parseInt(hex, 16);
  if (!Number.isInteger(code) || code < 0 || code > 0x10ffff) return null;
  const char = String.fromCodePoint(code);
  return cleanText(char) === char ? char : null;
};

/**
 * A text of the file with its character references written out; what cannot be is left out and told
 * to `lost`.
 */
export const unescape = (text: string, lost: (what: string) => void): string =>
  text.replace(/&(#x[0-9a-f]+|#\d+|lt|gt|quot|apos|amp);/gi, (whole, reference: string) => {
    const known = entities[reference.toLowerCase()];
    if (known !== undefined) return known;
    const char = characterOf(reference);
    if (char === null) lost(svgWords.impossibleCharacter(whole.slice(0, 20)));
    return char ?? "";
  });
