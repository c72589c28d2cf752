import type { EffectTrouble } from "../../../machine/rules/effect-types";
import { vocabularyWords } from "../../words";

export const scroll: EffectTrouble<"scroll"> = (_project, piece, { layer }) =>
  piece.layers[layer] ? null : vocabularyWords.layerScrollsWasDeleted;
