import { valuesOf } from "#core/looks";
import { inOrder } from "#core/project";
import type { Project } from "#core/project";

/** A value of a theme that a file says the tokens of. */
export interface FileTheme {
  readonly name: string;
  readonly value: string;
}

/**
 * Which theme's value a file is likely for, by the words of its name: "tokens.night.json" is for
 * night where there is such a value.
 */
export const guessTheme = (project: Project, file: string): FileTheme | null => {
  const words = file.toLowerCase().split(/[^\p{L}\p{N}]+/u);
  for (const theme of inOrder(project.themes))
    for (const value of valuesOf(theme))
      if (words.includes(value.name.toLowerCase())) return { name: theme.name, value: value.name };
  return null;
};
