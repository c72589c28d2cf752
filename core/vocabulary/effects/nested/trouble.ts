import { componentsAt, missingValue } from "../../../machine/components";
import type { EffectTrouble } from "../../../machine/effect-types";

export const nested: EffectTrouble<"nested"> = (project, piece, effect) => {
  if (!piece.layers[effect.layer]) return "the copy it sets was removed";
  const inside = componentsAt(project, piece, effect.layer).find((c) => c.traits[effect.trait]);
  return inside
    ? missingValue(inside, effect.trait, effect.to)
    : "the copy it sets has no such trait any more";
};
