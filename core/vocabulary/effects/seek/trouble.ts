import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const seek: EffectTrouble<"seek"> = (_project, piece, { layer }) =>
  piece.layers[layer]?.kind === "picture" ? null : ["clip"];
