import type { Id } from "../basics";
import type { Motion, Rule, TriggerType } from "../project";
import type { State } from "./state";
import type { Path, Point } from "./types";

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
      /** whether the rule says a motion for the way back alone */
      readonly ownTime: boolean;
    }
  | {
      readonly type: "shown";
      readonly path: Path;
      readonly sets: readonly TraitSet[];
      readonly motion: Motion;
    }
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
      /** the layer that keeps with the hand; null along a line */
      readonly carries: Carrying | null;
    }
  | {
      readonly type: "dropped";
      readonly path: Path;
      readonly rule: Id;
      readonly done: boolean;
      readonly motion: Motion;
      readonly carries: Carrying | null;
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

/**
 * A layer that keeps with the hand: how far it has come, px, how far it may lean, degrees, and the
 * whole motion of its rule.
 */
export interface Carrying {
  readonly source: Path;
  readonly by: Point;
  readonly lean: number;
  readonly motion: Motion;
}

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
