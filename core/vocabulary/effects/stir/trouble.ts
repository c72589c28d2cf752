import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const stir: EffectTrouble<"stir"> = () => null;
