import { clipsChildren } from "../layout";
import type { LayoutBox } from "../layout";
import { r } from "./types";
import type { Paint } from "./types";

/** A place to be added to that of what is painted, px; null where transforms say places. */
export type Shift = readonly [x: number, y: number] | null;

/**
 * Whether a layer's place can be said in the numbers of what it is made of, down to its children:
 * plain shapes and lines of text, upright, and nothing that is cut off or masked along an outline
 * of its own.
 */
export const isPlain = (p: LayoutBox): boolean => {
  const v = p.values;
  const [sx, sy] = v.scale;
  return (
    ["box", "ellipse", "text", "instance"].includes(p.layer.kind) &&
    !p.dissolve &&
    v.rotation === 0 &&
    sx === 1 &&
    sy === 1 &&
    v.blur === 0 &&
    v.mixing === "normal" &&
    typeof v.fill !== "object" &&
    !v.shadow?.length &&
    (p.children.length === 0 || (!clipsChildren(p) && !p.children.some((c) => c.values.masks)))
  );
};

const moved: Readonly<Record<string, readonly [string, string]>> = {
  rect: ["x", "y"],
  ellipse: ["cx", "cy"],
  text: ["x", "y"],
};

/**
 * A plain layer's own elements with its place in their own numbers instead of a transform around
 * them: a browser keeps something for every transform in a document, which on a stage of many cards
 * costs more than the painting itself. Null where that is not possible.
 */
export const shifted = (
  own: readonly Paint[],
  [x, y]: readonly [number, number],
): Paint[] | null => {
  const out: Paint[] = [];
  for (const paint of own) {
    const keys = moved[paint.tag];
    if (!keys) return null;
    const [kx, ky] = keys;
    out.push({
      ...paint,
      attrs: {
        ...paint.attrs,
        [kx]: r(Number(paint.attrs[kx]) + x),
        [ky]: r(Number(paint.attrs[ky]) + y),
      },
    });
  }
  return out;
};

/** A single element with the opacity of what is around it in its ink, for the same reason. */
export const faded = (paint: Paint, opacity: number): Paint => {
  const out: Record<string, string | number> = { ...paint.attrs };
  for (const name of ["fill", "stroke"])
    if (out[name] !== undefined && out[name] !== "none")
      out[`${name}-opacity`] = r(Number(out[`${name}-opacity`] ?? 1) * opacity);
  return { ...paint, attrs: out };
};
