import type { Rect } from "#core/layout";

/** The part two boxes on screen share; null when they share none. */
const shared = (
  a: DOMRect,
  b: DOMRect,
): { left: number; top: number; right: number; bottom: number } | null => {
  const left = Math.max(a.left, b.left);
  const top = Math.max(a.top, b.top);
  const right = Math.min(a.right, b.right);
  const bottom = Math.min(a.bottom, b.bottom);
  return left < right && top < bottom ? { left, top, right, bottom } : null;
};

/**
 * What one sees of the piece on the card one looks at, px of the piece; null where that is none of
 * it. `width` is the piece's own.
 */
export const seenOnStage = (width: number): Rect | null => {
  const scene = document.querySelector(".card-variant.active .scene")?.getBoundingClientRect();
  const room = document.querySelector(".stage-room")?.getBoundingClientRect();
  if (!scene || !room || !(width > 0) || !(scene.width > 0)) return null;
  const zoom = scene.width / width;
  const seen = shared(scene, room);
  return (
    seen && {
      x: (seen.left - scene.left) / zoom,
      y: (seen.top - scene.top) / zoom,
      width: (seen.right - seen.left) / zoom,
      height: (seen.bottom - seen.top) / zoom,
    }
  );
};
