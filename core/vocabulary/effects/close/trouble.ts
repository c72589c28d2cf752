import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const close: EffectTrouble<"close"> = () => null;
