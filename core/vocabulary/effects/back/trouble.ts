import type { EffectTrouble } from "../../../machine/effect-types";

export const back: EffectTrouble<"back"> = () => null;
