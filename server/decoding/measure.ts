import { Blob, Buffer as Run, Direction, Face as HbFace, Feature, Font, shape } from "harfbuzzjs";
import type { Face } from "#core/layout";
import type { Tables } from "./sfnt";

type Ranges = readonly (readonly [number, number])[];
const everything: Ranges = [[0, 0x10ffff]];
/**
 * Fonts of very many characters are measured without kerning beyond these: their tables would be as
 * large as the font.
 */
const MOST_KERNED = 700;
/** As the painter sets text: pairs are kerned, nothing is joined or exchanged. */
const features = [
  new Feature("kern", 1),
  ...["liga", "clig", "calt", "dlig", "hlig", "mark", "mkmk"].map((tag) => new Feature(tag, 0)),
];

/**
 * Scripts within which letters are kerned; browsers shape each script by itself (Unicode Annex
 * #24).
 */
const scripts = [
  { tag: "Latn", has: /\p{Script=Latin}/u },
  { tag: "Cyrl", has: /\p{Script=Cyrillic}/u },
  { tag: "Grek", has: /\p{Script=Greek}/u },
] as const;
const common = /\p{Script=Common}/u;
/**
 * Combining marks are placed by anchors, not kerned; a fraction slash would turn the digits beside
 * it into small ones.
 */
const unkerned = /\p{M}|\u2044/u;

/**
 * Distinct rows of a table, and which row each key has. Keys whose row is all zero are left out.
 */
const classes = (
  keys: readonly string[],
  row: (key: string) => readonly number[],
): { of: Record<string, number>; rows: (readonly number[])[] } => {
  const seen = new Map<string, number>();
  const rows: (readonly number[])[] = [];
  const of: Record<string, number> = {};
  for (const key of keys) {
    const values = row(key);
    if (values.every((n) => n === 0)) continue;
    const text = values.join();
    const known = seen.get(text) ?? rows.length;
    if (known === rows.length) {
      seen.set(text, known);
      rows.push(values);
    }
    of[key] = known;
  }
  return { of, rows };
};

/**
 * Shapes pairs of characters in long runs and reads off how much nearer the second comes to the
 * first.
 */
class Kerning {
  private readonly font: Font;
  private readonly run = new Run();

  constructor(
    font: Font,
    private readonly advance: ReadonlyMap<string, number>,
  ) {
    this.font = font;
  }

  /** How much `left` is narrowed before each of `rights`, font units. */
  row(left: string, rights: readonly string[], script: string): number[] {
    const glyphs = this.advances(rights.map((right) => left + right).join(""), script);
    const own = this.advance.get(left) ?? 0;
    if (glyphs.length === rights.length * 2)
      return rights.map((_, i) => Math.round((glyphs[2 * i] ?? own) - own));
    // something was joined after all: each pair by itself
    return rights.map((right) => Math.round((this.advances(left + right, script)[0] ?? own) - own));
  }

  private advances(text: string, script: string): number[] {
    this.run.reset();
    this.run.addText(text);
    this.run.setDirection(Direction.LTR);
    this.run.setScript(script);
    shape(this.font, this.run, features);
    return this.run.getGlyphPositions().map((p) => p.xAdvance);
  }
}

/**
 * The kerning of every pair of `base` that a browser would set in one run: by left character, in
 * the order of `base`.
 */
const kernTable = (
  font: Font,
  base: readonly string[],
  advance: ReadonlyMap<string, number>,
): Map<string, number[]> => {
  const kerning = new Kerning(font, advance);
  const indexOf = new Map(base.map((char, i) => [char, i]));
  const shared = base.filter((char) => common.test(char));
  const table = new Map(base.map((char) => [char, new Array<number>(base.length).fill(0)]));
  const fill = (left: string, rights: readonly string[], script: string) => {
    const row = table.get(left);
    if (!row || rights.length === 0) return;
    kerning.row(left, rights, script).forEach((value, i) => {
      row[indexOf.get(rights[i] ?? "") ?? -1] = value;
    });
  };
  for (const { tag, has } of scripts) {
    const own = base.filter((char) => has.test(char));
    for (const left of own) fill(left, [...own, ...shared], tag);
    for (const left of shared) fill(left, own, tag);
  }
  for (const left of shared) fill(left, shared, "Latn");
  return table;
};

/**
 * What layout must know of a font whose tables were checked: advances of its characters in
 * `ranges`, and kerning as HarfBuzz (which Chromium uses, too) sets it with ligatures and
 * alternates off, as in the painter.
 */
export const measureFont = (
  sfnt: Uint8Array,
  tables: Tables,
  ranges: Ranges = everything,
): Face => {
  const face = new HbFace(new Blob(sfnt));
  const font = new Font(face);
  const hhea = tables.get("hhea");
  const codes = [...face.collectUnicodes()].filter(
    (code) => code >= 32 && ranges.some(([a, b]) => code >= a && code <= b),
  );
  const chars = codes.map((code) => String.fromCodePoint(code));
  const advance = new Map(
    chars.map((char) => [
      char,
      font.glyphHAdvance(font.nominalGlyph(char.codePointAt(0) ?? 0) ?? 0),
    ]),
  );
  const base = chars.filter((char) => !unkerned.test(char)).slice(0, MOST_KERNED);
  const table = kernTable(font, base, advance);
  const left = classes(base, (char) => table.get(char) ?? []);
  const indexOf = new Map(base.map((char, i) => [char, i]));
  const right = classes(base, (char) => left.rows.map((row) => row[indexOf.get(char) ?? -1] ?? 0));
  return {
    ranges,
    upm: face.upem,
    ascent: hhea?.i16(4) ?? 0,
    descent: hhea?.i16(6) ?? 0,
    advances: Object.fromEntries(advance),
    left: left.of,
    right: right.of,
    kern: left.rows.map((_, l) => right.rows.map((row) => row[l] ?? 0)),
  };
};
