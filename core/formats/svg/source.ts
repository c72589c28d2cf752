import { isOneOf } from "../../basics";
import { cleanText, cutText } from "../../project";
import { blends } from "../../properties";
import type { Value } from "../../properties";
import { idIn, opacityOf } from "./paint";
import type { Element } from "./tree";
import { svgWords } from "./words";

/** The file that is read. */
export interface Source {
  readonly byId: ReadonlyMap<string, Element>;
  /** notes what cannot be kept, in words */
  readonly lose: (what: string) => void;
}

/** Rounded to a thousandth. */
export const rounded = (n: number): number => Math.round(n * 1e3) / 1e3 || 0;

const words: Readonly<Record<string, string>> = {
  path: svgWords.shape,
  rect: svgWords.box,
  circle: svgWords.circle,
  ellipse: svgWords.ellipse,
  line: svgWords.line,
  polyline: svgWords.line,
  polygon: svgWords.polygon,
  text: svgWords.text,
  g: svgWords.group,
  use: svgWords.copy,
  svg: svgWords.drawing,
};

/** Characters that some programs write as their numbers in ids. */
const readableId = (id: string | undefined): string | undefined =>
  id?.replace(/_x([0-9A-F]{2})_/gi, (_, hex: string) =>
    String.fromCharCode(Number.parseInt(hex, 16)),
  );

/** A label that the program that made the file gave in a namespace of its own. */
const labelOf = (e: Element): string | undefined =>
  Object.entries(e.attrs).find(([name]) => name.endsWith(":label"))?.[1];

/** What an element is called in the file, else what it is. */
export const nameOf = (e: Element): string => {
  const title = e.children.find((c) => c.tag === "title")?.text.trim();
  const label =
    title || e.attrs["aria-label"] || labelOf(e) || e.attrs["data-name"] || readableId(e.attrs.id);
  const name = cleanText(label || words[e.tag] || e.tag)
    .replace(/\s+/g, " ")
    .trim();
  return cutText(name, 100).trim() || svgWords.layer;
};

/** A filter element that is nothing but a blur. */
const blurOf = (source: Source, text: string): string | undefined => {
  const parts = source.byId.get(idIn(text) ?? "")?.children ?? [];
  return parts.length === 1 &&
    parts[0]?.tag === "feGaussianBlur" &&
    !/\s/.test((parts[0].attrs.stdDeviation ?? "").trim())
    ? parts[0].attrs.stdDeviation
    : undefined;
};

/** Opacity, blending and blur of an element as a whole. */
export const wholeOf = (source: Source, e: Element): Record<string, Value> => {
  const out: Record<string, Value> = {};
  const opacity = opacityOf(e.style.opacity);
  if (opacity < 1) out.opacity = opacity;
  const mix = e.style["mix-blend-mode"];
  if (mix && mix !== "normal") {
    if (isOneOf(blends, mix)) out.mixing = mix;
    else source.lose(svgWords.blending(mix));
  }
  const { filter } = e.style;
  if (filter && filter !== "none") {
    const own = /^\s*blur\(\s*([\d.]+)(px)?\s*\)\s*$/.exec(filter)?.[1];
    const blur = own ?? blurOf(source, filter);
    if (blur === undefined) source.lose(svgWords.filter);
    else out.blur = Number(blur);
  }
  for (const key of ["marker-start", "marker-mid", "marker-end"])
    if (e.style[key] && e.style[key] !== "none") source.lose(svgWords.markersAtLineEnds);
  return out;
};
