import { isAlias, themesOf } from "../../../looks";
import type { Project, Variant } from "../../../project";
import { combinations, singles } from "../combinations";
import { cssNames, customsIn } from "./values";
import type { Custom } from "./values";

const themeName = (project: Project, theme: Variant): string =>
  Object.entries(theme)
    .map(([id, value]) => project.themes[id]?.values[value]?.name ?? value)
    .join(" ")
    .replaceAll(/["\\#]/g, "");

/** Each after those it is an alias of, since Sass reads from above. */
const sorted = (customs: readonly Custom[]): readonly Custom[] => {
  const byId = new Map(customs.map((c) => [c.token.id, c] as const));
  const out = new Set<Custom>();
  for (const custom of customs) {
    const chain = [custom];
    for (let at = custom; isAlias(at.token.value);) {
      const next = byId.get(at.token.value.alias);
      if (!next || chain.includes(next)) break;
      chain.push(next);
      at = next;
    }
    for (const each of chain.reverse()) out.add(each);
  }
  return [...out];
};

/**
 * All tokens as Sass variables, and what is otherwise in themes as a map of maps, `$themes`. Kept
 * tokens without a value in CSS are left out.
 */
export const scssOf = (project: Project): string => {
  const names = cssNames(project.tokens);
  const usual = customsIn(project, {});
  const lines = sorted(usual).map(({ name, value, token }) => {
    const target = isAlias(token.value) ? names.get(token.value.alias) : undefined;
    return `$${name}: ${target === undefined ? value : `$${target}`};`;
  });
  const before = new Map(usual.map((c) => [c.name, c.value] as const));
  const themes = themesOf(project);
  const maps = [...singles(themes), ...combinations(themes)].flatMap((theme) => {
    const own = customsIn(project, theme).filter((c) => before.get(c.name) !== c.value);
    if (own.length === 0) return [];
    const entries = own.map((c) => `    "${c.name}": (${c.value}),\n`).join("");
    return [`  "${themeName(project, theme)}": (\n${entries}  ),\n`];
  });
  const map = maps.length > 0 ? `\n$themes: (\n${maps.join("")});\n` : "";
  return `${lines.join("\n")}\n${map}`;
};
