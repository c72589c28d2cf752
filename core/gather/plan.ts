import { traitNameFor } from "./names";
import type { NamePlan } from "./names";

/** The plan with other rows; the values of its traits are what stands in their columns. */
const withRows = (
  plan: NamePlan,
  rows: NamePlan["rows"],
  traits: NamePlan["traits"] = plan.traits,
): NamePlan => ({
  ...plan,
  rows,
  traits: traits.map((trait, column) => ({
    ...trait,
    values: [...new Set(rows.map((row) => row[column] ?? ""))].filter((value) => value !== ""),
  })),
});

/** The plan in which a drawing has another value of a trait. */
export const withValue = (plan: NamePlan, row: number, column: number, value: string): NamePlan =>
  withRows(plan, plan.rows.with(row, (plan.rows[row] ?? []).with(column, value)));

/** The plan in which a trait is called something else. */
export const withTraitName = (plan: NamePlan, column: number, name: string): NamePlan => ({
  ...plan,
  traits: plan.traits.map((trait, i) => (i === column ? { ...trait, name } : trait)),
});

/** The plan with one more trait: every drawing has a value of its own. */
export const withOneMoreTrait = (plan: NamePlan): NamePlan => {
  const taken = plan.traits.map((trait) => trait.name);
  const rows = plan.rows.map((row, i) => [...row, String(i + 1)]);
  return withRows(plan, rows, [
    ...plan.traits,
    { name: traitNameFor(["1", "2"], taken), values: [] },
  ]);
};

/** The plan without a trait. */
export const withoutTrait = (plan: NamePlan, column: number): NamePlan =>
  withRows(
    plan,
    plan.rows.map((row) => row.filter((_, i) => i !== column)),
    plan.traits.filter((_, i) => i !== column),
  );
