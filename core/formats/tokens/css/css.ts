import { isAlias, themesOf } from "../../../looks";
import type { Project, Variant } from "../../../project";
import { combinations, singles } from "../combinations";
import { cssNames, customsIn } from "./values";
import type { Custom } from "./values";

const word = (text: string): string => text.toLowerCase().replaceAll(/[^\p{L}\p{N}]+/gu, "-");

/** Where themes have certain values: as attributes of the document or of any part of it. */
const selectorOf = (project: Project, theme: Variant): string =>
  Object.entries(theme)
    .map(([id, value]) => {
      const trait = project.themes[id];
      return `[data-${word(trait?.name ?? id)}="${word(trait?.values[value]?.name ?? value)}"]`;
    })
    .join("");

/** What a token says: another one's name where it is an alias. */
const said = (names: ReadonlyMap<string, string>, { token, value }: Custom): string => {
  const target = isAlias(token.value) ? names.get(token.value.alias) : undefined;
  return target === undefined ? value : `var(--${target})`;
};

const block = (selector: string, lines: readonly string[]): string =>
  `${selector} {\n${lines.map((line) => `  ${line}\n`).join("")}}\n`;

/**
 * All tokens as custom properties (CSS Custom Properties Level 1): those of the usual theme for the
 * whole document, what is otherwise in a theme for what has its attribute, such as
 * `data-theme="night"`. Kept tokens without a value in CSS are left out.
 */
export const cssOf = (project: Project): string => {
  const names = cssNames(project.tokens);
  const lineOf = (custom: Custom): string => `--${custom.name}: ${said(names, custom)};`;
  const usual = new Map(customsIn(project, {}).map((c) => [c.name, lineOf(c)] as const));
  const themes = themesOf(project);
  const blocks = [block(":root", [...usual.values()])];
  for (const theme of [...singles(themes), ...combinations(themes)]) {
    const lines = customsIn(project, theme)
      .map((c) => [c.name, lineOf(c)] as const)
      .filter(([name, line]) => usual.get(name) !== line)
      .map(([, line]) => line);
    if (lines.length > 0) blocks.push(block(selectorOf(project, theme), lines));
  }
  return blocks.join("\n");
};
