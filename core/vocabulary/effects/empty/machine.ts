import { emptied } from "../../../machine/entries";
import type { EffectFacet } from "../../../machine/effect-types";

export const empty: EffectFacet<"empty"> = {
  shows: "piece",
  claim: () => "form",
  apply: (_effect, { state, cause }) => emptied(state, cause.path),
};
