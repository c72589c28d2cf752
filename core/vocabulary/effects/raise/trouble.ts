import type { EffectTrouble } from "../../../machine/effect-types";

export const raise: EffectTrouble<"raise"> = (_project, piece, { signal }) =>
  piece.signals[signal] ? null : "the signal it raises was removed";
