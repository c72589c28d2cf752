import { componentsAt, missingValue } from "../../../machine/components";
import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const nested: EffectTrouble<"nested"> = (project, piece, effect) => {
  if (!piece.layers[effect.layer]) return ["copy"];
  const inside = componentsAt(project, piece, effect.layer).find((c) => c.traits[effect.trait]);
  return inside ? missingValue(inside, effect.trait, effect.to) : ["copyTrait"];
};
