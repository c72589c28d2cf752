import type { Id } from "#core/basics";
import { hitTest } from "#core/layout";
import type { LayoutBox } from "#core/layout";
import { ROOT } from "#core/project";
import type { Piece } from "#core/project";

/** A layer and those around it, innermost first. */
export const outwards = (piece: Pick<Piece, "layers">, id: Id): Id[] => {
  const out: Id[] = [];
  for (let at = piece.layers[id]; at; at = at.parent === null ? undefined : piece.layers[at.parent])
    out.push(at.id);
  return out;
};

/**
 * The layer a click means: the one at the level of what is chosen, else the outermost under the
 * root. `deep` means the innermost; `into` means one level further in than what is chosen.
 */
export const pickLayer = (
  piece: Pick<Piece, "layers">,
  placed: LayoutBox,
  x: number,
  y: number,
  chosen: readonly Id[],
  how: "level" | "deep" | "into" = "level",
): Id | null => {
  const hit = hitTest(placed, x, y, "", { skips: (id) => piece.layers[id]?.locked === true });
  const inner = hit?.path.split("/")[0];
  if (inner === undefined) return null;
  const chain = outwards(piece, inner);
  if (how === "deep") return inner;
  const lead = chosen[0] === undefined ? undefined : piece.layers[chosen[0]];
  if (how === "into" && lead && chain.includes(lead.id))
    return chain[chain.indexOf(lead.id) - 1] ?? lead.id;
  const level = lead && lead.id !== ROOT ? lead.parent : ROOT;
  const same = chain.find((id) => piece.layers[id]?.parent === level);
  return same ?? chain.find((id) => piece.layers[id]?.parent === ROOT) ?? ROOT;
};
