import type { EffectTrouble } from "../../../machine/effect-types";

export const close: EffectTrouble<"close"> = () => null;
