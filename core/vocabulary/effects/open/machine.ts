import { openOverlay, SCREEN } from "../../../machine/navigate";
import type { EffectFacet } from "../../../machine/rules/effect-types";

export const open: EffectFacet<"open"> = {
  shows: "screens",
  claim: () => SCREEN,
  apply: ({ screen }, { project, state, motion, cause, emit }) =>
    openOverlay(project, state, screen, motion, cause, emit),
};
