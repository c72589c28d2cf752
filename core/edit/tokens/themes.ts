import type { Id } from "../../basics";
import { restOf, sameCondition } from "../../looks";
import { newId, orderAfter, remove, set } from "../../project";
import type { Change, Condition, Op, Project, Theme, Token, TokenLook } from "../../project";
import { THEME } from "../../properties";
import { freeName } from "../pieces";
import type { Made } from "../pieces";
import { editWords } from "../words";

const valuesNamed = (names: readonly string[]): Theme["values"] => {
  const values: Record<Id, Theme["values"][string]> = {};
  for (const name of names) {
    const id = newId();
    values[id] = { id, name, order: orderAfter(Object.values(values)) };
  }
  return values;
};

/** A new theme after the others; the first value is the usual one. */
export const addTheme = (project: Project, name: string, values: readonly string[]): Made => {
  const all = Object.values(project.themes);
  const theme: Theme = {
    id: newId(),
    name: freeName(
      name,
      all.map((t) => t.name),
    ),
    order: orderAfter(all),
    pattern: all.length,
    rest: null,
    values: valuesNamed(values),
  };
  return {
    id: theme.id,
    change: { label: editWords.newTheme(theme.name), ops: [set(["themes", theme.id], theme)] },
  };
};

export const renameTheme = (theme: Id, name: string): Change => ({
  label: editWords.renameTheme(name),
  ops: [set(["themes", theme, "name"], name)],
});

export const addThemeValue = (theme: Theme, name: string): Made => {
  const values = Object.values(theme.values);
  const id = newId();
  const free = freeName(
    name,
    values.map((v) => v.name),
  );
  const value = { id, name: free, order: orderAfter(values) };
  return {
    id,
    change: {
      label: editWords.addThemeValue(free),
      ops: [set(["themes", theme.id, "values", id], value)],
    },
  };
};

export const renameThemeValue = (theme: Id, value: Id, name: string): Change => ({
  label: editWords.renameThemeValue(name),
  ops: [set(["themes", theme, "values", value, "name"], name)],
});

/** Makes a value the usual one: what is shown where nobody has chosen. */
export const setThemeRest = (theme: Theme, value: Id): Change => ({
  label: editWords.usualThemeValue(theme.values[value]?.name ?? ""),
  ops: [set(["themes", theme.id, "rest"], value)],
});

/** What a condition comes to once values of a theme are gone; null where it can never hold again. */
const without = (when: Condition, theme: Id, gone: readonly Id[]): Condition | null => {
  const said = when[theme];
  if (!said) return when;
  const left = said.filter((value) => !gone.includes(value));
  if (left.length > 0) return { ...when, [theme]: left };
  return null;
};

const lookPath = (token: Id, look: Id): string[] => ["tokens", token, "looks", look];

/** The looks of tokens once values of a theme are gone: what can never hold again goes along. */
const looksWithout = (project: Project, theme: Id, gone: readonly Id[]): Op[] =>
  Object.values(project.tokens).flatMap((token) =>
    Object.values(token.looks ?? {}).flatMap((look): Op[] => {
      const when = without(look.when, theme, gone);
      if (when === null) return [remove(lookPath(token.id, look.id))];
      return when === look.when ? [] : [set([...lookPath(token.id, look.id), "when"], when)];
    }),
  );

/** What layers say of a theme, once it is gone or some of its values are. */
const fixedWithout = (project: Project, theme: Id, gone: readonly Id[] | null): Op[] =>
  Object.values(project.pieces).flatMap((piece) =>
    Object.values(piece.looks).flatMap((look) =>
      Object.entries(look.changes).flatMap(([layer, changes]): Op[] => {
        const said = changes[THEME + theme];
        const goes = typeof said === "string" && (gone === null || gone.includes(said));
        const path = ["pieces", piece.id, "looks", look.id, "changes", layer, THEME + theme];
        return goes ? [remove(path)] : [];
      }),
    ),
  );

/** Deletes a theme: tokens say what they said while it had its usual value. */
export const removeTheme = (project: Project, theme: Theme): Change => {
  const rest = restOf(theme);
  const ops: Op[] = [];
  for (const token of Object.values(project.tokens))
    for (const look of Object.values(token.looks ?? {})) {
      const said = look.when[theme.id];
      if (!said) continue;
      const { [theme.id]: _gone, ...when } = look.when;
      if (!said.includes(rest)) ops.push(remove(lookPath(token.id, look.id)));
      else if (Object.keys(when).length > 0)
        ops.push(set([...lookPath(token.id, look.id), "when"], when));
      else ops.push(...becomesBase(token, look));
    }
  ops.push(...fixedWithout(project, theme.id, null));
  return {
    label: editWords.deleteTheme(theme.name),
    ops: [...ops, remove(["themes", theme.id])],
  };
};

const becomesBase = (token: Token, look: TokenLook): Op[] => [
  set(["tokens", token.id, "value"], look.value),
  look.written === undefined
    ? remove(["tokens", token.id, "written"])
    : set(["tokens", token.id, "written"], look.written),
  remove(lookPath(token.id, look.id)),
];

/** Deletes a value with what tokens say for it alone; null for the last one. */
export const removeThemeValue = (project: Project, theme: Theme, value: Id): Change | null => {
  if (Object.keys(theme.values).length <= 1) return null;
  const ops = [
    ...looksWithout(project, theme.id, [value]),
    ...fixedWithout(project, theme.id, [value]),
  ];
  if (theme.rest === value) ops.push(set(["themes", theme.id, "rest"], null));
  return {
    label: editWords.deleteThemeValue(theme.values[value]?.name ?? ""),
    ops: [...ops, remove(["themes", theme.id, "values", value])],
  };
};

/** Gives a token a value where a condition on themes holds; everywhere for the empty condition. */
export const setTokenValue = (token: Token, value: Token["value"], when: Condition): Change => {
  const label = editWords.changeToken(token.name);
  if (Object.keys(when).length === 0)
    return { label, ops: [set(["tokens", token.id, "value"], value)] };
  const looks = Object.values(token.looks ?? {});
  const known = looks.find((look) => sameCondition(look.when, when));
  if (known) return { label, ops: [set([...lookPath(token.id, known.id), "value"], value)] };
  const look: TokenLook = { id: newId(), when, order: orderAfter(looks), value };
  return {
    label,
    ops: token.looks
      ? [set(lookPath(token.id, look.id), look)]
      : [set(["tokens", token.id, "looks"], { [look.id]: look })],
  };
};

/** A token no longer says something of its own where a condition holds. */
export const clearTokenValue = (token: Token, when: Condition): Change => ({
  label: editWords.clearTokenValue(token.name),
  ops: Object.values(token.looks ?? {})
    .filter((look) => sameCondition(look.when, when))
    .map((look) => remove(lookPath(token.id, look.id))),
});
