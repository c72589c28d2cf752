import type { Trouble } from "./trouble";
import type { Id } from "../../basics";
import type { EffectOf, EffectType, Motion, Piece, Project, TraitTarget } from "../../project";
import type { SpecifiedValue } from "../../properties";
import type { Emit } from "../events";
import type { State } from "../state";
import type { ActiveInstance, Path } from "../types";
import type { Ask } from "./asks";

/** Why an effect of a piece cannot work, in words; null when it can. */
export type EffectTrouble<K extends EffectType> = (
  project: Project,
  piece: Piece,
  effect: EffectOf<K>,
) => Trouble | null;

/** What an effect gives a trait or an option; `copy` null: of the piece itself. */
type Setting =
  | { readonly copy: Id | null; readonly trait: Id; readonly to: TraitTarget }
  | { readonly copy: Id; readonly option: Id; readonly value: SpecifiedValue };

/** Lets the rules of one layer that answer compete and fire; says whether there was any. */
type FireOn = (
  project: Project,
  state: State,
  live: ActiveInstance,
  layer: Id,
  asked: Ask,
  emit: Emit,
) => { state: State; any: boolean };

/** Where an effect works: in which state, of which rule of which copy, and with which motion. */
export interface Doing {
  readonly project: Project;
  readonly state: State;
  readonly cause: { readonly path: Path; readonly rule: Id };
  readonly motion: Motion;
  readonly emit: Emit;
  readonly fireOn: FireOn;
}

/** What a kind of effect is to the machine. */
export interface EffectFacet<K extends EffectType> {
  /** what its motion is shown by: the piece as it stands, the change of screens, or nothing */
  readonly shows: "piece" | "screens" | "nothing";
  /**
   * What it takes hold of: rules of one event that take hold of the same thing compete. Null: it
   * never competes.
   */
  readonly claim: (effect: EffectOf<K>) => string | null;
  /** the trait or option it sets; what is set with one motion is set at once, before all else */
  readonly sets?: (effect: EffectOf<K>) => Setting;
  /** what it does beside setting */
  readonly apply?: (effect: EffectOf<K>, doing: Doing) => State;
  /** the lanes of the rule's motion run, whatever is set */
  readonly runsLanes?: true;
}
