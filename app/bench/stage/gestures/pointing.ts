import type { LayoutBox, LayoutEnv } from "#core/layout";
import type { Variant } from "#core/project";

/** Where a pointer is over a card, and the keys held meanwhile. */
export interface Pointing {
  /** px of the piece */
  readonly x: number;
  readonly y: number;
  /** px on screen */
  readonly screenX: number;
  readonly screenY: number;
  readonly shift: boolean;
  readonly alt: boolean;
  /** Ctrl, or Command */
  readonly ctrl: boolean;
}

/** A card as a hand on it finds it. */
export interface CardScene {
  readonly env: LayoutEnv;
  readonly variant: Variant;
  readonly placed: LayoutBox;
  /** px on screen per px of the piece */
  readonly zoom: number;
}

type PointerLike = Pick<
  PointerEvent,
  "clientX" | "clientY" | "shiftKey" | "altKey" | "ctrlKey" | "metaKey"
>;

/** What a pointer's event means on a card that is shown in this box, px on screen. */
export const pointingAt = (
  e: PointerLike,
  box: { readonly left: number; readonly top: number },
  zoom: number,
): Pointing => ({
  x: (e.clientX - box.left) / zoom,
  y: (e.clientY - box.top) / zoom,
  screenX: e.clientX,
  screenY: e.clientY,
  shift: e.shiftKey,
  alt: e.altKey,
  ctrl: e.ctrlKey || e.metaKey,
});

/** The way from one place on screen to another, px of the piece. */
export const wayFrom = (
  start: Pointing,
  now: Pointing,
  zoom: number,
): readonly [number, number] => [
  (now.screenX - start.screenX) / zoom,
  (now.screenY - start.screenY) / zoom,
];
