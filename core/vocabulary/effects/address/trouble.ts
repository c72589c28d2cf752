import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const address: EffectTrouble<"address"> = () => null;
