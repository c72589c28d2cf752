import type { EffectTrouble } from "../../../machine/effect-types";

export const seek: EffectTrouble<"seek"> = (_project, piece, { layer }) =>
  piece.layers[layer]?.kind === "picture" ? null : "the clip it turns was removed";
