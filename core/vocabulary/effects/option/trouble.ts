import { componentsAt } from "../../../machine/components";
import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const option: EffectTrouble<"option"> = (project, piece, effect) => {
  if (!piece.layers[effect.layer]) return ["copy"];
  return componentsAt(project, piece, effect.layer).some((c) => c.options[effect.option])
    ? null
    : ["copyOption"];
};
