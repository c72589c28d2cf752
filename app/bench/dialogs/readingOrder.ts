import type { Id } from "#core/basics";
import { unite } from "#core/layout";
import type { Rect } from "#core/layout";

/** Layers in the order one reads them: along the side on which they lie further apart. */
export const readingOrder = (ids: readonly Id[], bounds: ReadonlyMap<Id, Rect>): Id[] => {
  const all = unite(ids.flatMap((id) => bounds.get(id) ?? []));
  const at = (id: Id): number => {
    const r = bounds.get(id);
    if (r && all) {
      return all.width >= all.height ? r.x : r.y;
    }
    return 0;
  };
  return [...ids].sort((a, b) => at(a) - at(b));
};
