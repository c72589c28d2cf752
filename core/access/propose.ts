import { valuesOf } from "../looks";
import type { AriaState, Trait, TraitAria, TraitValue } from "../project";
import type { Role } from "../properties";
import { attributeFor, groupOf, stateNeededBy } from "./roles";
import { accessWords } from "./words";

const { namesOf, negative, mixed } = accessWords;

const plain = (name: string): string => name.trim().toLowerCase();

/** The state that the name of a trait, or of one of its values, stands for. */
const stateNamed = (name: string): AriaState | null => {
  const found = Object.entries(namesOf).find(([, names]) => names.includes(plain(name)));
  // the table's keys are the states
  return found ? (found[0] as AriaState) : null;
};

/** Whether a name is one by which a state is known: open and unfolded of what is expanded. */
export const isNameOf = (state: AriaState, name: string): boolean =>
  namesOf[state]?.includes(plain(name)) ?? false;

/** Whether a value's name says that something is not so. */
const isNegative = (name: string): boolean =>
  negative.words.includes(plain(name)) ||
  negative.beginnings.some((beginning) => plain(name).startsWith(beginning));

const stateFor = (trait: Trait, values: readonly TraitValue[], role: Role): AriaState | null => {
  const byName = stateNamed(trait.name);
  if (byName) return byName;
  const byValue = values.filter((v) => !isNegative(v.name)).map((v) => stateNamed(v.name));
  if (values.length === 2 && byValue.length === 1 && byValue[0]) return byValue[0];
  // of many values each is that of one tab, one radio button
  return values.length === 2 || groupOf(role) !== undefined ? (stateNeededBy(role) ?? null) : null;
};

/**
 * The state a trait most likely stands for, by its name, those of its values, and the role of what
 * it is about; null when nothing speaks for one, or that role cannot say it.
 */
export const proposedAria = (trait: Trait, role: Role = "none"): TraitAria | null => {
  const values = valuesOf(trait);
  if (values.length < 2) return null;
  const state = stateFor(trait, values, role);
  if (!state || (role !== "none" && attributeFor(role, state) === null)) return null;
  if (values.length > 2 && groupOf(role) !== undefined) return { state, on: [] };
  const partly = values.filter((v) => mixed.includes(plain(v.name)));
  const sure = values.filter((v) => !isNegative(v.name) && !partly.includes(v));
  // where no name says what is not so, that is how it starts
  const on = sure.length < values.length - partly.length ? sure : sure.slice(1);
  return {
    state,
    on: on.map((v) => v.id),
    ...(partly.length ? { mixed: partly.map((v) => v.id) } : {}),
  };
};
