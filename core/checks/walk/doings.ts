import { isEntry } from "../../machine";
import type { Path, State } from "../../machine";
import type { Project } from "../../project";
import type { Ground } from "./ground";
import type { Doing, Mode } from "./types";
import { firstToEnd } from "./waits";

/** One thing that can be done next, and by what. */
interface Next {
  readonly does: Doing;
  readonly mode: Mode;
}

const pause: Doing = { do: "pause" };
const away: Doing = { do: "point", layer: null };
const press: Doing = { do: "press" };
const release: Doing = { do: "release" };
const lift: Doing = { do: "lift" };
const blur: Doing = { do: "focus", layer: null };

const pressKey = (key: string): Doing => ({ do: "key", key, phase: "down" });

const enter = pressKey("Enter");
const escape = pressKey("Escape");
// one letter stands for whatever is typed
const letter = pressKey("x");
const down = pressKey("ArrowDown");

const withinShown = (state: State, path: Path): Path => path.slice(state.screen.length + 1);

/** The drags that what is pointed at may become: one each way. */
const dragsFrom = ({ draggables }: Ground, state: State): readonly Doing[] => {
  const { over } = state.pointer;
  const [inner] = over;
  if (inner === undefined || draggables.length === 0) return [];
  const layer = withinShown(state, inner);
  const byDirection = new Map<string, readonly [number, number]>();
  for (const { source, direction, by } of draggables)
    if (over.includes(source)) byDirection.set(direction, by);
  return [...byDirection.values()].map((by) => ({ do: "drag", layer, by }));
};

/** What a mouse can do next. */
const byMouse = (ground: Ground, state: State): readonly Doing[] => {
  const { clicked, pressed, over } = state.pointer;
  const waiting = clicked ? [pause] : [];
  if (pressed) {
    const [inner] = pressed;
    const isAway = over.length === 0 && inner !== undefined;
    const back: Doing = isAway ? { do: "point", layer: withinShown(state, inner) } : away;
    return [...waiting, back, release];
  }
  const onto = clicked ? [] : ground.points;
  if (over.length === 0) return [...waiting, ...onto];
  return [...waiting, ...onto, ...(clicked ? [] : [away]), press, ...dragsFrom(ground, state)];
};

/** What a finger that is down can do next. */
const byFinger = (state: State): readonly Doing[] =>
  state.pointer.over.length ? [away, lift] : [lift];

/** What a keyboard can do next. */
const byKeys = (project: Project, ground: Ground, state: State): readonly Doing[] => {
  const { pressing, focused } = state.keyboard;
  if (pressing !== null) return [{ do: "key", key: pressing, phase: "up" }];
  const [entry] = focused;
  const now = entry === undefined ? undefined : withinShown(state, entry);
  const out: Doing[] = ground.stops
    .filter((layer) => layer !== now)
    .map((layer) => ({ do: "focus", layer }));
  if (entry !== undefined) {
    out.push(blur, enter);
    if (isEntry(project, state, entry))
      out.push(...(state.forms.entries[entry] === undefined ? [letter, down] : [down]));
  }
  out.push(...ground.keys);
  if (state.overlays.length) out.push(escape);
  return out;
};

/**
 * What happens by itself next, or by scrolling: waits that end, layers that come into sight,
 * answers, and coming to rest.
 */
const byThemselves = (project: Project, ground: Ground, state: State): readonly Doing[] => [
  ...firstToEnd(project, state).map((timer): Doing => ({ do: "wait", timer })),
  ...ground.awaited
    .filter(({ path }) => !state.scroll.inSight.includes(path))
    .map(({ doing }) => doing),
  ...Object.keys(state.forms.sending).flatMap((path): Doing[] => [
    { do: "answer", path, well: true },
    { do: "answer", path, well: false },
  ]),
  ...Object.keys(state.timers.settling).map((path): Doing => ({ do: "settle", path })),
];

/** Everything that can be done next, and by what. */
export const doings = (
  project: Project,
  mode: Mode,
  state: State,
  ground: Ground,
): readonly Next[] => {
  const out: Next[] = [];
  const add = (by: Mode, list: readonly Doing[]) => {
    for (const does of list) out.push({ does, mode: by });
  };
  if (mode === "rest" || mode === "mouse") add("mouse", byMouse(ground, state));
  if (mode === "rest") add("touch", ground.fingers);
  if (mode === "touch" && state.pointer.pressed) add("touch", byFinger(state));
  if (mode === "rest" || mode === "keys") add("keys", byKeys(project, ground, state));
  add(mode, byThemselves(project, ground, state));
  return out;
};
