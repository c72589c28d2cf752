import { goTo, SCREEN } from "../../../machine/navigate";
import type { EffectFacet } from "../../../machine/rules/effect-types";

export const go: EffectFacet<"go"> = {
  shows: "screens",
  claim: () => SCREEN,
  apply: ({ screen }, { project, state, motion, cause, emit }) =>
    goTo(project, state, screen, motion, cause, emit),
};
