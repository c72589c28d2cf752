import type { Value } from "../properties/types";

export type Id = string;

/** What kinds of layer a piece can hold. A box without children is a rectangle. */
export const layerKinds = ["box", "ellipse", "path", "text", "instance"] as const;
export type LayerKind = (typeof layerKinds)[number];

/** A node of a piece's one tree. How it looks is said by looks, never here. */
export interface Layer {
  readonly id: Id;
  readonly kind: LayerKind;
  readonly name: string;
  /** null only for the piece's root layer */
  readonly parent: Id | null;
  readonly order: string;
}

export interface TraitValue {
  readonly id: Id;
  readonly name: string;
  readonly order: string;
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
}

/** Which values each named trait may have; traits not named may have any. */
export type Condition = Readonly<Record<Id, readonly Id[]>>;

/** One value for every trait of a piece. */
export type Variant = Readonly<Record<Id, Id>>;

export type LayerChanges = Readonly<Record<string, Value>>;

/** What differs while a condition holds. The base look has an empty condition. */
export interface Look {
  readonly id: Id;
  readonly when: Condition;
  readonly order: string;
  readonly changes: Readonly<Record<Id, LayerChanges>>;
}

/** Something a placed copy may set: the text of a layer, or whether it shows. */
export interface Option {
  readonly id: Id;
  readonly name: string;
  readonly order: string;
  readonly layer: Id;
  readonly key: "text" | "visible";
}

/** CSS easing keyword, or the four numbers of a cubic Bézier. */
export type Easing = "linear" | "ease" | "ease-in" | "ease-out" | "ease-in-out" | readonly [number, number, number, number];

/** How a change of look is shown over time; ms. */
export interface Motion {
  readonly kind: "cut" | "fade" | "tween";
  readonly duration: number;
  readonly delay: number;
  readonly easing: Easing;
}

export const triggerTypes = ["click", "press", "release", "enter", "leave", "hover", "delay"] as const;
export type TriggerType = (typeof triggerTypes)[number];

export interface Trigger {
  readonly type: TriggerType;
  /** delay only: ms after the condition becomes true */
  readonly ms?: number | undefined;
}

export type Effect =
  | { readonly type: "set"; readonly trait: Id; readonly to: { readonly value: Id } | { readonly step: "next" | "previous" | "opposite" } }
  | { readonly type: "go"; readonly screen: Id }
  | { readonly type: "back" };

/** When a trigger happens on a layer (or the whole piece), while a condition holds: effects, with a motion. */
export interface Rule {
  readonly id: Id;
  readonly order: string;
  readonly on: boolean;
  readonly trigger: Trigger;
  /** null: the whole piece */
  readonly source: Id | null;
  readonly when: Condition;
  readonly effects: readonly Effect[];
  /** hover and press only: put the traits back when the contact ends */
  readonly undo: boolean;
  readonly motion: Motion;
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
}

export interface Project {
  readonly format: 1;
  readonly name: string;
  /** the screen a prototype starts on; null: the first */
  readonly start: Id | null;
  readonly pieces: Readonly<Record<Id, Piece>>;
}

export const ROOT = "root";
export const BASE = "base";
