import type { Id } from "../basics";
import type { Origin } from "./adoption";
import type { EffectOf, EffectType } from "./effects";
import type { Trigger } from "./triggers";
import type { LayerKind, SpecifiedValue, Value } from "../properties";

/** A node of a piece's one tree. How it looks is said by looks, never here. */
export interface Layer {
  readonly id: Id;
  readonly kind: LayerKind;
  readonly name: string;
  /** null only for the piece's root layer */
  readonly parent: Id | null;
  readonly order: string;
  /** cannot be chosen or moved on the stage */
  readonly locked?: boolean;
}

export interface TraitValue {
  readonly id: Id;
  readonly name: string;
  readonly order: string;
}

/** The states of WAI-ARIA 1.2 (§6.6) that a trait can stand for. */
export const ariaStates = [
  "checked",
  "selected",
  "pressed",
  "expanded",
  "disabled",
  "current",
] as const;
export type AriaState = (typeof ariaStates)[number];

/** What a trait tells assistive technology: the state it stands for, and in which values. */
export interface TraitAria {
  readonly state: AriaState;
  /** the values in which it is so; in the others it is not */
  readonly on: readonly Id[];
  /** the values in which it is partly so, as of a box over boxes of which some are checked */
  readonly mixed?: readonly Id[] | undefined;
}

/** A dimension along which a piece varies. */
export interface Trait {
  readonly id: Id;
  readonly name: string;
  readonly order: string;
  /** index into the patterned swatches */
  readonly pattern: number;
  /** the resting value; null: the first */
  readonly rest: Id | null;
  readonly values: Readonly<Record<Id, TraitValue>>;
  /** without it, it is something one only sees */
  readonly aria?: TraitAria | undefined;
  /** how it changes where it is shown directly, and what is proposed for its rules */
  readonly motion?: Motion | undefined;
}

/** Which values each named trait may have; traits not named may have any. */
export type Condition = Readonly<Record<Id, readonly Id[]>>;

/** One value for every trait of a piece. */
export type Variant = Readonly<Record<Id, Id>>;

export type LayerChanges = Readonly<Record<string, SpecifiedValue>>;

/** What differs while a condition holds. The base look has an empty condition. */
export interface Look {
  readonly id: Id;
  readonly when: Condition;
  readonly order: string;
  readonly changes: Readonly<Record<Id, LayerChanges>>;
}

/**
 * What of a layer a placed copy may set: its text, whether it shows, its picture, icon or colour,
 * or which component stands there.
 */
export const optionKeys = [
  "text",
  "visible",
  "picture",
  "icon",
  "fill",
  "component",
  "label",
] as const;
/**
 * Of a nested copy also its own traits ("trait:ID") and options ("option:ID"), shown to the
 * outside.
 */
export type OptionKey = (typeof optionKeys)[number] | `trait:${Id}` | `option:${Id}`;

/** Something a placed copy may set. */
export interface Option {
  readonly id: Id;
  readonly name: string;
  readonly order: string;
  readonly layer: Id;
  readonly key: OptionKey;
}

/**
 * What the designer says about variants: the name of one, or that those where a condition holds are
 * not used.
 */
export interface VariantNote {
  readonly id: Id;
  readonly order: string;
  readonly when: Condition;
  readonly name: string | null;
  readonly unused: boolean;
}

/**
 * A picture under the stage to measure and trace: no part of the piece. Place and width in px of
 * the piece.
 */
export interface Reference {
  readonly picture: Id;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly opacity: number;
}

/**
 * A damped spring: mass (kg), stiffness (N/m), damping (kg/s). How long it takes follows from
 * these.
 */
export interface Spring {
  readonly kind: "spring";
  readonly mass: number;
  readonly stiffness: number;
  readonly damping: number;
}

/**
 * How a change goes on in time: a CSS easing keyword, the four numbers of a cubic Bézier, CSS
 * steps, something dropped that bounces (`keeps`: the share of its height it comes up to again),
 * something that winds up first (`back`: how far), or a spring.
 */
export type Easing =
  | "linear"
  | "ease"
  | "ease-in"
  | "ease-out"
  | "ease-in-out"
  | readonly [number, number, number, number]
  | {
      readonly kind: "steps";
      readonly count: number;
      readonly jump: "start" | "end" | "both" | "none";
    }
  | { readonly kind: "bounce"; readonly times: number; readonly keeps: number }
  | { readonly kind: "windup"; readonly back: number }
  | Spring;

/** A value a lane goes through: when (a share of its time), and how it gets there. */
export interface Pose {
  readonly at: number;
  readonly value: Value;
  readonly easing: Easing;
  /** the token that says its easing instead */
  readonly token?: Id | undefined;
  /** the token that says its value instead */
  readonly valueToken?: Id | undefined;
}

/**
 * A layer, or one property of it, with a time of its own within a motion; ms from the motion's
 * begin.
 */
export interface Lane {
  readonly layer: Id;
  /**
   * a property's key, "presence" for appearing and vanishing; null: all of the layer and of what is
   * inside it
   */
  readonly key: string | null;
  readonly delay: number;
  readonly duration: number;
  readonly easing: Easing;
  /** the tokens that say its delay, duration and easing instead */
  readonly parts?: MotionParts | undefined;
  /** in order of time; only for one property */
  readonly poses?: readonly Pose[] | undefined;
  /** how often it is gone through; 0: for ever */
  readonly times?: number | undefined;
  /** goes there and back in turn */
  readonly turns?: boolean | undefined;
}

export const motionKinds = ["cut", "fade", "tween", "slide", "push", "rise"] as const;
export const directions = ["left", "right", "up", "down"] as const;
type Direction = (typeof directions)[number];

/**
 * How a change of look is shown over time; ms. A spring takes its own time instead of the duration.
 */
export interface Motion {
  readonly kind: (typeof motionKinds)[number];
  readonly duration: number;
  readonly delay: number;
  readonly easing: Easing;
  /** the token that says duration, easing and delay instead */
  readonly token?: Id | undefined;
  /** the tokens that say single parts of it instead */
  readonly parts?: MotionParts | undefined;
  /** slide and push only: where what comes moves to */
  readonly to?: Direction | undefined;
  /** when layers change places in depth; in the middle when nothing is said */
  readonly restacks?: "start" | "middle" | "end" | undefined;
  readonly lanes?: readonly Lane[] | undefined;
}

/** Tokens that say parts of a motion. */
export interface MotionParts {
  readonly duration?: Id | undefined;
  readonly delay?: Id | undefined;
  readonly easing?: Id | undefined;
}

/** A named message a piece can send to whatever contains it. */
export interface Signal {
  readonly id: Id;
  readonly name: string;
  readonly order: string;
}

/** What a trait is given: a value, or one found from the present one. */
export type TraitTarget =
  { readonly value: Id } | { readonly step: "next" | "previous" | "opposite" | "first" };

/** One thing a rule does; what each kind says is in its folder of the vocabulary. */
type EffectAction = EffectOf<EffectType>;

/** One thing a rule does, with a motion of its own or with the rule's. */
export type Effect = EffectAction & { readonly motion?: Motion | undefined };

export const overlayPlaces = ["centre", "top", "bottom", "start", "end"] as const;

/**
 * How a screen lies over others: where, how much what is beneath is dimmed (0–1), and whether a
 * press outside or Escape closes it.
 */
export interface OverlayStyle {
  readonly place: (typeof overlayPlaces)[number];
  readonly dim: number;
  readonly closes: boolean;
}

/**
 * When a trigger happens on a layer (or the whole piece), while a condition holds: effects, with a
 * motion.
 */
export interface Rule {
  readonly id: Id;
  readonly order: string;
  readonly on: boolean;
  readonly trigger: Trigger;
  /** null: the whole piece */
  readonly source: Id | null;
  readonly when: Condition;
  readonly effects: readonly Effect[];
  /** hover, press, hold and focus only: put the traits back when the contact ends */
  readonly undo: boolean;
  readonly motion: Motion;
  /**
   * how what is undone goes back; without it as it came, or along with the click that ends the
   * press
   */
  readonly back?: Motion | undefined;
}

/**
 * One step of a rehearsal. Layers are named by their path within the piece ("copy/layer"); "point"
 * goes to a layer's middle, or off the piece; "settle" waits until nothing moves; times in ms, ways
 * in px.
 */
export type Step =
  | { readonly do: "point"; readonly layer: string | null }
  | { readonly do: "press" }
  | { readonly do: "release" }
  | { readonly do: "click" | "tap"; readonly layer: string }
  | {
      readonly do: "drag";
      readonly layer: string;
      readonly by: readonly [number, number];
      readonly ms: number;
    }
  | { readonly do: "key"; readonly key: string }
  /** an entry has this text now, however it came: typed, pasted, chosen from a list */
  | { readonly do: "fill"; readonly layer: string; readonly text: string }
  | { readonly do: "tab"; readonly back: boolean }
  /** the keyboard's focus goes straight to a layer, or away */
  | { readonly do: "focus"; readonly layer: string | null }
  | { readonly do: "wait"; readonly ms: number }
  | { readonly do: "settle" }
  /** scrolls a layer by px, down or across */
  | { readonly do: "scroll"; readonly layer: string; readonly by: number }
  /** what the stand-in for whoever receives forms answers from now on */
  | { readonly do: "answer"; readonly well: boolean }
  | { readonly do: "show"; readonly at: string; readonly trait: Id; readonly value: Id }
  /** expectations: `at` is the path of a copy, "" for the piece itself */
  | { readonly do: "trait"; readonly at: string; readonly trait: Id; readonly value: Id }
  | { readonly do: "text"; readonly text: string; readonly shown: boolean }
  | {
      readonly do: "layer";
      readonly layer: string;
      readonly key: string;
      readonly value: number | string | boolean;
      readonly within: number;
    }
  | { readonly do: "screen"; readonly screen: Id };

/** What someone does with a piece and what must come of it; replayed on the virtual clock. */
export interface Rehearsal {
  readonly id: Id;
  readonly name: string;
  readonly order: string;
  readonly steps: readonly Step[];
}

/** A finding that is as it should be, and why; its id is the finding's. */
export interface Acceptance {
  readonly id: Id;
  readonly reason: string;
}

/** How far a component is: not to be used yet, to be used, or not any more, and what instead. */
export type Status = "draft" | "ready" | { readonly supersededBy: Id | null };

/** What is written about a component for those who use it; Markdown. */
export interface About {
  readonly description?: string | undefined;
  /** when to use it, and when not */
  readonly use?: string | undefined;
  readonly avoid?: string | undefined;
}

export const advices = ["plain", "do", "avoid"] as const;

/** A component shown running with certain traits and options: as an example to follow, or not to. */
export interface Sample {
  readonly id: Id;
  readonly order: string;
  readonly caption: string;
  readonly advice: (typeof advices)[number];
  /** by "trait:ID" and "option:ID", as a placed copy says them */
  readonly values: Readonly<Record<string, SpecifiedValue>>;
}

/** A component or a screen; both have the same anatomy. Its root layer has the id "root". */
export interface Piece {
  readonly id: Id;
  readonly kind: "component" | "screen";
  readonly name: string;
  readonly order: string;
  readonly traits: Readonly<Record<Id, Trait>>;
  readonly layers: Readonly<Record<Id, Layer>>;
  readonly looks: Readonly<Record<Id, Look>>;
  readonly rules: Readonly<Record<Id, Rule>>;
  readonly options: Readonly<Record<Id, Option>>;
  readonly signals: Readonly<Record<Id, Signal>>;
  readonly notes: Readonly<Record<Id, VariantNote>>;
  readonly rehearsals: Readonly<Record<Id, Rehearsal>>;
  readonly accepted: Readonly<Record<Id, Acceptance>>;
  readonly samples: Readonly<Record<Id, Sample>>;
  readonly reference: Reference | null;
  /** screens only; without it in the middle, dimmed, and closed by a press outside */
  readonly overlay?: OverlayStyle | undefined;
  /** the group of the library it stands in */
  readonly group?: string | undefined;
  /** without one: a draft */
  readonly status?: Status | undefined;
  /** the system it was taken from */
  readonly origin?: Origin | undefined;
  readonly about?: About | undefined;
}

/** What of a piece its variants follow from: its traits, and notes about which are not used. */
export type Varying = Pick<Piece, "traits" | "notes">;

export const ROOT = "root";
export const BASE = "base";
