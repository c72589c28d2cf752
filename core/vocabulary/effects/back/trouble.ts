import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const back: EffectTrouble<"back"> = () => null;
