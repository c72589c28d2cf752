import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const open: EffectTrouble<"open"> = (project, _piece, { screen }) =>
  project.pieces[screen]?.kind === "screen" ? null : ["overlay"];
