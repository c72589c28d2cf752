import { z } from "zod";
import type { Id } from "../../basics";
import { laneOf } from "../../motion";
import type { LaneName } from "../../motion";
import { FORMAT, laneSchema } from "../../project";
import type { Lane, Motion, Piece } from "../../project";
import { withLane } from "./timing";

/** Copied lanes; the names of their layers stand beside the ids, for other pieces to take them. */
export interface LaneClip {
  readonly kind: "nubble-lanes";
  readonly format: number;
  readonly lanes: readonly Lane[];
  readonly names: Readonly<Record<Id, string>>;
}

const clipSchema = z.strictObject({
  kind: z.literal("nubble-lanes"),
  format: z.literal(FORMAT),
  lanes: z.array(laneSchema).min(1).max(400),
  names: z.record(z.string(), z.string()),
});

/** Copies lanes of a motion; null where it has none of them. */
export const copyLanes = (
  piece: Piece,
  motion: Motion,
  names: readonly LaneName[],
): LaneClip | null => {
  const lanes = names.flatMap((name) => laneOf(motion, name) ?? []);
  if (lanes.length === 0) return null;
  return {
    kind: "nubble-lanes",
    format: FORMAT,
    lanes,
    names: Object.fromEntries(
      lanes.flatMap(({ layer }) => {
        const name = piece.layers[layer]?.name;
        return name === undefined ? [] : [[layer, name]];
      }),
    ),
  };
};

/** Reads copied lanes from text; null when it holds none. */
export const readLanes = (text: string): LaneClip | null => {
  try {
    const read = clipSchema.safeParse(JSON.parse(text));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
};

/**
 * Puts copied lanes into a motion: for the very layers, else for those of the same names. What was
 * there of them is replaced. Answers with the names of layers the piece does not have.
 */
export const pasteLanes = (
  piece: Piece,
  motion: Motion,
  clip: LaneClip,
): {
  readonly motion: Motion;
  readonly made: readonly LaneName[];
  readonly lost: readonly string[];
} => {
  const byName = new Map(Object.values(piece.layers).map((l) => [l.name, l.id]));
  const made: LaneName[] = [];
  const lost: string[] = [];
  let next = motion;
  for (const { layer, key, ...timing } of clip.lanes) {
    const name = clip.names[layer] ?? "";
    const to = piece.layers[layer] ? layer : byName.get(name);
    if (to === undefined) {
      lost.push(name);
      continue;
    }
    next = withLane(next, { layer: to, key }, timing);
    made.push({ layer: to, key });
  }
  return { motion: next, made, lost: [...new Set(lost)] };
};
