import type { Id } from "#core/basics";
import { themeOf, unusualTheme } from "#core/looks";
import { tableEntry } from "#core/project";
import type { Piece, Project, Variant } from "#core/project";
import { pathText, pieceAtPath } from "#core/rehearse";
import type { Presented, ShownTrait } from "#core/runtime";

/** More states than this are not read from an address. */
const MOST = 200;

const asName = (text: string): string => text.trim().replace(/\s+/g, "-");

/** What a state is called in an address: for people, nothing reads it back. */
const nameOf = (project: Project, piece: Piece, { at, trait, value }: ShownTrait): string => {
  const of = pieceAtPath(project, piece, at);
  const copy = at === "" ? "" : `${pathText(project, piece, at)} `;
  const found = of?.traits[trait];
  return asName(`${copy}${found?.name ?? ""} ${found?.values[value]?.name ?? ""}`);
};

const themeName = (project: Project, theme: Id, value: Id): string => {
  const found = tableEntry(project.themes, theme);
  return asName(`${found?.name ?? ""} ${found?.values[value]?.name ?? ""}`);
};

/**
 * The address at which Play shows something: ids decide what, the names after them are only for
 * people. Relative to the address of Play itself. Values of themes stand in it when they are not
 * the usual ones, or were asked for: whoever opens it may see the project in others.
 */
export const addressOf = (
  project: Project,
  { screen, overlays, traits }: Presented,
  asked: Variant = {},
): string => {
  const piece = project.pieces[screen];
  const search = new URLSearchParams();
  for (const id of overlays)
    search.append("over", `${id},${asName(project.pieces[id]?.name ?? "")}`);
  for (const shown of traits) {
    const name = piece ? nameOf(project, piece, shown) : "";
    search.append("set", `${shown.at}:${shown.trait}:${shown.value},${name}`);
  }
  const unusual = unusualTheme(project);
  for (const [theme, value] of Object.entries(themeOf(project)))
    if (Object.hasOwn(asked, theme) || Object.hasOwn(unusual, theme))
      search.append("theme", `${theme}:${value},${themeName(project, theme, value)}`);
  const query = search.toString();
  const name = encodeURIComponent(asName(piece?.name ?? ""));
  return `/${screen}/${name}${query ? `?${query}` : ""}`;
};

const beforeComma = (text: string): string => text.split(",")[0] ?? "";

/** The theme an address asks for; null where it asks for none. */
export const themeIn = (search: URLSearchParams): Variant | null => {
  const asked = search.getAll("theme").slice(0, MOST);
  if (asked.length === 0) return null;
  const entries = asked.map((text) => beforeComma(text).split(":"));
  return Object.fromEntries(
    entries.flatMap(([theme, value]) => (theme && value ? [[theme, value]] : [])),
  );
};

/** What an address asks to be shown of a piece; what it cannot mean is left out. */
export const presentedIn = (project: Project, screen: Id, search: URLSearchParams): Presented => {
  const overlays = search
    .getAll("over")
    .map(beforeComma)
    .filter((id) => tableEntry(project.pieces, id)?.kind === "screen");
  const traits = search
    .getAll("set")
    .slice(0, MOST)
    .flatMap((text): ShownTrait[] => {
      const [at, trait, value] = beforeComma(text).split(":");
      return at !== undefined && trait && value ? [{ at, trait, value }] : [];
    });
  return { screen, overlays, traits };
};
