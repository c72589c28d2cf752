import type { EffectTrouble } from "../../../machine/effect-types";

export const address: EffectTrouble<"address"> = () => null;
