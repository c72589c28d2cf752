import { raised } from "../../../machine/raising";
import type { EffectFacet } from "../../../machine/effect-types";

export const raise: EffectFacet<"raise"> = {
  shows: "nothing",
  claim: ({ signal }) => `signal ${signal}`,
  apply: ({ signal }, doing) => raised(doing, signal),
};
