import type { Hit } from "./hit";
import type { LayoutBox } from "./types";

/**
 * The layers from a scene's root to the one at a path (copies, then the layer, joined by "/"),
 * outermost first; empty when it is not there.
 */
export const chainTo = (root: LayoutBox, path: string): Hit[] => {
  const visit = (p: LayoutBox, prefix: string): Hit[] | null => {
    const here = prefix + p.layer.id;
    const stop = { path: here, placed: p };
    if (here === path) return [stop];
    for (const c of p.children) {
      const found = visit(c, prefix);
      if (found) return [stop, ...found];
    }
    const inside = p.nested && path.startsWith(`${here}/`) ? visit(p.nested, `${here}/`) : null;
    return inside && [stop, ...inside];
  };
  return visit(root, "") ?? [];
};

/** The layer at a path of a scene; null when it is not there. */
export const boxAt = (root: LayoutBox, path: string): LayoutBox | null =>
  chainTo(root, path).at(-1)?.placed ?? null;

/** A scene with the layer at a path changed; the same scene where there is no such layer. */
export const withBox = (
  root: LayoutBox,
  path: string,
  change: (box: LayoutBox) => LayoutBox,
): LayoutBox => {
  const way = chainTo(root, path);
  const last = way.at(-1);
  if (!last) return root;
  let inner = last.placed;
  let made = change(inner);
  for (const { placed } of way.slice(0, -1).reverse()) {
    const before = inner;
    made =
      placed.nested === before
        ? { ...placed, nested: made }
        : { ...placed, children: placed.children.map((c) => (c === before ? made : c)) };
    inner = placed;
  }
  return made;
};
