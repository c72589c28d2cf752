import type { EffectTrouble } from "../../../machine/rules/effect-types";
import { vocabularyWords } from "../../words";

export const open: EffectTrouble<"open"> = (project, _piece, { screen }) =>
  project.pieces[screen]?.kind === "screen" ? null : vocabularyWords.screenOpensWasDeleted;
