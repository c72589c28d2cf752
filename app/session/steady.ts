import type { Project } from "#core/project";

/**
 * A reader of the project that keeps giving what it gave before for as long as that says the same:
 * parts that show it need not render again.
 */
export const steady = <T>(
  read: (project: Project) => T,
  same: (a: T, b: T) => boolean,
): ((project: Project) => T) => {
  let last: { readonly project: Project; readonly value: T } | null = null;
  return (project) => {
    if (last?.project === project) return last.value;
    const next = read(project);
    const value = last && same(last.value, next) ? last.value : next;
    last = { project, value };
    return value;
  };
};
