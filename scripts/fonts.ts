// Reads advances and kerning out of the shipped font files, so that text is measured from what the browser draws.
import { mkdirSync, readFileSync, writeFileSync, existsSync, statSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import * as fontkit from "fontkit";
import type { Font } from "fontkit";
import type { Face } from "../core/layout/fonts.ts";
import { families } from "../core/properties/registry.ts";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
const out = join(root, "generated");
const require = createRequire(import.meta.url);
const packageOf = (family: string) => `@fontsource/${family.toLowerCase().replaceAll(" ", "-")}`;
const subsets = ["latin", "latin-ext"];

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

const rangesOf = (css: string, subset: string): (readonly [number, number])[] => {
  const block = css.split("@font-face").find((b) => new RegExp(`url\\([^)]*-${subset}-\\d`).test(b));
  const list = /unicode-range:\s*([^;]+);/.exec(block ?? "")?.[1] ?? "U+0000-10FFFF";
  return list.split(",").map((part) => {
    const [from = "0", to = from] = part.trim().replace("U+", "").split("-");
    return [Number.parseInt(from, 16), Number.parseInt(to, 16)] as const;
  });
};

/** Kerning is asked for every pair the font can set in one run; ligatures and alternates are off, as in the painter. */
const readFace = (file: string, ranges: readonly (readonly [number, number])[]): Face => {
  const font = fontkit.create(readFileSync(file)) as Font;
  const chars = font.characterSet.filter((c) => c >= 32 && ranges.some(([a, b]) => c >= a && c <= b)).map((c) => String.fromCodePoint(c));
  const advance = new Map(chars.map((c) => [c, font.glyphForCodePoint(c.codePointAt(0) ?? 0).advanceWidth]));
  // every left glyph against all right ones in one long run, separated by the pair's own order: a b, a c, a d …
  const kern = new Map<string, number[]>();
  const features = { kern: true, liga: false, clig: false, calt: false, dlig: false, mark: false, mkmk: false } as unknown as Record<string, boolean>;
  // combining marks are placed by anchors, not kerned
  const base = chars.filter((c) => !/\p{M}/u.test(c));
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

const book: Record<string, Face[]> = {};
const css: string[] = [];
const stamp = JSON.stringify({ families, version: 3, packages: Object.keys(families).map((f) => JSON.parse(readFileSync(require.resolve(`${packageOf(f)}/package.json`), "utf8")).version) });
const target = join(out, "fonts.json");
const stampFile = join(out, "fonts.stamp");
if (existsSync(target) && existsSync(stampFile) && readFileSync(stampFile, "utf8") === stamp) process.exit(0);

mkdirSync(out, { recursive: true });
for (const [family, weights] of Object.entries(families)) {
  const home = dirname(require.resolve(`${packageOf(family)}/package.json`));
  for (const weight of weights) {
    const sheet = readFileSync(join(home, `${weight}.css`), "utf8");
    book[`${family}/${weight}`] = subsets.flatMap((subset) => {
      const name = `${packageOf(family).slice("@fontsource/".length)}-${subset}-${weight}-normal.woff2`;
      const file = join(home, "files", name);
      if (!existsSync(file)) return [];
      const ranges = rangesOf(sheet, subset);
      const range = ranges.map(([a, b]) => `U+${a.toString(16)}${b === a ? "" : `-${b.toString(16)}`}`).join(",");
      css.push(`@font-face{font-family:"${family}";font-style:normal;font-weight:${weight};font-display:block;src:url("${packageOf(family)}/files/${name}") format("woff2");unicode-range:${range}}`);
      return [readFace(file, ranges)];
    });
  }
}
writeFileSync(target, JSON.stringify(book));
writeFileSync(join(out, "fonts.css"), css.join("\n"));
writeFileSync(stampFile, stamp);
console.log(`fonts: ${Object.keys(book).length} weights measured, ${Math.round(statSync(target).size / 1024)} kB`);
