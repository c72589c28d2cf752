import { parse } from "svg-parser";
import { cleanText } from "../../project";
import { unescape } from "./entities";
import { svgWords } from "./words";

/**
 * An element of an SVG file with the presentation it ends up with; children inherit what SVG lets
 * them inherit.
 */
export interface Element {
  readonly tag: string;
  /** its own attributes */
  readonly attrs: Readonly<Record<string, string>>;
  /**
   * presentation: attributes, style sheets and style attributes in that order, over what is
   * inherited
   */
  readonly style: Readonly<Record<string, string>>;
  readonly children: readonly Element[];
  /** texts inside, for text elements */
  readonly text: string;
}

const inherited = [
  "fill",
  "fill-opacity",
  "fill-rule",
  "stroke",
  "stroke-opacity",
  "stroke-width",
  "stroke-linecap",
  "stroke-linejoin",
  "stroke-dasharray",
  "font-family",
  "font-size",
  "font-weight",
  "font-style",
  "text-anchor",
  "letter-spacing",
  "color",
  "visibility",
  "clip-rule",
];
const presentation = new Set([
  ...inherited,
  "opacity",
  "display",
  "clip-path",
  "mask",
  "filter",
  "stop-color",
  "stop-opacity",
  "mix-blend-mode",
  "text-decoration",
  "transform",
  "marker-start",
  "marker-mid",
  "marker-end",
  "paint-order",
]);

interface Sheet {
  readonly selector: string;
  readonly weight: number;
  readonly rules: Readonly<Record<string, string>>;
}

const declarations = (text: string): Record<string, string> => {
  const out: Record<string, string> = {};
  for (const part of text.split(";")) {
    const at = part.indexOf(":");
    if (at > 0)
      out[part.slice(0, at).trim().toLowerCase()] = part
        .slice(at + 1)
        .replace(/!important/i, "")
        .trim();
  }
  return out;
};

/** How much a simple selector weighs (Selectors Level 4 §17): an id before a class before a tag. */
const weightOf = (selector: string): number => {
  if (selector.includes("#")) return 3;
  return selector.includes(".") ? 2 : 1;
};

/**
 * Rules of a style sheet whose selectors are a tag, a class, an id or a tag with either; others are
 * told to `lost`.
 */
const readSheet = (css: string, lost: (what: string) => void): Sheet[] => {
  const out: Sheet[] = [];
  const plain = css.replace(/\/\*[\s\S]*?\*\//g, "").replace(/<!\[CDATA\[|\]\]>/g, "");
  for (const [, heads = "", body = ""] of plain.matchAll(/([^{}]+)\{([^{}]*)\}/g)) {
    for (const head of heads.split(",").map((h) => h.trim())) {
      if (/^@/.test(head)) lost(svgWords.styleRule(head.slice(0, 40)));
      else if (!/^(\*|[a-zA-Z]*)(([.#])[\w-]+)?$/.test(head))
        lost(svgWords.styleSelector(head.slice(0, 40)));
      else
        out.push({
          selector: head,
          weight: weightOf(head),
          rules: declarations(body),
        });
    }
  }
  return out;
};

const meets = (sheet: Sheet, tag: string, attrs: Readonly<Record<string, string>>): boolean => {
  const [, name = "", , mark, word] =
    /^(\*|[a-zA-Z]*)(([.#])([\w-]+))?$/.exec(sheet.selector) ?? [];
  if (name !== "" && name !== "*" && name !== tag) return false;
  if (mark === "#") return attrs.id === word;
  return mark !== "." || (attrs.class ?? "").split(/\s+/).includes(word ?? "");
};

interface Raw {
  type: string;
  tagName?: string;
  properties?: Record<string, string | number>;
  children?: readonly (Raw | string)[];
  value?: unknown;
}

const wordsOf = (child: Raw | string): string => {
  if (typeof child === "string") return child;
  return child.type === "text" && typeof child.value === "string" ? child.value : "";
};

const textOf = (raw: Raw, lost: (what: string) => void): string =>
  unescape((raw.children ?? []).map(wordsOf).join(""), lost);

/** Elements nested deeper than this are not read: they would be gone through by recursion. */
const DEEPEST = 400;

/** All elements of a file, without recursion: what is nested too deep is cut off there. */
const trimmed = (top: Raw, lost: (what: string) => void): Raw => {
  let level: Raw[] = [top];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth === DEEPEST) {
      for (const raw of level) {
        if ((raw.children ?? []).length > 0) lost(svgWords.whatLiesMoreThan(DEEPEST));
        raw.children = [];
      }
    }
    level = level.flatMap((raw) =>
      (raw.children ?? []).filter((c): c is Raw => typeof c === "object"),
    );
  }
  return top;
};

/**
 * Reads a file into its root element; the error is a sentence. Comments, scripts and what is not
 * SVG's own are gone already.
 */
export const readTree = (
  source: string,
  lost: (what: string) => void,
):
  | { ok: true; root: Element; byId: ReadonlyMap<string, Element> }
  | { ok: false; error: string } => {
  let file: Raw;
  try {
    file = parse(cleanText(source).replace(/<!DOCTYPE[^>[]*(\[[^\]]*\])?[^>]*>/i, ""));
  } catch (error) {
    return {
      ok: false,
      error: svgWords.fileNotWellFormed(
        error instanceof Error ? (error.message.split("\n")[0] ?? "") : null,
      ),
    };
  }
  const found = (file.children ?? []).find(
    (c): c is Raw => typeof c === "object" && c.type === "element" && c.tagName === "svg",
  );
  if (!found) return { ok: false, error: svgWords.fileHasNoSvg };
  const top = trimmed(found, lost);
  const sheets: Sheet[] = [];
  const collect = (raw: Raw): void => {
    if (raw.tagName === "style") sheets.push(...readSheet(textOf(raw, lost), lost));
    for (const c of raw.children ?? []) if (typeof c === "object") collect(c);
  };
  collect(top);
  sheets.sort((a, b) => a.weight - b.weight);
  const byId = new Map<string, Element>();
  const build = (raw: Raw, above: Readonly<Record<string, string>>): Element => {
    const tag = raw.tagName ?? "";
    const attrs: Record<string, string> = {};
    for (const [key, value] of Object.entries(raw.properties ?? {}))
      attrs[key] = unescape(String(value), lost);
    const style: Record<string, string> = {};
    for (const key of inherited) if (above[key] !== undefined) style[key] = above[key];
    const say = (key: string, value: string) => {
      if (presentation.has(key) && value !== "inherit") style[key] = value;
    };
    for (const [key, value] of Object.entries(attrs)) say(key, value);
    for (const sheet of sheets)
      if (meets(sheet, tag, attrs))
        for (const [key, value] of Object.entries(sheet.rules)) say(key, value);
    for (const [key, value] of Object.entries(declarations(attrs.style ?? ""))) say(key, value);
    const children = (raw.children ?? [])
      .filter((c): c is Raw => typeof c === "object" && c.type === "element")
      .map((c) => build(c, style));
    const element: Element = { tag, attrs, style, children, text: textOf(raw, lost) };
    if (attrs.id !== undefined && !byId.has(attrs.id)) byId.set(attrs.id, element);
    return element;
  };
  return { ok: true, root: build(top, {}), byId };
};
