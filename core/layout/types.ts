import type { ComputedLayer } from "../looks";
import type { Layer } from "../project";
import type { LayerValues } from "../properties";
import type { Line } from "./text";

/** An upright box; px. */
export interface Rect {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/**
 * A layer in its place: x and y relative to its parent's top left corner, px. The stage paints
 * these trees as they are; motion paints changed copies of them.
 */
export interface LayoutBox {
  readonly layer: Layer;
  readonly values: LayerValues;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly lines: readonly Line[];
  /** children from back to front */
  readonly children: readonly LayoutBox[];
  /** the root of the component an instance shows */
  readonly nested: LayoutBox | null;
  /** 0–1 while a layer appears or vanishes */
  readonly presence: number;
  /**
   * of a copy in motion: the values its own shapes are still made from, null while those change
   * too; not there at rest
   */
  readonly shapes?: LayerValues | null | undefined;
  /** what the layer looked like before and how far (0–1) the present look has taken over */
  readonly dissolve: {
    readonly from: LayoutBox;
    readonly progress: number;
    /** only its own shapes dissolve: what is inside it is there all the time */ readonly own?: boolean;
    /** it is not mixed but comes over the old one, pushes it away, or rises out of it; in a direction */ readonly way?:
      "slide" | "push" | "rise";
    readonly to?: "left" | "right" | "up" | "down";
  } | null;
}

/**
 * Whether what lies beyond a layer's outline is cut off: it clips its children, or scrolls them.
 */
export const clipsChildren = (p: LayoutBox): boolean =>
  p.values.clip === true || (p.values.scrolls !== undefined && p.values.scrolls !== "no");

/** The insides of a layer at a size. */
export interface Box {
  readonly node: ComputedLayer;
  readonly width: number;
  readonly height: number;
  readonly lines: readonly Line[];
  readonly children: readonly LayoutBox[];
  readonly nested: LayoutBox | null;
}
