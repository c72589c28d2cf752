import type { EffectFacet } from "../../../machine/rules/effect-types";
import { turnClip } from "../../../machine/time/turning";

export const seek: EffectFacet<"seek"> = {
  shows: "piece",
  claim: ({ layer }) => `clip ${layer}`,
  apply: ({ layer, ms }, doing) =>
    turnClip(doing, layer, ({ playing }, length) => ({ playing, moment: Math.min(length, ms) })),
};
