import type { Id } from "../../basics";
import { newId, orderAfter } from "../../project";
import type {
  Condition,
  Effect,
  Motion,
  Piece,
  Project,
  Rule,
  Trait,
  TraitValue,
} from "../../project";
import type { Edits } from "../drawing/looks";
import { editWords } from "../words";

/** A number one sets before a behaviour is made. */
interface NumberParameter {
  readonly kind: "number";
  readonly key: string;
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
}

/** One of a few things one chooses before a behaviour is made. */
interface ChoiceParameter {
  readonly kind: "choice";
  readonly key: string;
  readonly label: string;
  readonly value: string;
  readonly choices: readonly { readonly value: string; readonly words: string }[];
}

export type Parameter = NumberParameter | ChoiceParameter;

/** What was set of the parameters; the rest is as proposed. */
export type Given = Readonly<Record<string, number | string>>;

/** What is made: ordinary traits, looks and rules, which can be changed like any afterwards. */
export interface Making {
  readonly traits: readonly Trait[];
  readonly rules: readonly Rule[];
  /** rules that are there already, as they become */
  readonly changed: readonly Rule[];
  readonly looks: readonly { readonly when: Condition; readonly edits: Edits }[];
}

/** A behaviour that people wire by hand every time, ready to be made. */
export interface Maker {
  /** tells it from all others that are offered with it */
  readonly id: string;
  /** what it is, in a few words */
  readonly name: string;
  readonly parameters: readonly Parameter[];
  readonly draw: (given: Given) => Making;
}

/** What makers are offered for. */
export interface Setting {
  readonly project: Project;
  readonly piece: Piece;
  /** the chosen layers, in the order one reads them */
  readonly layers: readonly Id[];
  readonly motion: Motion;
}

export type Draft = Pick<Rule, "trigger" | "source" | "effects"> &
  Partial<Pick<Rule, "when" | "undo" | "motion" | "back">>;

/** Drafts as rules behind those of the piece. */
export const numbered = (piece: Piece, drafts: readonly Draft[], motion: Motion): Rule[] => {
  const all: { id: Id; order: string }[] = Object.values(piece.rules);
  return drafts.map((d) => {
    const rule: Rule = {
      id: newId(),
      order: orderAfter(all),
      on: true,
      when: {},
      undo: false,
      motion,
      ...d,
    };
    all.push(rule);
    return rule;
  });
};

/** Rules alone. */
export const rulesOnly = (rules: readonly Rule[]): Making => ({
  traits: [],
  rules,
  changed: [],
  looks: [],
});

export const becomes = (trait: Trait, value: TraitValue): Effect => ({
  type: "set",
  trait: trait.id,
  to: { value: value.id },
});

export const where = (trait: Trait, value: TraitValue): Condition => ({ [trait.id]: [value.id] });

/** The number set of a parameter, within its limits. */
export const numberOf = (given: Given, of: NumberParameter): number => {
  const said = given[of.key];
  const value = typeof said === "number" ? said : of.value;
  return Math.min(of.max, Math.max(of.min, value));
};

/** The choice made of a parameter. */
export const choiceOf = (given: Given, of: ChoiceParameter): string => {
  const said = given[of.key];
  return of.choices.some((c) => c.value === said) ? String(said) : of.value;
};

export const number = (
  key: string,
  label: string,
  value: number,
  unit: string,
  [min, max, step]: readonly [number, number, number],
): NumberParameter => ({ kind: "number", key, label, unit, value, min, max, step });

/** How long what a maker adds takes: as the motion used last, but not less than suits it; ms. */
export const duration = (motion: Motion, least: number): NumberParameter =>
  number("time", editWords.duration, Math.max(least, motion.duration), "ms", [0, 5000, 10]);

export const choice = (
  key: string,
  label: string,
  choices: ChoiceParameter["choices"],
): ChoiceParameter => ({ kind: "choice", key, label, choices, value: choices[0]?.value ?? "" });
