import { emptied } from "../../../machine/input/entries";
import type { EffectFacet } from "../../../machine/rules/effect-types";

export const empty: EffectFacet<"empty"> = {
  shows: "piece",
  claim: () => "form",
  apply: (_effect, { state, cause }) => emptied(state, cause.path),
};
