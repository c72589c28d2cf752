import type { Placed } from "../layout/types";
import type { Pair, Shadow } from "../properties/types";
import { r } from "./types";
import type { Attrs, Paint } from "./types";

/** Whether a layer is nothing but plain shapes or lines of text, upright and where it is. */
export const isPlain = (p: Placed): boolean => {
  const v = p.values, [sx, sy] = v.scale as Pair;
  return ["box", "ellipse", "text"].includes(p.layer.kind) && p.children.length === 0 && !p.nested && !p.dissolve && v.rotation === 0 && sx === 1 && sy === 1 && v.blur === 0
    && v.mixing === "normal" && typeof v.fill === "string" && (v.shadow as readonly Shadow[]).length === 0;
};

const faded = (attrs: Attrs, opacity: number): Attrs => {
  const out: Record<string, string | number> = { ...attrs };
  for (const name of ["fill", "stroke"]) if (out[name] !== undefined && out[name] !== "none") out[`${name}-opacity`] = r((Number(out[`${name}-opacity`] ?? 1)) * opacity);
  return out;
};

const moved: Readonly<Record<string, readonly [string, string]>> = { rect: ["x", "y"], ellipse: ["cx", "cy"], text: ["x", "y"] };

/**
 * The elements of a plain layer with its place in their own numbers instead of a transform around them, and a single one
 * with its opacity in its ink. A browser keeps something for every transform and opacity in a document, which on a stage of
 * many cards costs more than the painting itself. Null where that is not possible.
 */
export const flattened = (own: readonly Paint[], x: number, y: number, opacity: number): { paints: Paint[]; opacity: number } | null => {
  const paints: Paint[] = [];
  for (const paint of own) {
    const keys = moved[paint.tag];
    if (!keys) return null;
    const [kx, ky] = keys, attrs = { ...paint.attrs, [kx]: r(Number(paint.attrs[kx]) + x), [ky]: r(Number(paint.attrs[ky]) + y) };
    paints.push({ ...paint, attrs: own.length === 1 && opacity < 1 ? faded(attrs, opacity) : attrs });
  }
  return { paints, opacity: own.length === 1 ? 1 : opacity };
};
