import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const go: EffectTrouble<"go"> = (project, _piece, { screen }) =>
  project.pieces[screen]?.kind === "screen" ? null : ["screen"];
