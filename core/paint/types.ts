import type { Geom, MultiPolygon } from "polygon-clipping";
/**
 * An element of SVG as plain data. Equal subtrees keep their identity, so a renderer can skip them.
 */
export interface Paint {
  readonly tag:
    | "g"
    | "rect"
    | "ellipse"
    | "path"
    | "text"
    | "clipPath"
    | "mask"
    | "linearGradient"
    | "radialGradient"
    | "stop"
    | "image";
  /** unique among siblings and steady over time */
  readonly key: string;
  readonly attrs: Attrs;
  readonly children: readonly Paint[];
  readonly text?: string;
}

export type Attrs = Readonly<Record<string, string | number>>;

/** Lengths are written to a thousandth of a px. */
export const r = (n: number): number => Math.round(n * 1000) / 1000 || 0;

/**
 * 53 bits of a text (cyrb53), short enough for an id: equal texts give equal ids in whatever
 * document.
 */
export const digest = (text: string): string => {
  let a = 0xdeadbeef;
  let b = 0x41c6ce57;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    a = Math.imul(a ^ c, 2654435761);
    b = Math.imul(b ^ c, 1597334677);
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return (4294967296 * (2097151 & b) + (a >>> 0)).toString(36);
};

type Combining = (first: Geom, ...rest: Geom[]) => MultiPolygon;

/** Combines areas of polygons. */
export type Clipping = Readonly<Record<"union" | "difference" | "intersection" | "xor", Combining>>;
