import type { Motion } from "../../project";
import type { MachineEvent, Move, TraitSet } from "../events";
import type { State } from "../state";
import type { Path } from "../types";

type Fired = Extract<MachineEvent, { type: "fired" }>;
type Undone = Extract<MachineEvent, { type: "undone" }>;

/**
 * What a contact did goes back as the rule says of that, else in the same time; the poses it went
 * through on the way there are not gone through again.
 */
const undone = ({ motion, ownTime }: Undone): Motion =>
  motion.lanes && !ownTime
    ? {
        ...motion,
        lanes: motion.lanes.map(({ poses: _poses, times: _times, turns: _turns, ...lane }) => lane),
      }
    : motion;

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

/** The copies a rule that fired set something in. */
const setIn = (event: Fired): readonly Path[] =>
  [{ path: event.path, sets: event.sets }, ...event.inner]
    .filter(({ sets }) => sets.length > 0)
    .map(({ path }) => path);

/**
 * A click comes before its press is undone. To the eye that ends first and the click's change sets
 * out from there, and what the press did goes back along with it, so that all arrives together:
 * unless the rule says a time for that, or the click set something in other copies alone.
 */
const afterwards = (event: Fired, ended: readonly Undone[]): readonly Move[] => {
  const released = (state: State): State =>
    ended.reduce((s, u) => put(s, u.path, u.sets, "to"), state);
  const before = event.inner.reduce(
    (s, i) => put(s, i.path, i.sets, "from"),
    put(event.state, event.path, event.sets, "from"),
  );
  const together = setIn(event);
  const apart = ended.filter((u) => u.ownTime || !together.includes(u.path));
  const goesBack = apart.map((u): Move => ({
    state: apart.reduce((s, a) => put(s, a.path, a.sets, "to"), before),
    path: u.path,
    motion: undone(u),
  }));
  return [...goesBack, ...event.moves.map((m) => ({ ...m, state: released(m.state) }))];
};

/**
 * What an event shows over time: states, each with the motion that leads to it. `all` are those of
 * the same step.
 */
export const movesOf = (
  event: MachineEvent,
  all: readonly MachineEvent[] = [],
): readonly Move[] => {
  if (event.type === "fired") {
    const ended = all
      .slice(all.indexOf(event) + 1)
      .filter((u): u is Undone => u.type === "undone" && u.at === event.at && u.sets.length > 0);
    return ended.length && event.moves.length ? afterwards(event, ended) : event.moves;
  }
  if (event.type === "undone")
    return [{ state: event.state, path: event.path, motion: undone(event) }];
  if (event.type === "navigated") return [event];
  if (event.type === "opened" || event.type === "closed")
    return [{ state: event.state, path: "", motion: over(event.motion) }];
  // everything else is over at once
  return [];
};
