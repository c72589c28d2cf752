import type { EffectTrouble } from "../../../machine/effect-types";

export const stir: EffectTrouble<"stir"> = () => null;
