import type { Id } from "../basics";
import type { Motion, Piece, Rule, TriggerType, Variant } from "../project";
import type { SpecifiedValue } from "../properties";

/**
 * Where something is in a running piece: the shown piece's id, then instance layers, then perhaps a
 * layer; joined by "/".
 */
export type Path = string;

/**
 * Normalised input. Layer paths are relative to the shown piece ("inst/layer"); null is outside of
 * everything.
 */
export type Input =
  | { readonly type: "over"; readonly layer: Path | null }
  /** where the pointer is, px of the shown piece: drags follow it */
  | { readonly type: "move"; readonly x: number; readonly y: number }
  | { readonly type: "down" }
  | { readonly type: "up" }
  | { readonly type: "cancel" }
  /** the keyboard's focus goes to a layer, or away */
  | { readonly type: "focus"; readonly layer: Path | null }
  /** a key as KeyboardEvent.key says it */
  | { readonly type: "key"; readonly key: string; readonly phase: "down" | "up" }
  /** a layer has been scrolled to a place, px */
  | { readonly type: "scroll"; readonly layer: Path; readonly to: number }
  /** layers that listen for it and are in sight now */
  | { readonly type: "seen"; readonly layers: readonly Path[] }
  /** whether forms that are sent succeed from now on: what stands for their receiver is told so */
  | { readonly type: "answer"; readonly well: boolean }
  /** sets a trait from outside: a switch in Try, a presenter */
  | { readonly type: "show"; readonly at: Path; readonly trait: Id; readonly value: Id }
  | { readonly type: "screen"; readonly screen: Id };

/** A placed copy that is part of the scene. */
export interface ActiveInstance {
  readonly path: Path;
  readonly piece: Piece;
  readonly variant: Variant;
}

export type Point = readonly [x: number, y: number];

/** A drag under way: whose rule, on which layer, and how far of the way (0–1). */
export interface ActiveDrag {
  readonly at: Path;
  readonly rule: Id;
  readonly source: Path;
  readonly progress: number;
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

/**
 * Where a clip is: at a moment (ms) since a time of the machine, going on from there while it
 * plays.
 */
export interface ClipState {
  readonly playing: boolean;
  readonly moment: number;
  readonly since: number;
}

/** A form on its way: by which layer it was sent, and when the answer comes. */
interface Sending {
  readonly source: Path;
  readonly due: number;
}

/** A screen that lies over others; `returnTo` is what was focused when it opened. */
interface Overlay {
  readonly screen: Id;
  readonly returnTo: Path | null;
  /** how it came; it goes alike when nothing else is said */ readonly motion: Motion;
}

/** Traits that go back when a contact ends. */
export interface Revert {
  readonly at: Path;
  readonly rule: Id;
  readonly source: Path;
  readonly cause: "hover" | "press" | "focus";
  readonly serial: number;
  readonly motion: Motion;
  /** trait, or "option:" and an option → what it was, and who had set that */
  readonly before: Readonly<
    Record<Id, { readonly value: SpecifiedValue | undefined; readonly writer: number }>
  >;
}

/** The whole discrete state of a running piece; immutable. */
export interface State {
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
  readonly serial: number;
  readonly timers: readonly Timer[];
  /** delay rules whose condition holds and that have started, by "path rule" */
  readonly armed: Readonly<Record<string, true>>;
  readonly holds: readonly Revert[];
  /** layers under the pointer, innermost first */
  readonly over: readonly Path[];
  /** layers the pointer was pressed on, innermost first; null when it is up */
  readonly pressed: readonly Path[] | null;
  /** where the pointer pressed, and where it was in the last moments; px */
  readonly grip: Point | null;
  readonly trail: readonly { readonly at: number; readonly point: Point }[];
  readonly drag: ActiveDrag | null;
  /** the key that presses, when it is no pointer */
  readonly byKey: string | null;
  /** copies in which this press has become a hold: it is no click there any more */
  readonly heldIn: readonly Path[];
  /** the last click, which a second one may make a double click */
  readonly clicked: { readonly chain: readonly Path[]; readonly at: number } | null;
  /** layers that hold the keyboard's focus, innermost first */
  readonly focused: readonly Path[];
  /** where the keyboard's focus goes next, after an overlay has closed; as inputs name layers */
  readonly refocus: Path | null;
  /** clips that have been played or halted, by layer */
  readonly clips: Readonly<Record<Path, ClipState>>;
  /** how far layers are scrolled, px, and which are in sight of those that listen for that */
  readonly scrolled: Readonly<Record<Path, number>>;
  readonly seen: readonly Path[];
  /** what has been filled in, by layer */
  readonly entries: Readonly<Record<Path, string>>;
  /** forms on their way, by the copy they are in */
  readonly sending: Readonly<Record<Path, Sending>>;
  readonly answersWell: boolean;
  /** when the motions of a copy that listens for that will have ended, ms, by path */
  readonly settling: Readonly<Record<Path, number>>;
  /** rules stopped after a loop, by "path rule" */
  readonly stopped: Readonly<Record<string, true>>;
}

/** What a step did, for the log and for motion. `state` is the state right after it. */
export type MachineEvent = { readonly at: number; readonly state: State } & (
  | {
      readonly type: "fired";
      readonly path: Path;
      readonly rule: Id;
      readonly trigger: TriggerType;
      readonly sets: readonly TraitSet[];
      /** what it set in copies inside */ readonly inner: readonly {
        readonly path: Path;
        readonly sets: readonly TraitSet[];
      }[];
      /** what was said with one motion, in order */ readonly moves: readonly Move[];
      readonly motion: Motion;
    }
  | { readonly type: "lost"; readonly path: Path; readonly rule: Id; readonly to: Id }
  | {
      readonly type: "undone";
      readonly path: Path;
      readonly rule: Id;
      readonly sets: readonly TraitSet[];
      readonly motion: Motion;
    }
  | { readonly type: "shown"; readonly path: Path; readonly sets: readonly TraitSet[] }
  | {
      readonly type: "navigated";
      readonly path: Path;
      readonly rule: Id | null;
      readonly from: Id;
      readonly to: Id;
      readonly motion: Motion;
    }
  | {
      readonly type: "opened";
      readonly path: Path;
      readonly rule: Id | null;
      readonly screen: Id;
      readonly motion: Motion;
    }
  | {
      readonly type: "closed";
      readonly path: Path;
      readonly rule: Id | null;
      readonly screen: Id;
      readonly motion: Motion;
    }
  | {
      readonly type: "dragging";
      readonly path: Path;
      readonly rule: Id;
      readonly progress: number;
      readonly motion: Motion;
    }
  | {
      readonly type: "dropped";
      readonly path: Path;
      readonly rule: Id;
      readonly done: boolean;
      readonly motion: Motion;
    }
  | { readonly type: "loop"; readonly rules: readonly { readonly path: Path; readonly rule: Id }[] }
  | { readonly type: "signalled"; readonly path: Path; readonly signal: Id }
  | { readonly type: "address"; readonly path: Path; readonly to: string }
  | { readonly type: "scrolled"; readonly path: Path }
  | { readonly type: "scrollTo"; readonly path: Path; readonly layer: Id; readonly motion: Motion }
  | { readonly type: "filled"; readonly path: Path; readonly layer: Id; readonly text: string }
  | {
      readonly type: "sending";
      readonly path: Path;
      readonly fields: readonly { readonly layer: Id; readonly text: string }[];
    }
  | {
      readonly type: "clip";
      readonly path: Path;
      readonly layer: Id;
      readonly what: "played" | "paused" | "reached" | "ended";
    }
  | { readonly type: "missed"; readonly layer: Path }
  | { readonly type: "leftPressed"; readonly layer: Path }
);

/** A copy as it is after a part of a rule's effects, and how it gets there. */
export interface Move {
  readonly state: State;
  readonly path: Path;
  readonly motion: Motion;
}

export interface TraitSet {
  readonly trait: Id;
  readonly from: Id;
  readonly to: Id;
}

/** Tells what happened, in order. */
export type Emit = (event: MachineEvent) => void;

/** Whether a rule answers what happens. */
export type RuleFilter = (rule: Rule) => boolean;
