import { heaviest } from "#core/system";
import type { Difference, Weight } from "#core/system";
import type { Id } from "#core/basics";
import type { Project } from "#core/project";

/** What differs about one component; null stands for all that is not of a component. */
export interface Group {
  readonly component: Id | null;
  readonly name: string;
  readonly weight: Weight;
  readonly differences: readonly Difference[];
}

const order: readonly Weight[] = ["breaking", "feature", "patch"];

/** Differences by component, what asks most first; what is of no component comes last. */
export const groupsOf = (
  differences: readonly Difference[],
  before: Project | null,
  after: Project,
): readonly Group[] => {
  const found = new Map<Id | null, Difference[]>();
  for (const difference of differences) {
    const { table, id } = difference.subject;
    const key = table === "pieces" ? id : null;
    found.set(key, [...(found.get(key) ?? []), difference]);
  }
  const groups = [...found].map(([component, all]): Group => {
    const piece = component && (after.pieces[component] ?? before?.pieces[component]);
    const name = piece ? piece.name : "";
    return { component, name, weight: heaviest(all.map((d) => d.weight)), differences: all };
  });
  return groups.sort(
    (a, b) =>
      Number(a.component === null) - Number(b.component === null) ||
      order.indexOf(a.weight) - order.indexOf(b.weight) ||
      a.name.localeCompare(b.name),
  );
};

/** How many groups ask how much. */
export const countsOf = (groups: readonly Group[]): Readonly<Record<Weight, number>> => ({
  breaking: groups.filter((g) => g.weight === "breaking").length,
  feature: groups.filter((g) => g.weight === "feature").length,
  patch: groups.filter((g) => g.weight === "patch").length,
});
