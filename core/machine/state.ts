import type { Id } from "../basics";
import type { Motion, Variant } from "../project";
import type { SpecifiedValue } from "../properties";
import type { Path, Point } from "./types";

/** A drag under way: whose rule, on which layer, and how far of the way (0–1). */
export interface ActiveDrag {
  readonly at: Path;
  readonly rule: Id;
  readonly source: Path;
  readonly progress: number;
}

/** The pointer, and what is pressed: by it, or by a key. */
interface PointerState {
  /** layers under the pointer, innermost first */
  readonly over: readonly Path[];
  /** layers that were pressed on, innermost first; null when nothing presses */
  readonly pressed: readonly Path[] | null;
  /** where the pointer pressed, px */
  readonly grip: Point | null;
  /** where it was in the last moments, px */
  readonly trail: readonly { readonly at: number; readonly point: Point }[];
  readonly drag: ActiveDrag | null;
  /** copies in which this press has become a long press: it is no click there any more */
  readonly heldIn: readonly Path[];
  /** the last click, which a second one may make a double click */
  readonly clicked: { readonly chain: readonly Path[]; readonly at: number } | null;
}

interface KeyboardState {
  /** layers that hold the keyboard's focus, innermost first */
  readonly focused: readonly Path[];
  /** whether one is shown where the focus is: it came by a key, or a key was pressed there */
  readonly shown: boolean;
  /** where the focus goes next, after an overlay has closed; as inputs name layers */
  readonly refocus: Path | null;
  /** the key that presses, when it is no pointer */
  readonly pressing: string | null;
}

/** A form on its way: by which layer it was sent, and when the answer comes. */
interface Sending {
  readonly source: Path;
  readonly due: number;
}

interface FormsState {
  /** what has been filled in, by layer */
  readonly entries: Readonly<Record<Path, string>>;
  /** forms on their way, by the copy they are in */
  readonly sending: Readonly<Record<Path, Sending>>;
  /** whether what is sent succeeds */
  readonly answersWell: boolean;
}

/**
 * Where a clip is: at a moment (ms) since a time of the machine, going on from there while it
 * plays.
 */
export interface ClipState {
  readonly playing: boolean;
  readonly moment: number;
  readonly since: number;
}

interface ScrollState {
  /** how far layers are scrolled, px */
  readonly offsets: Readonly<Record<Path, number>>;
  /** which are in sight of those that listen for that */
  readonly inSight: readonly Path[];
}

/**
 * A wait that is running. `source` is the layer that is being held, for `hold` alone; `clip` the
 * layer whose clip gets somewhere (no rule: to its end).
 */
export interface Timer {
  readonly at: Path;
  readonly rule: Id;
  readonly due: number;
  readonly source?: Path;
  readonly clip?: Path;
}

interface TimersState {
  readonly waits: readonly Timer[];
  /** delay rules whose condition holds and whose wait has begun, by "path rule" */
  readonly scheduled: Readonly<Record<string, true>>;
  /** when the motions of a copy that listens for that will have ended, ms, by path */
  readonly settling: Readonly<Record<Path, number>>;
  /** rules stopped after a loop, by "path rule" */
  readonly stopped: Readonly<Record<string, true>>;
}

/** A screen that lies over others; `returnTo` is what was focused when it opened. */
interface Overlay {
  readonly screen: Id;
  readonly returnTo: Path | null;
  /** how it came; it goes alike when nothing else is said */
  readonly motion: Motion;
}

/** Traits that go back when a contact ends. */
export interface Revert {
  readonly at: Path;
  readonly rule: Id;
  readonly source: Path;
  readonly cause: "hover" | "press" | "focus";
  readonly serial: number;
  readonly motion: Motion;
  /** whether that is said of the way back alone */
  readonly ownTime: boolean;
  /** trait, or "option:" and an option → what it was, and who had set that */
  readonly before: Readonly<
    Record<Id, { readonly value: SpecifiedValue | undefined; readonly writer: number }>
  >;
}

/** The whole discrete state of a running piece; immutable. */
export interface State {
  /** ms since the start */
  readonly now: number;
  readonly screen: Id;
  readonly history: readonly Id[];
  /** screens shown over the shown piece, the last in front */
  readonly overlays: readonly Overlay[];
  /** traits by instance path; instances not named are in their starting variant */
  readonly traits: Readonly<Record<Path, Variant>>;
  /** options that rules have set, by instance path */
  readonly options: Readonly<Record<Path, Readonly<Record<Id, SpecifiedValue>>>>;
  /** serial number of the last writer of a trait or an option, by "path trait" */
  readonly writers: Readonly<Record<string, number>>;
  /** the serial number given last */
  readonly serial: number;
  readonly reverts: readonly Revert[];
  readonly pointer: PointerState;
  readonly keyboard: KeyboardState;
  readonly forms: FormsState;
  /** clips that have been played or halted, by layer */
  readonly clips: Readonly<Record<Path, ClipState>>;
  readonly scroll: ScrollState;
  readonly timers: TimersState;
}

/** A part of a state while it is being made. */
export type Draft<T> = { -readonly [K in keyof T]: T[K] };

// A copy that names each field is many times faster than a spread one: the engine then knows its
// shape beforehand.

/** A copy of a state, to be changed before anybody sees it. */
export const copyOf = (s: State): Draft<State> => ({
  now: s.now,
  screen: s.screen,
  history: s.history,
  overlays: s.overlays,
  traits: s.traits,
  options: s.options,
  writers: s.writers,
  serial: s.serial,
  reverts: s.reverts,
  pointer: s.pointer,
  keyboard: s.keyboard,
  forms: s.forms,
  clips: s.clips,
  scroll: s.scroll,
  timers: s.timers,
});

type Part = "pointer" | "keyboard" | "forms" | "scroll" | "timers";

/** The state with something of one part changed; the other parts stay the same objects. */
export const changed = <P extends Part>(
  state: State,
  part: P,
  changes: Partial<State[P]>,
): State => {
  const next: Draft<State> = copyOf(state);
  next[part] = { ...state[part], ...changes };
  return next;
};

/** The state of a piece in which nothing has happened yet. */
export const initialState = (piece: Id, now: number): State => ({
  now,
  screen: piece,
  history: [],
  overlays: [],
  traits: {},
  options: {},
  writers: {},
  serial: 1,
  reverts: [],
  pointer: {
    over: [],
    pressed: null,
    grip: null,
    trail: [],
    drag: null,
    heldIn: [],
    clicked: null,
  },
  keyboard: { focused: [], shown: false, refocus: null, pressing: null },
  forms: { entries: {}, sending: {}, answersWell: true },
  clips: {},
  scroll: { offsets: {}, inSight: [] },
  timers: { waits: [], scheduled: {}, settling: {}, stopped: {} },
});

/** Nothing is pressed any more, and nobody waits for a long press. */
export const unpressed = (state: State): State => ({
  ...state,
  pointer: { ...state.pointer, pressed: null, grip: null, heldIn: [] },
  keyboard: { ...state.keyboard, pressing: null },
  timers: { ...state.timers, waits: state.timers.waits.filter((t) => t.source === undefined) },
});

/** Nothing is pointed at, pressed, dragged or focused. */
export const untouched = (state: State): State => ({
  ...state,
  pointer: {
    ...state.pointer,
    over: [],
    pressed: null,
    grip: null,
    drag: null,
    heldIn: [],
    clicked: null,
  },
  keyboard: { ...state.keyboard, focused: [], shown: false, pressing: null },
});
