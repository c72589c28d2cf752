import type { EffectFacet } from "../../../machine/rules/effect-types";

export const scroll: EffectFacet<"scroll"> = {
  shows: "piece",
  claim: () => "scroll",
  apply: ({ layer }, { state, cause: { path }, motion, emit }) => {
    emit({ type: "scrollTo", at: state.now, state, path, layer, motion });
    return state;
  },
};
