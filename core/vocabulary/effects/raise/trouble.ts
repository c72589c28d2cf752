import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const raise: EffectTrouble<"raise"> = (_project, piece, { signal }) =>
  piece.signals[signal] ? null : ["signal"];
