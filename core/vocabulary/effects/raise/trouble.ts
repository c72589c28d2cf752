import type { EffectTrouble } from "../../../machine/rules/effect-types";
import { vocabularyWords } from "../../words";

export const raise: EffectTrouble<"raise"> = (_project, piece, { signal }) =>
  piece.signals[signal] ? null : vocabularyWords.signalSendsWasDeleted;
