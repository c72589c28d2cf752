import type { EffectFacet } from "../../../machine/rules/effect-types";

export const set: EffectFacet<"set"> = {
  shows: "piece",
  claim: ({ trait }) => trait,
  sets: ({ trait, to }) => ({ copy: null, trait, to }),
};
