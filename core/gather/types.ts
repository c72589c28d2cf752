import type { Id } from "../basics";
import type { LayerKind, SpecifiedValue } from "../properties";

/** A layer of one drawing. Its place is in px of the drawing, wherever in the tree it lies. */
export interface DrawnLayer {
  readonly id: Id;
  readonly kind: LayerKind;
  readonly name: string;
  readonly parent: Id | null;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** what is said about it, without its place in its parent */
  readonly values: Readonly<Record<string, SpecifiedValue>>;
}

/**
 * One separately drawn variant: its layers from outside in, from back to front; the first is the
 * drawing itself.
 */
export interface Drawing {
  readonly name: string;
  readonly layers: readonly DrawnLayer[];
}

/**
 * A layer of the component to be: for each drawing the layer that is taken for it (null: it is not
 * there), and how sure that is.
 */
export interface Track {
  readonly id: Id;
  readonly name: string;
  readonly parts: readonly (Id | null)[];
  readonly sure: readonly number[];
}
