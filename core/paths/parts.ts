import { toParent } from "../layout/hit";
import type { Placed } from "../layout/types";
import { outlinePath } from "../paint/outline";
import type { Part } from "./combine";

const mapOf = (p: Placed): number[] => {
  const at = toParent(p), [ox, oy] = at(0, 0), [ax, ay] = at(1, 0), [bx, by] = at(0, 1);
  return [ax - ox, ay - oy, bx - ox, by - oy, ox, oy];
};

/** The shown shapes inside a compound as parts to combine, in its own px. */
export const partsOf = (compound: Placed): Part[] =>
  compound.children.filter((c) => c.presence > 0 && !["text", "instance", "icon", "line"].includes(c.layer.kind)).map((c): Part => c.layer.kind === "compound"
    ? { combine: c.values.combine as string, parts: partsOf(c), map: mapOf(c) }
    : { d: outlinePath(c), holes: c.values.overlaps === "holes", map: mapOf(c) });
