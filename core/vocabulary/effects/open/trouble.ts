import type { EffectTrouble } from "../../../machine/effect-types";

export const open: EffectTrouble<"open"> = (project, _piece, { screen }) =>
  project.pieces[screen]?.kind === "screen" ? null : "the screen it opens was removed";
