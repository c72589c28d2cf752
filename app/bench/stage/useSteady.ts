import { useState } from "react";
import { isFitting } from "#core/edit";
import { useBench, usePiece } from "../state/context";

/**
 * The size of a piece whose frame fits its layers, as it was before a hand began to move them: the
 * card must not grow under it; px.
 */
export const useSteady = (width: number, height: number) => {
  const busy = useBench((s) => s.editing);
  const fitting = usePiece(isFitting);
  const [kept, setKept] = useState({ width, height });
  const stays = busy && fitting;
  if (!stays && (kept.width !== width || kept.height !== height)) setKept({ width, height });
  return kept;
};
