import type { EffectFacet } from "../../../machine/rules/effect-types";

export const address: EffectFacet<"address"> = {
  shows: "nothing",
  claim: () => "address",
  apply: ({ to }, { state, cause: { path }, emit }) => {
    emit({ type: "address", at: state.now, state, path, to });
    return state;
  },
};
