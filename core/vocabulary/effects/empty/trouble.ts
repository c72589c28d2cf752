import type { EffectTrouble } from "../../../machine/effect-types";

export const empty: EffectTrouble<"empty"> = () => null;
