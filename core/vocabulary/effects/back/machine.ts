import { goBack, SCREEN } from "../../../machine/navigate";
import type { EffectFacet } from "../../../machine/rules/effect-types";

export const back: EffectFacet<"back"> = {
  shows: "screens",
  claim: () => SCREEN,
  apply: (_effect, { project, state, motion, cause, emit }) =>
    goBack(project, state, motion, cause, emit),
};
