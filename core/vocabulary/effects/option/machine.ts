import type { EffectFacet } from "../../../machine/rules/effect-types";

export const option: EffectFacet<"option"> = {
  shows: "piece",
  claim: ({ layer, option }) => `${layer}/option ${option}`,
  sets: ({ layer, option, value }) => ({ copy: layer, option, value }),
};
