import { inOrder } from "../../project";
import type { Project, Token } from "../../project";

/** What the format does not allow in names (§5.1.1), replaced. */
export const allowed = (name: string): string =>
  name
    .replace(/[{}.]/g, "_")
    .replace(/^\$(?!root$)/, "_")
    .replace(/^__proto__$/, "proto");

/** Groups inside groups as a token names them: by slashes; one in a name stands behind a backslash. */
export const groupText = (path: readonly string[]): string =>
  path.map((name) => name.replace(/[\\/]/g, "\\$&")).join("/");

/** The groups inside groups that a token names. */
export const groupPath = (group: string): readonly string[] =>
  group === ""
    ? []
    : (group.match(/(?:\\.|[^\\/])+/g) ?? []).map((name) => name.replace(/\\(.)/g, "$1"));

/** The groups and the name of a token, as people gave them. */
export const ownPath = (token: Token): readonly string[] => [...groupPath(token.group), token.name];

const key = (path: readonly string[]): string => path.join(".");

/**
 * Where each token goes in a file: its groups and its name. A token with the name of a group is the
 * group's `$root` (§6.2); names that are there already get a number.
 */
export const pathsOf = (tokens: Project["tokens"]): ReadonlyMap<string, readonly string[]> => {
  const list = inOrder(tokens);
  const groups = new Set<string>();
  for (const token of list) {
    const path = groupPath(token.group).map(allowed);
    for (let i = 1; i <= path.length; i++) groups.add(key(path.slice(0, i)));
  }
  const taken = new Set<string>();
  const paths = new Map<string, readonly string[]>();
  for (const token of list) {
    const wanted = ownPath(token).map(allowed);
    const path = groups.has(key(wanted)) ? [...wanted, "$root"] : wanted;
    let free = path;
    for (let n = 2; taken.has(key(free)); n++) free = [...path.slice(0, -1), `${path.at(-1)} ${n}`];
    taken.add(key(free));
    paths.set(token.id, free);
  }
  return paths;
};
