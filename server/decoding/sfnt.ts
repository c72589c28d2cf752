import { Reader, Unreadable } from "./bytes";

/** The most a font may unpack to, bytes: the largest families of Chinese stay below. */
export const LARGEST_SFNT = 30_000_000;
const MOST_TABLES = 64;
/** Code points there are (Unicode, §3.4). */
const CODE_POINTS = 0x110000;

/** The tables of an OpenType font (ISO/IEC 14496-22, §4.5) by their tags. */
export type Tables = ReadonlyMap<string, Reader>;

/** The table directory of a font, with every table inside the file. */
export const readTables = (sfnt: Uint8Array): Tables => {
  const file = new Reader(sfnt);
  const start = file.tag(0) === "ttcf" ? file.u32(12) : 0;
  const count = file.u16(start + 4);
  if (count === 0 || count > MOST_TABLES) throw new Unreadable(`it says it has ${count} tables`);
  const tables = new Map<string, Reader>();
  for (let i = 0; i < count; i++) {
    const at = start + 12 + i * 16;
    tables.set(file.tag(at), new Reader(file.part(file.u32(at + 8), file.u32(at + 12))));
  }
  return tables;
};

const need = (tables: Tables, tag: string): Reader => {
  const table = tables.get(tag);
  if (!table) throw new Unreadable(`its table “${tag.trim()}” is missing`);
  return table;
};

/** Code points that a character map claims, counted without going through them. */
const claimed = (cmap: Reader, at: number): number => {
  const format = cmap.u16(at);
  if (format === 12 || format === 13) {
    const groups = cmap.u32(at + 12);
    cmap.part(at + 16, groups * 12);
    let total = 0;
    for (let i = 0; i < groups && total <= CODE_POINTS; i++) {
      const from = cmap.u32(at + 16 + i * 12);
      const to = cmap.u32(at + 20 + i * 12);
      if (to < from || to >= CODE_POINTS)
        throw new Unreadable("its character table claims characters that do not exist");
      total += to - from + 1;
    }
    return total;
  }
  if (format === 10) {
    const count = cmap.u32(at + 16);
    cmap.part(at + 20, count * 2);
    return count;
  }
  // the other formats have 16-bit numbers and cannot claim more
  return 0;
};

/**
 * Looks through what other readers would believe: sizes, counts and ranges. Throws Unreadable with
 * the reason.
 */
export const checkTables = (tables: Tables): void => {
  for (const tag of ["cmap", "head", "hhea", "hmtx", "maxp", "name"]) need(tables, tag);
  const glyphs = need(tables, "maxp").u16(4);
  if (glyphs === 0) throw new Unreadable("it has no glyphs");
  const cmap = need(tables, "cmap");
  const maps = cmap.u16(2);
  if (maps === 0 || maps > 64) throw new Unreadable(`it says it has ${maps} character tables`);
  for (let i = 0; i < maps; i++) {
    if (claimed(cmap, cmap.u32(8 + i * 8)) > CODE_POINTS)
      throw new Unreadable("its character table claims more characters than there are");
  }
  const upm = need(tables, "head").u16(18);
  if (upm < 16 || upm > 16_384)
    throw new Unreadable(`it has ${upm} units to the em; 16 to 16384 are allowed`);
  const measures = need(tables, "hhea").u16(34);
  if (measures === 0 || measures > glyphs) throw new Unreadable("it has no widths for its glyphs");
  need(tables, "hmtx").part(0, measures * 4 + (glyphs - measures) * 2);
};
