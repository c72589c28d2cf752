import type { EffectFacet } from "../../../machine/rules/effect-types";
import { turnClip } from "../../../machine/time/turning";

const playsAfter = (act: "play" | "pause" | "turn", playing: boolean): boolean =>
  act === "turn" ? !playing : act === "play";

export const clip: EffectFacet<"clip"> = {
  shows: "piece",
  claim: ({ layer }) => `clip ${layer}`,
  apply: ({ layer, act }, doing) =>
    turnClip(doing, layer, (now, length) => {
      const playing = playsAfter(act, now.playing);
      // one that has ended begins again
      return { playing, moment: playing && now.moment >= length ? 0 : now.moment };
    }),
};
