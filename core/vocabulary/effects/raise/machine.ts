import { raised } from "../../../machine/rules/raising";
import type { EffectFacet } from "../../../machine/rules/effect-types";

export const raise: EffectFacet<"raise"> = {
  shows: "nothing",
  claim: ({ signal }) => `signal ${signal}`,
  apply: ({ signal }, doing) => raised(doing, signal),
};
