import type { IconShape } from "../../properties";
import { identity, mapPath, outlineOf, readTransform, times } from "./geometry";
import type { Matrix } from "./geometry";
import { readTree } from "./tree";
import type { Element } from "./tree";
import { svgWords } from "./words";

export interface IconDrawing {
  readonly width: number;
  readonly height: number;
  readonly shapes: readonly IconShape[];
}

/**
 * Reads an icon: a file of filled outlines in one colour. Gives its outlines in the units of its
 * view box, or the reason why it cannot be an icon (strokes, gradients, texts and clips would be
 * lost).
 */
export const readIcon = (
  source: string,
):
  | { readonly ok: true; readonly icon: IconDrawing }
  | { readonly ok: false; readonly error: string } => {
  const tree = readTree(source, () => undefined);
  if (!tree.ok) return tree;
  const [
    x = 0,
    y = 0,
    width = Number.parseFloat(tree.root.attrs.width ?? "24"),
    height = Number.parseFloat(tree.root.attrs.height ?? "24"),
  ] = (tree.root.attrs.viewBox ?? "")
    .trim()
    .split(/[\s,]+/)
    .filter(Boolean)
    .map(Number);
  if (!(width > 0) || !(height > 0)) return { ok: false, error: svgWords.iconHasNoSize };
  const out: IconShape[] = [];
  let problem: string | null = null;
  const walk = (e: Element, above: Matrix): void => {
    const m = times(above, readTransform(e.style.transform));
    if (
      ["defs", "title", "desc", "style", "metadata"].includes(e.tag) ||
      e.style.display === "none"
    )
      return;
    if (e.style.stroke && e.style.stroke !== "none") problem ??= svgWords.iconsNeedFilledOutlines;
    if (e.style["clip-path"] || e.style.mask || e.style.filter)
      problem ??= svgWords.iconCannotHaveClips;
    if (e.tag === "text" || e.tag === "image" || e.tag === "use")
      problem ??= svgWords.iconCannotHave(e.tag);
    const d = outlineOf(e, { width, height });
    if (d !== null && d !== "" && e.style.fill !== "none") {
      try {
        out.push({
          d: mapPath(d, m).round(1e3).encode(),
          holes: e.style["fill-rule"] === "evenodd",
        });
      } catch {
        problem ??= svgWords.pathIconCannotBe;
      }
    }
    for (const child of e.children) walk(child, m);
  };
  for (const child of tree.root.children) walk(child, x || y ? [1, 0, 0, 1, -x, -y] : identity);
  if (problem !== null) return { ok: false, error: problem };
  return out.length
    ? { ok: true, icon: { width, height, shapes: out } }
    : { ok: false, error: svgWords.iconShowsNothing };
};
