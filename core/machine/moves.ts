import type { Motion } from "../project";
import type { MachineEvent, Move, Path, State, TraitSet } from "./types";

/**
 * What a contact did goes back in the same time; the poses it went through on the way there are not
 * gone through again.
 */
const undone = (m: Motion): Motion =>
  m.lanes
    ? {
        ...m,
        lanes: m.lanes.map(({ poses: _poses, times: _times, turns: _turns, ...lane }) => lane),
      }
    : m;

/**
 * What comes over others or goes from there appears or vanishes; the rest need not dissolve into
 * itself.
 */
const over = (m: Motion): Motion => (m.kind === "fade" ? { ...m, kind: "tween" } : m);

const put = (state: State, path: Path, sets: readonly TraitSet[], which: "from" | "to"): State =>
  sets.length === 0 || !state.traits[path]
    ? state
    : {
        ...state,
        traits: {
          ...state.traits,
          [path]: {
            ...state.traits[path],
            ...Object.fromEntries(sets.map((s) => [s.trait, s[which]])),
          },
        },
      };

type Fired = Extract<MachineEvent, { type: "fired" }>;
type Undone = Extract<MachineEvent, { type: "undone" }>;

/**
 * A click comes before its press is undone. To the eye that ends first and the click's change sets
 * out from there: so what the
 * click changes goes in its time, and only the rest goes back in that of the press.
 */
const afterwards = (h: Fired, ended: readonly Undone[]): readonly Move[] => {
  const released = (state: State): State =>
    ended.reduce((s, u) => put(s, u.path, u.sets, "to"), state);
  const before = h.inner.reduce(
    (s, i) => put(s, i.path, i.sets, "from"),
    put(h.state, h.path, h.sets, "from"),
  );
  return [
    ...ended.map((u): Move => ({
      state: released(before),
      path: u.path,
      motion: undone(u.motion),
    })),
    ...h.moves.map((m) => ({ ...m, state: released(m.state) })),
  ];
};

/**
 * What a happening shows over time: states, each with the motion that leads to it. `all` are those
 * of the same step.
 */
export const movesOf = (h: MachineEvent, all: readonly MachineEvent[] = []): readonly Move[] => {
  if (h.type === "fired") {
    const ended = all
      .slice(all.indexOf(h) + 1)
      .filter((u): u is Undone => u.type === "undone" && u.at === h.at && u.sets.length > 0);
    return ended.length && h.moves.length ? afterwards(h, ended) : h.moves;
  }
  if (h.type === "undone") return [{ state: h.state, path: h.path, motion: undone(h.motion) }];
  if (h.type === "navigated") return [h];
  if (h.type === "opened" || h.type === "closed")
    return [{ state: h.state, path: "", motion: over(h.motion) }];
  // everything else is over at once
  return [];
};
