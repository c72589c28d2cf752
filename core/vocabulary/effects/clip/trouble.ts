import type { EffectTrouble } from "../../../machine/effect-types";

export const clip: EffectTrouble<"clip"> = (_project, piece, { layer }) =>
  piece.layers[layer]?.kind === "picture" ? null : "the clip it turns was removed";
