import type { PointerEvent } from "react";

/** Where the pointer is on a card, and the keys held; px of the piece. */
export interface PointerOn {
  readonly x: number;
  readonly y: number;
  readonly shift: boolean;
  readonly alt: boolean;
  readonly ctrl: boolean;
}

/** Reads the pointer over what covers a card's frame, as large as it is painted at a zoom. */
export const pointerOn = (host: Element | null, e: PointerEvent, zoom: number): PointerOn => {
  const box = host?.getBoundingClientRect();
  return {
    x: (e.clientX - (box?.left ?? 0)) / zoom,
    y: (e.clientY - (box?.top ?? 0)) / zoom,
    shift: e.shiftKey,
    alt: e.altKey,
    ctrl: e.ctrlKey || e.metaKey,
  };
};
