import type { Project, Token } from "#core/project";
import { families } from "#core/properties";
import type { FontAsset } from "#core/properties";

/** A token as one writes it: its group, then its name. */
export const tokenWords = (token: Token): string =>
  token.group ? `${token.group}/${token.name}` : token.name;

/** The families one can choose: the shipped ones and those the project brings along. */
export const familiesOf = (project: Project): string[] => [
  ...new Set([
    ...Object.keys(families),
    ...Object.values(project.assets)
      .filter((a): a is FontAsset => a.kind === "font")
      .map((a) => a.family),
  ]),
];
