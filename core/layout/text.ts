import { present } from "../basics";
import type { LayerValues } from "../properties";
import { facesFor, widthOf } from "./fonts";
import type { FontBook } from "./fonts";
import { shareBefore } from "./share";

/** One set line: its text, its left end and baseline relative to the layer's box, its width; px. */
export interface Line {
  readonly text: string;
  readonly x: number;
  readonly baseline: number;
  readonly width: number;
}

export interface SetText {
  readonly lines: readonly Line[];
  readonly width: number;
  readonly height: number;
}

/**
 * Breaks one paragraph at spaces so that no line is wider than `limit`; a word that is wider alone
 * is broken anywhere.
 */
const breakLines = (paragraph: string, limit: number, measure: (t: string) => number): string[] => {
  const lines: string[] = [];
  let line = "";
  for (const word of paragraph.split(/(?<= )/)) {
    if (line !== "" && measure((line + word).trimEnd()) > limit) {
      lines.push(line.trimEnd());
      line = "";
    }
    line += word;
    while (measure(line.trimEnd()) > limit && [...line.trimEnd()].length > 1) {
      const chars = [...line];
      let fit = 1;
      while (fit < chars.length && measure(chars.slice(0, fit + 1).join("")) <= limit) fit++;
      lines.push(chars.slice(0, fit).join(""));
      line = chars.slice(fit).join("");
    }
  }
  lines.push(line.trimEnd());
  return lines;
};

const cased: Readonly<Record<string, (t: string) => string>> = {
  capitals: (t) => t.toUpperCase(),
  small: (t) => t.toLowerCase(),
  "each word": (t) =>
    t.replace(
      /(^|[\s\u00a0([{"'“‘-])(\p{L})/gu,
      (_, before: string, letter: string) => before + letter.toUpperCase(),
    ),
};

/**
 * Cuts lines that are more than fit, and ends the last with an ellipsis; a text of one line does
 * not wrap at all.
 */
const cutLines = (
  rows: readonly string[],
  paragraphs: readonly string[],
  most: number,
  limit: number,
  measure: (t: string) => number,
): readonly string[] => {
  if (rows.length <= most) return rows;
  const kept = rows.slice(0, most);
  let last = most === 1 ? (paragraphs[0] ?? "") : `${kept[most - 1] ?? ""} ${rows[most] ?? ""}`;
  while (last !== "" && measure(`${last.trimEnd()}…`) > limit + 0.01)
    last = [...last].slice(0, -1).join("");
  return [...kept.slice(0, -1), `${last.trimEnd()}…`];
};

/**
 * Sets a text layer's text in a width (undefined: as wide as it wants) and a height (undefined: as
 * high as it wants). A fit layer breaks only at line feeds, others wrap, or end in an ellipsis
 * where their lines are too many. Line boxes are size × line height high, the baseline placed as
 * CSS does (half leading above).
 */
export const setText = (
  book: FontBook,
  values: LayerValues,
  width: number | undefined,
  height?: number,
): SetText => {
  const size = present(values.size);
  const spacing = present(values.spacing);
  const faces = facesFor(book, present(values.font), present(values.weight));
  const measure = (t: string) => widthOf(faces, t, size, spacing);
  const text = present(values.text);
  const paragraphs = (cased[present(values.letters)]?.(text) ?? text).split("\n");
  const step = size * present(values.lineHeight);
  const wrapped =
    width === undefined
      ? paragraphs
      : paragraphs.flatMap((p) => breakLines(p, width + 0.01, measure));
  const most = height === undefined ? 1 : Math.max(1, Math.floor((height + 0.01) / step));
  const rows =
    width === undefined || values.tooLong !== "ellipsis"
      ? wrapped
      : cutLines(wrapped, paragraphs, most, width, measure);
  const widths = rows.map(measure);
  const box = width ?? Math.max(0, ...widths);
  const face = faces[0];
  const ascent = face ? (face.ascent / face.upm) * size : size * 0.8;
  const descent = face ? (-face.descent / face.upm) * size : size * 0.2;
  const total = step * rows.length;
  const down = height === undefined ? 0 : (height - total) * shareBefore(values.alignDown);
  const first = down + (step - ascent - descent) / 2 + ascent;
  const slack = shareBefore(values.alignText);
  const lines = rows.map((text, i): Line => ({
    text,
    width: widths[i] ?? 0,
    x: (box - (widths[i] ?? 0)) * slack,
    baseline: first + i * step,
  }));
  return { lines, width: box, height: total };
};
