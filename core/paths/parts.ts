import { present } from "../basics";
import { mapOf } from "../layout";
import type { LayoutBox } from "../layout";
import { outlinePath } from "../paint";
import type { Part } from "./combine";

/** The shown shapes inside a compound as parts to combine, in its own px. */
export const partsOf = (compound: LayoutBox): Part[] =>
  compound.children
    .filter((c) => c.presence > 0 && !["text", "instance", "icon", "line"].includes(c.layer.kind))
    .map((c): Part =>
      c.layer.kind === "compound"
        ? { combine: present(c.values.combine), parts: partsOf(c), map: mapOf(c) }
        : { d: outlinePath(c), holes: c.values.overlaps === "holes", map: mapOf(c) },
    );
