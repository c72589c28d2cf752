import { entryOf } from "../basics";
import type { Id } from "../basics";
import { byOrder } from "../project";
import type { LayerChanges, Project, Token, TokenLook, Variant, Varying } from "../project";
import { THEME } from "../properties";
import type { Values } from "../properties";
import {
  meets,
  restOf,
  restingVariant,
  specificity,
  traitsOf,
  variantFrom,
  variantsOf,
} from "./variants";

const noNotes: Varying["notes"] = {};
const themesCache = new WeakMap<object, Varying>();

/** A project's themes, as a piece's traits: what scopes, conditions and variants are asked of. */
export const themesOf = ({ themes }: Pick<Project, "themes">): Varying => {
  let known = themesCache.get(themes);
  if (!known) themesCache.set(themes, (known = { traits: themes, notes: noNotes }));
  return known;
};

/** Whether a project has a theme to choose. */
export const hasThemes = (project: Pick<Project, "themes">): boolean =>
  traitsOf(themesOf(project)).length > 0;

/** The looks of a token from the least to the most specific, ties by their own order. */
const looksOfToken = (token: Token): readonly TokenLook[] =>
  Object.values(token.looks ?? {}).sort(
    (a, b) => specificity(a.when) - specificity(b.when) || byOrder(a, b),
  );

/** The look that says a token's value in a theme; undefined where the token itself says it. */
export const lookOfToken = (token: Token, theme: Variant): TokenLook | undefined =>
  looksOfToken(token)
    .filter((look) => meets(look.when, theme))
    .at(-1);

const themedTokens = (tokens: Project["tokens"], theme: Variant): Project["tokens"] => {
  const changed = Object.values(tokens).flatMap((token) => {
    const look = lookOfToken(token, theme);
    return look ? [[token.id, { ...token, value: look.value }] as const] : [];
  });
  return changed.length === 0 ? tokens : { ...tokens, ...Object.fromEntries(changed) };
};

/** The project a themed one was made of, and the theme. */
interface Made {
  readonly base: Project;
  readonly theme: Variant;
}

const madeOf = new WeakMap<Project, Made>();
const byTokens = new WeakMap<object, Map<string, Project["tokens"]>>();
const byProject = new WeakMap<Project, Map<string, Project>>();

const isThemed = (project: Project): boolean =>
  Object.values(project.tokens).some((token) => token.looks !== undefined);

/**
 * The project as it is in a theme: its tokens say what they say there. Theme values that are not
 * given are as the project already has them, or at rest. Equal questions have one answer, which
 * shares all but the tokens that differ.
 */
export const inTheme = (project: Project, given: Variant): Project => {
  const { base, theme: before } = madeOf.get(project) ?? { base: project, theme: {} };
  const themes = themesOf(base);
  const theme = variantFrom(themes, { ...before, ...given });
  const key = Object.values(theme).join(".");
  const known = entryOf(byProject, base, () => new Map<string, Project>());
  const found = known.get(key);
  if (found) return found;
  const tables = entryOf(byTokens, base.tokens, () => new Map<string, Project["tokens"]>());
  let tokens = tables.get(key);
  if (!tokens)
    tables.set(key, (tokens = isThemed(base) ? themedTokens(base.tokens, theme) : base.tokens));
  // a project of its own even where nothing differs: what is asked of it later goes on from here
  const made: Project = { ...base, tokens };
  madeOf.set(made, { base, theme });
  known.set(key, made);
  return made;
};

/** The theme a project is shown in; at rest where nobody has chosen one. */
export const themeOf = (project: Project): Variant =>
  madeOf.get(project)?.theme ?? restingVariant(themesOf(project));

/** The project without any theme's values put in, as edits are made of it. */
export const baseProject = (project: Project): Project => madeOf.get(project)?.base ?? project;

/** As many combinations of themes as are looked at. */
const MOST_THEMES = 24;

/** The values that a theme has otherwise than at rest. */
const unusualIn = (themes: Varying, theme: Variant): Variant =>
  Object.fromEntries(
    traitsOf(themes)
      .filter((trait) => theme[trait.id] !== restOf(trait))
      .map((trait) => [trait.id, theme[trait.id] ?? ""]),
  );

/**
 * Every combination of themes but the usual one, by the values that are otherwise than at rest;
 * those with fewer of them first.
 */
export const otherThemes = (project: Pick<Project, "themes">): readonly Variant[] => {
  const themes = themesOf(project);
  const size = (theme: Variant): number => Object.keys(theme).length;
  return variantsOf(themes)
    .map((theme) => unusualIn(themes, theme))
    .filter((theme) => size(theme) > 0)
    .sort((a, b) => size(a) - size(b))
    .slice(0, MOST_THEMES);
};

/** The values of themes a project is shown in that are not the usual ones. */
export const unusualTheme = (project: Project): Variant =>
  unusualIn(themesOf(project), themeOf(project));

/** The same in words. */
export const themeText = (project: Project): string => {
  const theme = unusualTheme(project);
  return Object.entries(theme)
    .map(([id, value]) => {
      const trait = project.themes[id];
      return `${trait?.name ?? ""} ${trait?.values[value]?.name ?? ""}`;
    })
    .join(", ");
};

/** The theme that a layer is fixed to by what is said of it, weakest first; null where it is not. */
export const fixedTheme = (said: readonly (LayerChanges | Values)[]): Variant | null => {
  const fixed = new Map<Id, Id>();
  for (const changes of said)
    for (const [key, value] of Object.entries(changes)) {
      if (!key.startsWith(THEME) || typeof value !== "string") continue;
      const theme = key.slice(THEME.length);
      // a stronger look can say that it is not fixed after all
      if (value === "") fixed.delete(theme);
      else fixed.set(theme, value);
    }
  return fixed.size > 0 ? Object.fromEntries(fixed) : null;
};
