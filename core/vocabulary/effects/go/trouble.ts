import type { EffectTrouble } from "../../../machine/effect-types";

export const go: EffectTrouble<"go"> = (project, _piece, { screen }) =>
  project.pieces[screen]?.kind === "screen" ? null : "the screen it goes to was removed";
