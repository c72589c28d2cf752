import type { EffectTrouble } from "../../../machine/effect-types";

export const scroll: EffectTrouble<"scroll"> = (_project, piece, { layer }) =>
  piece.layers[layer] ? null : "the layer it scrolls to was removed";
