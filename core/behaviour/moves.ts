import type { Motion } from "../project/types";
import type { Happening, Move } from "./types";

/** What a contact did goes back in the same time; the poses it went through on the way there are not gone through again. */
const undone = (m: Motion): Motion => (m.lanes ? { ...m, lanes: m.lanes.map(({ poses: _poses, times: _times, turns: _turns, ...lane }) => lane) } : m);

/** What comes over others or goes from there appears or vanishes; the rest need not dissolve into itself. */
const over = (m: Motion): Motion => (m.kind === "fade" ? { ...m, kind: "tween" } : m);

/** What a happening shows over time: states, each with the motion that leads to it. */
export const movesOf = (h: Happening): readonly Move[] => {
  switch (h.type) {
    case "fired": return h.moves;
    case "undone": return [{ state: h.state, path: h.path, motion: undone(h.motion) }];
    case "went": return [h];
    case "opened": case "closed": return [{ state: h.state, path: "", motion: over(h.motion) }];
    default: return [];
  }
};
