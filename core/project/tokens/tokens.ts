import type { Id } from "../../basics";
import type { Bound, Gradient, Shadow, Stop, Value } from "../../properties";
import type { Condition, Easing, LayerChanges, Trait } from "../types";

export const tokenTypes = [
  "colour",
  "gradient",
  "length",
  "number",
  "style",
  "family",
  "weight",
  "shadow",
  "border",
  "stroke",
  "duration",
  "curve",
  "motion",
  "other",
] as const;
export type TokenType = (typeof tokenTypes)[number];

/** What a text style says; keys as in the registry. */
export type StyleValue = Readonly<Record<string, Value>>;
/** What a motion token holds; ms. */
export interface MotionValue {
  readonly duration: number;
  readonly easing: Easing;
  readonly delay?: number | undefined;
}
/** The line around a layer: its colour, its width (px) and a style of the registry. */
export interface BorderValue {
  readonly colour: string;
  readonly width: number;
  readonly style: string;
}
/** What is of no use here and only kept: its type elsewhere, and its value as JSON. */
export interface OtherValue {
  readonly kind: string | null;
  readonly json: string;
}
/** What tokens of each type come to. */
export interface TokenValues {
  readonly colour: string;
  readonly gradient: Gradient;
  readonly length: number;
  readonly number: number;
  readonly style: StyleValue;
  readonly family: string;
  readonly weight: string;
  readonly shadow: readonly Shadow[];
  readonly border: BorderValue;
  readonly stroke: string;
  readonly duration: number;
  readonly curve: Easing;
  readonly motion: MotionValue;
  readonly other: OtherValue;
}

/** What a token comes to. */
export type TokenValue =
  | string
  | number
  | Gradient
  | readonly Shadow[]
  | StyleValue
  | BorderValue
  | Exclude<Easing, string>
  | MotionValue
  | OtherValue;

/** A part of a token's value: said, or taken from another token. */
export type Part<T> = T | Bound;
/** A value whose parts may each be taken from another token. */
export type Parts<T> = { readonly [K in keyof T]: Part<T[K]> };
type WithStops<G> = G extends { readonly stops: unknown }
  ? Omit<G, "stops"> & { readonly stops: readonly Parts<Stop>[] }
  : never;
export type GradientParts = WithStops<Gradient>;
/** A text style of which some values are tokens. */
export type SpecifiedStyle = LayerChanges;

/** What a token says, before the tokens it takes parts from are put in. */
export type SpecifiedTokenValue =
  | string
  | number
  | GradientParts
  | readonly Parts<Shadow>[]
  | SpecifiedStyle
  | Parts<BorderValue>
  | Exclude<Easing, string>
  | Parts<MotionValue>
  | OtherValue;

/** The value of another token. */
export interface Alias {
  readonly alias: Id;
}

/** What a token says while themes have certain values. */
export interface TokenLook {
  readonly id: Id;
  readonly when: Condition;
  readonly order: string;
  readonly value: SpecifiedTokenValue | Alias;
  /** as of tokens */
  readonly written?: string | undefined;
}

/**
 * A named value of the design system that properties refer to. An alias takes the value of another
 * token of its type.
 */
export interface Token {
  readonly id: Id;
  readonly type: TokenType;
  readonly name: string;
  /** tokens of one group are shown together; groups inside groups by a slash; "" for none */
  readonly group: string;
  readonly order: string;
  readonly value: SpecifiedTokenValue | Alias;
  /** what it says in themes, by the cascade of looks */
  readonly looks?: Readonly<Record<Id, TokenLook>> | undefined;
  /** what it is for */
  readonly about?: string | undefined;
  /** not to be used any more, and what instead */
  readonly deprecated?: boolean | string | undefined;
  /** what other programs say of it in a file, as JSON */
  readonly extensions?: string | undefined;
  /** the value as the file it came from wrote it, as JSON; counts as long as it means the value */
  readonly written?: string | undefined;
}

/** What is said of a group of tokens. */
export interface TokenGroup {
  readonly id: Id;
  readonly order: string;
  /** as tokens name it */
  readonly name: string;
  readonly about?: string | undefined;
  readonly deprecated?: boolean | string | undefined;
  readonly extensions?: string | undefined;
}

/** A trait of the whole project, such as day and night: who looks at it chooses its value. */
export type Theme = Pick<Trait, "id" | "name" | "order" | "pattern" | "rest" | "values">;
