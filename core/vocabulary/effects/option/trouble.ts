import { componentsAt } from "../../../machine/components";
import type { EffectTrouble } from "../../../machine/effect-types";

export const option: EffectTrouble<"option"> = (project, piece, effect) => {
  if (!piece.layers[effect.layer]) return "the copy it sets was removed";
  return componentsAt(project, piece, effect.layer).some((c) => c.options[effect.option])
    ? null
    : "the copy it sets has no such option any more";
};
