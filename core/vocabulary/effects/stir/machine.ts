import type { EffectFacet } from "../../../machine/rules/effect-types";

export const stir: EffectFacet<"stir"> = {
  shows: "piece",
  // any number may stir: their lanes are of different layers, or the last one has it
  claim: () => null,
  runsLanes: true,
};
