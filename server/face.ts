import * as fontkit from "fontkit";
import type { Font } from "fontkit";
import type { Face } from "#core/layout";

const everything = [[0, 0x10ffff]] as const;
/** Fonts of very many characters are measured without kerning beyond these: their tables would be as large as the font. */
const MOST_KERNED = 700;

/** Distinct rows of a table, and which row each key has. Keys whose row is all zero are left out. */
const classes = (keys: readonly string[], row: (key: string) => readonly number[]): { of: Record<string, number>; rows: (readonly number[])[] } => {
  const seen = new Map<string, number>();
  const rows: (readonly number[])[] = [];
  const of: Record<string, number> = {};
  for (const key of keys) {
    const r = row(key);
    if (r.every((n) => n === 0)) continue;
    const id = r.join();
    if (!seen.has(id)) { seen.set(id, rows.length); rows.push(r); }
    of[key] = seen.get(id) as number;
  }
  return { of, rows };
};

/**
 * Reads what layout must know out of a font file (TTF, OTF, WOFF, WOFF2); throws for a file that is none.
 * Kerning is asked for every pair the font can set in one run; ligatures and alternates are off, as in the painter.
 */
export const readFace = (bytes: Buffer, ranges: readonly (readonly [number, number])[] = everything): Face => {
  const font = fontkit.create(bytes) as Font;
  const chars = font.characterSet.filter((c) => c >= 32 && ranges.some(([a, b]) => c >= a && c <= b)).map((c) => String.fromCodePoint(c));
  const advance = new Map(chars.map((c) => [c, font.glyphForCodePoint(c.codePointAt(0) ?? 0).advanceWidth]));
  // every left glyph against all right ones in one long run, separated by the pair's own order: a b, a c, a d …
  const kern = new Map<string, number[]>();
  const features = { kern: true, liga: false, clig: false, calt: false, dlig: false, mark: false, mkmk: false } as unknown as Record<string, boolean>;
  // combining marks are placed by anchors, not kerned; a fraction slash would turn the digits beside it into small ones
  const base = chars.filter((c) => !/\p{M}|\u2044/u.test(c)).slice(0, MOST_KERNED);
  for (const left of base) {
    const run = font.layout(base.map((right) => left + right).join(""), features);
    kern.set(left, run.glyphs.length === base.length * 2
      ? base.map((_, i) => Math.round((run.positions[2 * i]?.xAdvance ?? 0) - (advance.get(left) ?? 0)))
      : base.map((right) => Math.round((font.layout(left + right, features).positions[0]?.xAdvance ?? 0) - (advance.get(left) ?? 0))));
  }
  const left = classes(base, (c) => kern.get(c) ?? []);
  const right = classes(base, (c) => { const i = base.indexOf(c); return left.rows.map((r) => r[i] ?? 0); });
  return {
    ranges, upm: font.unitsPerEm, ascent: font.ascent, descent: font.descent, advances: Object.fromEntries(advance),
    left: left.of, right: right.of, kern: left.rows.map((_, l) => right.rows.map((r) => r[l] ?? 0)),
  };
};


/** What a font file says about itself: its family, its weight as in CSS, and whether its letters slant. */
export const describeFont = (bytes: Buffer): { family: string; weight: string; slanted: boolean } => {
  const font = fontkit.create(bytes) as Font & { "OS/2"?: { usWeightClass?: number }; italicAngle?: number };
  if (!("familyName" in font) || !font.familyName) throw new Error("no family name");
  const weight = Math.max(100, Math.min(900, Math.round((font["OS/2"]?.usWeightClass ?? 400) / 100) * 100));
  return { family: font.familyName.slice(0, 80), weight: String(weight), slanted: (font.italicAngle ?? 0) !== 0 };
};
