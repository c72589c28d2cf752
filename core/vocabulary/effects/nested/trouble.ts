import { componentsAt, missingValue } from "../../../machine/components";
import type { EffectTrouble } from "../../../machine/rules/effect-types";
import { vocabularyWords } from "../../words";

export const nested: EffectTrouble<"nested"> = (project, piece, effect) => {
  if (!piece.layers[effect.layer]) return vocabularyWords.copyChangesWasDeleted;
  const inside = componentsAt(project, piece, effect.layer).find((c) => c.traits[effect.trait]);
  return inside
    ? missingValue(inside, effect.trait, effect.to)
    : vocabularyWords.copyChangesNoLonger;
};
