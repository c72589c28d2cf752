import { z } from "zod";
import { bounded } from "../../../project/scalars";

export const dragDirections = ["left", "right", "up", "down", "any"] as const;
export type DragDirection = (typeof dragDirections)[number];

/** Along a line that the rule says, or wherever the hand goes. */
export const dragWays = ["line", "free"] as const;
export type DragWay = (typeof dragWays)[number];

/**
 * Whether what is dragged keeps with the hand, and how far it leans by its speed then, degrees;
 * where to; how far the whole way is, px; the share of it (0–1) or the speed (px/s) from which
 * letting go does it.
 */
export const drag = {
  way: z.enum(dragWays),
  lean: bounded("lean"),
  direction: z.enum(dragDirections),
  travel: bounded("travel"),
  part: bounded("part"),
  speed: bounded("speed"),
};
