import { closeOverlay, overlayMeant, SCREEN } from "../../../machine/navigate";
import type { EffectFacet } from "../../../machine/rules/effect-types";

export const close: EffectFacet<"close"> = {
  shows: "screens",
  claim: () => SCREEN,
  apply: (_effect, { project, state, motion, cause, emit }) => {
    const meant = overlayMeant(state, cause.path);
    return meant === null ? state : closeOverlay(project, state, meant, motion, cause, emit);
  },
};
