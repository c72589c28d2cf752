import type { Values } from "../properties/types";
import { facesFor, widthOf } from "./fonts";
import type { FontBook } from "./fonts";

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

/** Breaks one paragraph at spaces so that no line is wider than `limit`; a word that is wider alone is broken anywhere. */
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

/**
 * Sets a text layer's text in a width (undefined: as wide as it wants). A fit layer breaks only at line feeds,
 * others wrap. Line boxes are size × line height high, the baseline placed as CSS does (half leading above).
 */
export const setText = (book: FontBook, values: Values, width: number | undefined): SetText => {
  const size = values.size as number, spacing = values.spacing as number;
  const faces = facesFor(book, values.font as string, values.weight as string);
  const measure = (t: string) => widthOf(faces, t, size, spacing);
  const paragraphs = (values.text as string).split("\n");
  const rows = width === undefined ? paragraphs : paragraphs.flatMap((p) => breakLines(p, width + 0.01, measure));
  const widths = rows.map(measure);
  const box = width ?? Math.max(0, ...widths);
  const face = faces[0];
  const ascent = face ? (face.ascent / face.upm) * size : size * 0.8;
  const descent = face ? (-face.descent / face.upm) * size : size * 0.2;
  const height = size * (values.lineHeight as number);
  const first = (height - ascent - descent) / 2 + ascent;
  const slack = values.alignText === "centre" ? 0.5 : values.alignText === "end" ? 1 : 0;
  const lines = rows.map((text, i): Line => ({ text, width: widths[i] ?? 0, x: (box - (widths[i] ?? 0)) * slack, baseline: first + i * height }));
  return { lines, width: box, height: height * rows.length };
};
