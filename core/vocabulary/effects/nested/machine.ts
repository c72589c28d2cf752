import type { EffectFacet } from "../../../machine/rules/effect-types";

export const nested: EffectFacet<"nested"> = {
  shows: "piece",
  claim: ({ layer, trait }) => `${layer}/${trait}`,
  sets: ({ layer, trait, to }) => ({ copy: layer, trait, to }),
};
