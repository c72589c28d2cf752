import type { Id } from "../../basics";
import type { Path, State, Timer } from "../../machine";
import type { TriggerType, Variant } from "../../project";

/** By what something is done. What is at rest can be gone on with by any of them. */
export type Mode = "rest" | "mouse" | "touch" | "keys";

/** One thing that can be done, or a wait that may end. */
export type Doing =
  | { readonly do: "point"; readonly layer: Path | null }
  | { readonly do: "press" }
  | { readonly do: "release" }
  | { readonly do: "pause" }
  | { readonly do: "finger"; readonly layer: Path }
  | { readonly do: "lift" }
  | { readonly do: "drag"; readonly layer: Path; readonly by: readonly [number, number] }
  | { readonly do: "key"; readonly key: string; readonly phase: "down" | "up" }
  | { readonly do: "focus"; readonly layer: Path | null }
  | { readonly do: "see"; readonly layer: Path }
  | { readonly do: "answer"; readonly path: Path; readonly well: boolean }
  | { readonly do: "wait"; readonly timer: Timer }
  | { readonly do: "settle"; readonly path: Path }
  | { readonly do: "show"; readonly trait: Id; readonly value: Id };

/**
 * What the checks want to know of an event of the machine: which rule of which copy, and in which
 * variant the piece was after it.
 */
export type Happening = { readonly variant: Variant } & (
  | {
      readonly type: "fired";
      readonly path: Path;
      readonly rule: Id;
      readonly trigger: TriggerType;
    }
  | { readonly type: "undone"; readonly path: Path; readonly rule: Id }
  | { readonly type: "lost"; readonly path: Path; readonly rule: Id; readonly to: Id }
  | { readonly type: "shown"; readonly path: Path }
  | { readonly type: "loop"; readonly rules: readonly { readonly path: Path; readonly rule: Id }[] }
);

/** A situation: all traits, with what is pointed at, pressed and waited for. */
export interface Node {
  /** in the order in which situations were found, from 0 */
  readonly number: number;
  readonly mode: Mode;
  /** the number of what is shown: equal numbers look and answer alike */
  readonly shown: number;
  /** how one gets here first */
  readonly from: { readonly node: Node; readonly does: Doing } | null;
  /** traits of the shown piece */
  readonly variant: Variant;
  /** whether it is the piece itself that is shown, and whether nothing lies over it */
  readonly isHere: boolean;
  readonly isOpen: boolean;
}

/** What leads from one situation to another. Equal happenings are one object. */
export interface Edge {
  readonly from: Node;
  readonly to: Node;
  readonly does: Doing;
  /** by what it is done; waits end by themselves */
  readonly by: Mode;
  readonly happened: readonly Happening[];
}

/** A situation with the state of the machine in it. */
export interface Situated {
  readonly node: Node;
  readonly state: State;
}
