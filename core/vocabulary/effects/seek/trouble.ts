import type { EffectTrouble } from "../../../machine/rules/effect-types";
import { vocabularyWords } from "../../words";

export const seek: EffectTrouble<"seek"> = (_project, piece, { layer }) =>
  piece.layers[layer]?.kind === "picture" ? null : vocabularyWords.clipPlaysWasDeleted;
