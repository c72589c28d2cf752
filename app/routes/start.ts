import type { Project } from "#core/project";

/** The pages that bring a project: of the present one, and of an earlier moment. */
const bringing = ["routes/project", "routes/history/moment"];

interface Match {
  readonly id: string;
  readonly loaderData?: unknown;
}

/** What a window begins with of the project that is shown; nothing where none could be read. */
export const startOf = (
  matches: readonly (Match | undefined)[],
): { readonly project: Project } | undefined => {
  const loaded = matches.find((match) => match && bringing.includes(match.id))?.loaderData;
  // what these pages' loaders give
  return (loaded as { start?: { project: Project } } | undefined)?.start;
};
