import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const clip: EffectTrouble<"clip"> = (_project, piece, { layer }) =>
  piece.layers[layer]?.kind === "picture" ? null : ["clip"];
