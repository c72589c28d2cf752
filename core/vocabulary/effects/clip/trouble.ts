import type { EffectTrouble } from "../../../machine/rules/effect-types";
import { vocabularyWords } from "../../words";

export const clip: EffectTrouble<"clip"> = (_project, piece, { layer }) =>
  piece.layers[layer]?.kind === "picture" ? null : vocabularyWords.clipPlaysWasDeleted;
