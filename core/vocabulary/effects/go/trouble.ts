import type { EffectTrouble } from "../../../machine/rules/effect-types";
import { vocabularyWords } from "../../words";

export const go: EffectTrouble<"go"> = (project, _piece, { screen }) =>
  project.pieces[screen]?.kind === "screen" ? null : vocabularyWords.screenGoesWasDeleted;
