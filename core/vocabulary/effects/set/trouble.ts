import { missingValue } from "../../../machine/components";
import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const set: EffectTrouble<"set"> = (_project, piece, effect) =>
  missingValue(piece, effect.trait, effect.to);
