import type { Id } from "../basics";
import type { Variant } from "../project";

/** What a difference asks of those who use a system: nothing, nothing but offers, or something. */
export const weights = ["patch", "feature", "breaking"] as const;
export type Weight = (typeof weights)[number];

/**
 * The kinds of difference between two editions, and what each asks: what is gone or starts
 * otherwise breaks, what is new is a feature, what only looks or reads otherwise is a patch. A new
 * name is a feature, as the old one goes on to be understood; so is that something shall not be used
 * any more (Semantic Versioning 2.0.0, 7).
 */
export const kinds = {
  "component-removed": "breaking",
  "component-added": "feature",
  "component-renamed": "feature",
  "component-superseded": "feature",
  "status-changed": "patch",
  "description-changed": "patch",
  "samples-changed": "patch",
  "trait-removed": "breaking",
  "trait-added": "feature",
  "trait-renamed": "feature",
  "trait-starts": "breaking",
  "trait-says": "breaking",
  "trait-moves": "patch",
  "value-removed": "breaking",
  "value-added": "feature",
  "value-renamed": "feature",
  "option-removed": "breaking",
  "option-added": "feature",
  "option-renamed": "feature",
  "option-sets": "breaking",
  "option-usual": "breaking",
  "signal-removed": "breaking",
  "signal-added": "feature",
  "signal-renamed": "feature",
  "signal-unsent": "breaking",
  role: "breaking",
  spoken: "patch",
  looks: "patch",
  size: "patch",
  text: "patch",
  motion: "patch",
  "rule-added": "feature",
  "rule-changed": "patch",
  "rule-removed": "patch",
  relied: "breaking",
  "token-removed": "breaking",
  "token-added": "feature",
  "token-renamed": "feature",
  "token-type": "breaking",
  "token-value": "patch",
  "token-themes": "patch",
  "token-deprecated": "feature",
  "token-about": "patch",
  "theme-removed": "breaking",
  "theme-added": "feature",
  "theme-renamed": "feature",
  "theme-starts": "breaking",
  "theme-value-removed": "breaking",
  "theme-value-added": "feature",
  "theme-value-renamed": "feature",
  "asset-removed": "breaking",
  "asset-added": "feature",
  "asset-renamed": "feature",
  "asset-changed": "patch",
  "system-removed": "breaking",
  "system-added": "feature",
  "system-changed": "patch",
} as const satisfies Readonly<Record<string, Weight>>;
export type DifferenceKind = keyof typeof kinds;

/** What of a system a difference is about. */
interface Subject {
  readonly table: "pieces" | "tokens" | "themes" | "assets" | "adoptions";
  readonly id: Id;
}

/** Something that is otherwise in a later edition. */
export interface Difference {
  readonly kind: DifferenceKind;
  readonly weight: Weight;
  readonly subject: Subject;
  /** the trait, option, signal or rule of a component it is about */
  readonly part?: Id | undefined;
  /** a value of that trait */
  readonly value?: Id | undefined;
  /** the variants that look otherwise, and of the theme they do it in what is not usual */
  readonly variants?: readonly Variant[] | undefined;
  readonly theme?: Variant | undefined;
  /** in a sentence */
  readonly text: string;
}

/** The heaviest of some weights; a patch where there is none. */
export const heaviest = (all: readonly Weight[]): Weight =>
  weights.findLast((weight) => all.includes(weight)) ?? "patch";

/** A difference of a kind, as heavy as its kind is. */
export const made = (
  kind: DifferenceKind,
  about: Pick<Difference, "subject" | "part" | "value" | "variants" | "theme">,
  text: string,
): Difference => ({ kind, weight: kinds[kind], ...about, text });

/** A difference as it is kept with an edition: how much it asks, and why. */
export type Reason = Pick<Difference, "kind" | "weight" | "subject" | "part" | "text">;
