import { intersect, overlaps } from "#core/layout";
import type { Rect } from "#core/layout";

/**
 * What one sees of the piece on the card one looks at, px of the piece; null where that is none of
 * it. `width` is the piece's own.
 */
export const seenOnStage = (width: number): Rect | null => {
  const scene = document.querySelector(".card-variant.active .scene")?.getBoundingClientRect();
  const room = document.querySelector(".stage-room")?.getBoundingClientRect();
  if (!scene || !room || !(width > 0) || !overlaps(scene, room)) return null;
  const zoom = scene.width / width;
  const seen = intersect(scene, room);
  return {
    x: (seen.x - scene.x) / zoom,
    y: (seen.y - scene.y) / zoom,
    width: seen.width / zoom,
    height: seen.height / zoom,
  };
};
