import { cutText } from "../../project";
import type { Value } from "../../properties";
import type { Draft } from "./draft";
import { at, growth, length, upright } from "./geometry";
import { paintOf } from "./paint";
import { rounded, wholeOf } from "./source";
import type { Source } from "./source";
import type { Element } from "./tree";
import type { UserSpace } from "./view";
import { svgWords } from "./words";

/** A piece of text with its own place, in user space. */
interface TextRun {
  readonly e: Element;
  readonly text: string;
  readonly x: number;
  readonly y: number;
}

const first = (list: string | undefined): string | undefined => list?.split(/[\s,]+/)[0];

/** The runs of a text element: its own words, then those of its spans. */
const runsOf = (source: Source, e: Element, { room }: UserSpace): TextRun[] => {
  const runs: TextRun[] = [];
  let x = length(first(e.attrs.x), room.width);
  let y = length(first(e.attrs.y), room.height);
  if (/[\s,]\S/.test((e.attrs.x ?? "").trim()) || e.attrs.rotate)
    source.lose(svgWords.lettersPlacedOneBy);
  const add = (from: Element, text: string) => {
    if (text.trim() !== "") runs.push({ e: from, text: text.replace(/\s+/g, " ").trim(), x, y });
  };
  add(e, e.text);
  for (const span of e.children) {
    if (span.tag === "textPath") {
      source.lose(svgWords.textOnPath);
      continue;
    }
    if (span.tag !== "tspan") continue;
    if (span.attrs.x !== undefined) x = length(first(span.attrs.x), room.width);
    if (span.attrs.y !== undefined) y = length(first(span.attrs.y), room.height);
    x += length(span.attrs.dx, room.width);
    y += length(span.attrs.dy, room.height);
    if (span.attrs.x === undefined && span.attrs.y === undefined && runs.length)
      source.lose(svgWords.exactPlaceWordsFollow);
    add(span, span.text);
  }
  return runs;
};

const weights: Readonly<Record<string, string>> = {
  normal: "400",
  bold: "700",
  bolder: "700",
  lighter: "300",
};

const weightOf = (style: Element["style"]): string => {
  const said = style["font-weight"] ?? "normal";
  const weight = weights[said] ?? said;
  return /^[1-9]00$/.test(weight) ? weight : "400";
};

const anchors: Readonly<Record<string, string>> = { middle: "centre", end: "end" };

const familyOf = (style: Element["style"]): string =>
  (style["font-family"] ?? "").split(",")[0]?.replace(/['"]/g, "").trim() ?? "";

/** What a run says of its letters beyond size, weight and colour. */
const lettersOf = (style: Element["style"], size: number, grows: number) => {
  const letters: Record<string, Value> = {};
  const family = familyOf(style);
  if (family) letters.font = family;
  const spacing = style["letter-spacing"];
  if (spacing && spacing !== "normal") letters.spacing = rounded(length(spacing, size) * grows);
  const align = anchors[style["text-anchor"] ?? ""];
  if (align) letters.alignText = align;
  if (/underline/.test(style["text-decoration"] ?? "")) letters.decoration = "underlined";
  return letters;
};

const textOf = (source: Source, run: TextRun, space: UserSpace): Draft => {
  const { style } = run.e;
  const grows = growth(space.matrix);
  const size = length(style["font-size"], 16, 16) * grows;
  const [x, y] = at(space.matrix, run.x, run.y);
  if (style["font-style"] && style["font-style"] !== "normal") source.lose(svgWords.slantedLetters);
  const box = { x, y: y - size, width: size, height: size };
  return {
    kind: "text",
    name: cutText(run.text, 40).trim(),
    inside: [],
    values: {
      x: rounded(x),
      // half a line above the baseline; the ascent of most faces is close to it
      y: rounded(y - size * 0.98),
      text: run.text,
      size: rounded(size),
      lineHeight: 1.3,
      weight: weightOf(style),
      fill: paintOf(source.byId, run.e, "fill", box, box, space.matrix, source.lose),
      ...lettersOf(style, size, grows),
      ...wholeOf(source, run.e),
    },
  };
};

/**
 * A text element: each run with its own place becomes a text layer. Widths are only known once
 * fonts are measured.
 */
export const textsOf = (source: Source, e: Element, space: UserSpace): Draft[] => {
  const runs = runsOf(source, e, space);
  if (!upright(space.matrix)) source.lose(svgWords.slantText);
  return runs.map((run) => textOf(source, run, space));
};
