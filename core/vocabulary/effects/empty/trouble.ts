import type { EffectTrouble } from "../../../machine/rules/effect-types";

export const empty: EffectTrouble<"empty"> = () => null;
