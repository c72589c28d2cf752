import type { Id } from "../basics";
import type { Piece, Variant } from "../project";

/**
 * Where something is in a running piece: the shown piece's id, then instance layers, then perhaps a
 * layer; joined by "/".
 */
export type Path = string;

/**
 * Normalised input. Layer paths are relative to the shown piece ("inst/layer"); null is outside of
 * everything.
 */
export type Input =
  | { readonly type: "over"; readonly layer: Path | null }
  /** where the pointer is, px of the shown piece: drags follow it */
  | { readonly type: "move"; readonly x: number; readonly y: number }
  | { readonly type: "down" }
  | { readonly type: "up" }
  | { readonly type: "cancel" }
  /** the keyboard's focus goes to a layer, or away */
  | { readonly type: "focus"; readonly layer: Path | null }
  /** a key as KeyboardEvent.key says it */
  | { readonly type: "key"; readonly key: string; readonly phase: "down" | "up" }
  /** an entry is given a text: what a real field says, however that came there */
  | { readonly type: "fill"; readonly layer: Path; readonly text: string }
  /** a layer is clicked by what has no pointer, as assistive technology does */
  | { readonly type: "click"; readonly layer: Path }
  /** a layer has been scrolled to a place, px */
  | { readonly type: "scroll"; readonly layer: Path; readonly to: number }
  /** layers that listen for it and are in sight now */
  | { readonly type: "seen"; readonly layers: readonly Path[] }
  /** whether forms that are sent succeed from now on: what stands for their receiver is told so */
  | { readonly type: "answer"; readonly well: boolean }
  /** sets a trait from outside: a switch in Try, a presenter */
  | { readonly type: "show"; readonly at: Path; readonly trait: Id; readonly value: Id }
  | { readonly type: "screen"; readonly screen: Id }
  /** a presenter opens a screen over the shown one */
  | { readonly type: "overlay"; readonly screen: Id }
  /** a presenter goes back: out of the front overlay, else to the screen before */
  | { readonly type: "back" };

/** A placed copy that is part of the scene. */
export interface ActiveInstance {
  readonly path: Path;
  readonly piece: Piece;
  readonly variant: Variant;
}

export type Point = readonly [x: number, y: number];
