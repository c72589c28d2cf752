import { z } from "zod";

export const dragDirections = ["left", "right", "up", "down", "any"] as const;

/**
 * Where to; how far the whole way is, px; the share of it (0–1) or the speed (px/s) from which
 * letting go does it.
 */
export const drag = {
  direction: z.enum(dragDirections),
  travel: z.number().min(1).max(1e4),
  part: z.number().min(0).max(1),
  speed: z.number().min(0).max(1e5),
};
