import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const scroll: EffectTrouble<"scroll"> = (_project, piece, { layer }) =>
  piece.layers[layer] ? null : ["scrolled"];
