import type { Reader } from "./bytes";
import type { Tables } from "./sfnt";

/**
 * What a font says about itself: its family, its weight as in CSS, and whether its letters slant.
 */
export interface FontNames {
  readonly family: string;
  readonly weight: string;
  readonly slanted: boolean;
}

/**
 * Name ids: the family among four styles, and the typographic one with all its weights, which is
 * preferred.
 */
const FAMILY = 1;
const WHOLE_FAMILY = 16;
const [UNICODE, MACINTOSH, WINDOWS] = [0, 1, 3];
const ENGLISH = 0x0409;

const utf16 = (bytes: Uint8Array): string => new TextDecoder("utf-16be").decode(bytes);
const latin = (bytes: Uint8Array): string => new TextDecoder("latin1").decode(bytes);

interface Named {
  readonly rank: number;
  readonly text: string;
}

/**
 * The family name (naming table, ISO/IEC 14496-22 §5.2.7), English if there is one; empty when it
 * is not said.
 */
const familyOf = (name: Reader): string => {
  const count = name.u16(2);
  const texts = name.u16(4);
  const found: Named[] = [];
  for (let i = 0; i < count; i++) {
    const at = 6 + i * 12;
    const id = name.u16(at + 6);
    if (id !== FAMILY && id !== WHOLE_FAMILY) continue;
    const last = id === WHOLE_FAMILY ? 0 : 10;
    const platform = name.u16(at);
    const bytes = name.part(texts + name.u16(at + 10), name.u16(at + 8));
    if (platform === WINDOWS)
      found.push({ rank: last + (name.u16(at + 4) === ENGLISH ? 0 : 2), text: utf16(bytes) });
    if (platform === UNICODE) found.push({ rank: last + 1, text: utf16(bytes) });
    if (platform === MACINTOSH) found.push({ rank: last + 3, text: latin(bytes) });
  }
  return found.sort((a, b) => a.rank - b.rank)[0]?.text.trim() ?? "";
};

/** Reads what a font says about itself out of its tables. */
export const readNames = (tables: Tables): FontNames => {
  const name = tables.get("name");
  const os2 = tables.get("OS/2");
  const post = tables.get("post");
  const weight = os2 && os2.length >= 6 ? os2.u16(4) : 400;
  const hundreds = Math.max(100, Math.min(900, Math.round(weight / 100) * 100));
  const angle = post && post.length >= 8 ? post.u32(4) : 0;
  return { family: name ? familyOf(name) : "", weight: String(hundreds), slanted: angle !== 0 };
};
