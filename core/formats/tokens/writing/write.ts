import {
  isAlias,
  lookOfToken,
  restOf,
  restingVariant,
  themesOf,
  traitsOf,
  valuesOf,
} from "../../../looks";
import { inOrder } from "../../../project";
import type { OtherValue, Project, Token, TokenGroup, Variant } from "../../../project";
import { combinations, singles } from "../combinations";
import { pathText } from "../file";
import type { FileToken } from "../file";
import { isObject, readJson } from "../json";
import type { Json } from "../json";
import type { Said } from "../kinds/kind";
import { kindOf, Maker, OURS } from "../made";
import type { MadeToken } from "../made";
import { allowed, groupPath, ownPath, pathsOf } from "../names";
import { sameJson } from "../same";
import { renamed } from "../renamed";
import { Table } from "../table";
import { treeOf } from "../tree";
import { writePart } from "./part";

/** A file to be saved. */
export interface WrittenFile {
  readonly name: string;
  readonly text: string;
}

type Written = Pick<Project, "tokens" | "groups" | "themes">;
type Paths = ReadonlyMap<string, readonly string[]>;

/** What a token says in one theme, with paths instead of ids. */
interface Saying {
  readonly token: Token;
  readonly path: readonly string[];
  readonly value: MadeToken["value"];
  readonly written: string | undefined;
}

const named = (paths: Paths, id: string): string => pathText(paths.get(id) ?? [id]);

const valueOf = (paths: Paths, value: Token["value"]): MadeToken["value"] =>
  isAlias(value) ? { alias: named(paths, value.alias) } : renamed(value, (id) => named(paths, id));

const sayingIn = (paths: Paths, token: Token, theme: Variant): Saying => {
  const look = lookOfToken(token, theme);
  return {
    token,
    path: paths.get(token.id) ?? ownPath(token),
    value: valueOf(paths, look ? look.value : token.value),
    written: look ? look.written : token.written,
  };
};

const parsed = (text: string | undefined): Json | undefined => {
  const read = text === undefined ? undefined : readJson(text);
  return read?.ok ? read.json : undefined;
};

const aliases = writePart((path) => `{${path}}`);

const isOther = (value: MadeToken["value"]): value is OtherValue =>
  typeof value === "object" && "json" in value && typeof value.json === "string";

const isAliasOfPath = (value: MadeToken["value"]): value is { readonly alias: string } =>
  typeof value === "object" && "alias" in value;

/** A value as the format says it today. */
const usualValue = ({ token, value }: Saying): Json => {
  if (isAliasOfPath(value)) return `{${value.alias}}`;
  if (isOther(value)) return parsed(value.json) ?? null;
  return kindOf(token.type)?.write(value, aliases) ?? null;
};

const typeName = ({ token, value }: Saying): string | null =>
  isOther(value) ? value.kind : (kindOf(token.type)?.name ?? null);

/** What only we say of a token, beside what the format has. */
const ours = (saying: Saying): Said | undefined => {
  const { token, value, path } = saying;
  const more =
    isAliasOfPath(value) || isOther(value) ? undefined : kindOf(token.type)?.more?.(value);
  const own = ownPath(token);
  const says = { ...more, ...(sameJson(own, path) ? {} : { path: own }) };
  return Object.keys(says).length === 0 ? undefined : says;
};

const extensionsOf = (saying: Saying): Said | undefined => {
  const others = parsed(saying.token.extensions);
  const own = ours(saying);
  if (!own) return isObject(others) ? others : undefined;
  return { ...(isObject(others) ? others : {}), [OURS]: own };
};

const described = (of: Pick<TokenGroup, "about" | "deprecated">): Said => ({
  ...(of.about === undefined ? {} : { $description: of.about }),
  ...(of.deprecated === undefined ? {} : { $deprecated: of.deprecated }),
});

const fileToken = (saying: Saying, value: Json): FileToken => {
  const extensions = extensionsOf(saying);
  return {
    path: saying.path,
    type: typeName(saying),
    groupType: null,
    value,
    ...(extensions ? { extensions } : {}),
  };
};

/** As the file wrote it that it came from, as long as that still means the same. */
const valuesToWrite = (
  sayings: readonly Saying[],
  around: ReadonlyMap<string, FileToken>,
): ReadonlyMap<string, Json> => {
  const values = new Map(
    sayings.map((s) => [pathText(s.path), parsed(s.written) ?? usualValue(s)] as const),
  );
  let left = sayings.filter((s) => s.written !== undefined);
  // what is written anew may change what others meant by it
  for (let again = true; again;) {
    const files = new Map(around);
    for (const s of sayings)
      files.set(pathText(s.path), fileToken(s, values.get(pathText(s.path)) ?? null));
    const maker = new Maker(new Table(files.values()));
    const wrong = left.filter((s) => {
      const file = files.get(pathText(s.path));
      const made = file && maker.make(file);
      return made?.type !== s.token.type || !sameJson(made.value, s.value);
    });
    for (const s of wrong) values.set(pathText(s.path), usualValue(s));
    left = left.filter((s) => !wrong.includes(s));
    again = wrong.length > 0 && left.length > 0;
  }
  return values;
};

const tokenJson = (saying: Saying, value: Json): Said => {
  const type = typeName(saying);
  const extensions = extensionsOf(saying);
  return {
    ...(type === null ? {} : { $type: type }),
    $value: value,
    ...described(saying.token),
    ...(extensions ? { $extensions: extensions } : {}),
  };
};

const groupJson = (group: TokenGroup): Said => {
  const extensions = parsed(group.extensions);
  return { ...described(group), ...(isObject(extensions) ? { $extensions: extensions } : {}) };
};

const entriesOf = (
  sayings: readonly Saying[],
  around: ReadonlyMap<string, FileToken> = new Map(),
) => {
  const values = valuesToWrite(sayings, around);
  return sayings.map((s) => ({
    path: s.path,
    says: tokenJson(s, values.get(pathText(s.path)) ?? null),
  }));
};

const textOf = (json: unknown): string => `${JSON.stringify(json, null, 2)}\n`;

const fileName = (...words: readonly string[]): string =>
  `${words.map((w) => w.toLowerCase().replaceAll(/[^a-z0-9]+/g, "-")).join(".")}.tokens.json`;

const BASE_FILE = "base.tokens.json";

/** All tokens as they are in themes, those that say something else than another time only. */
const differing = (
  project: Written,
  paths: Paths,
  theme: Variant,
  before: (token: Token) => Saying,
): readonly Saying[] =>
  inOrder(project.tokens).flatMap((token) => {
    const saying = sayingIn(paths, token, theme);
    const usual = before(token);
    const isSame = sameJson(saying.value, usual.value) && saying.written === usual.written;
    return isSame ? [] : [saying];
  });

/** What a resolver comes to for several themes at once: the later of its modifiers is stronger. */
const resolvedIn = (
  paths: Paths,
  rest: Variant,
  order: readonly string[],
  token: Token,
  theme: Variant,
): Saying => {
  let out = sayingIn(paths, token, rest);
  for (const id of order) {
    const value = theme[id];
    if (value === undefined) continue;
    const alone = sayingIn(paths, token, { ...rest, [id]: value });
    if (!sameJson(alone.value, sayingIn(paths, token, rest).value)) out = alone;
  }
  return out;
};

const pointer = (name: string): string => name.replaceAll("~", "~0").replaceAll("/", "~1");

/** A theme's values and the files that say what each of them changes. */
const modifiersOf = (project: Written, files: ReadonlyMap<string, string>): Said => {
  const themes = traitsOf(themesOf(project));
  return Object.fromEntries(
    themes.map((theme) => [
      theme.name,
      {
        contexts: Object.fromEntries(
          valuesOf(theme).map((value) => {
            const file = files.get(value.id);
            return [value.name, file === undefined ? [] : [{ $ref: file }]];
          }),
        ),
        default: theme.values[restOf(theme)]?.name ?? "",
      },
    ]),
  );
};

const nameTheme = (project: Written, theme: Variant): Said =>
  Object.fromEntries(
    Object.entries(theme).map(([id, value]) => {
      const trait = project.themes[id];
      return [trait?.name ?? id, trait?.values[value]?.name ?? value];
    }),
  );

/** What holds for several themes at once, which modifiers cannot say. */
const combined = (project: Written, paths: Paths, rest: Variant): Said[] => {
  const themes = themesOf(project);
  const order = traitsOf(themes).map((theme) => theme.id);
  return combinations(themes).flatMap((theme) => {
    const sayings = differing(project, paths, { ...rest, ...theme }, (token) =>
      resolvedIn(paths, rest, order, token, theme),
    );
    if (sayings.length === 0) return [];
    const tokens = treeOf(entriesOf(sayings));
    return [{ when: nameTheme(project, theme), tokens }];
  });
};

const resolverFile = (
  project: Written,
  paths: Paths,
  rest: Variant,
  files: ReadonlyMap<string, string>,
): WrittenFile => {
  const more = combined(project, paths, rest);
  const order = traitsOf(themesOf(project)).map((theme) => ({
    $ref: `#/modifiers/${pointer(theme.name)}`,
  }));
  return {
    name: "resolver.json",
    text: textOf({
      version: "2025.10",
      sets: { base: { sources: [{ $ref: BASE_FILE }] } },
      modifiers: modifiersOf(project, files),
      resolutionOrder: [{ $ref: "#/sets/base" }, ...order],
      ...(more.length > 0 ? { $extensions: { [OURS]: { combined: more } } } : {}),
    }),
  };
};

/**
 * All tokens as files of the Design Tokens Format Module 2025.10: one, or where there are themes a
 * resolver (Resolver Module 2025.10), a base, and a file for each value that changes something.
 * `motions` are told in `$extensions` of the first file (`componentMotions`).
 */
export const writeTokens = (
  project: Written,
  motions: readonly Said[] = [],
): readonly WrittenFile[] => {
  const paths = pathsOf(project.tokens);
  const themes = themesOf(project);
  const rest = restingVariant(themes);
  const usual = (token: Token): Saying => sayingIn(paths, token, rest);
  const sayings = inOrder(project.tokens).map(usual);
  const groups = inOrder(project.groups).map((group) => ({
    path: groupPath(group.name).map(allowed),
    says: groupJson(group),
  }));
  const root = { path: [], says: { $extensions: { [OURS]: { motions } } } };
  const more = motions.length > 0 ? [root] : [];
  const base = textOf(treeOf([...more, ...groups, ...entriesOf(sayings)]));
  if (traitsOf(themes).length === 0) return [{ name: "tokens.json", text: base }];
  const around = new Map(
    sayings.map((s) => [pathText(s.path), fileToken(s, usualValue(s))] as const),
  );
  const files: WrittenFile[] = [{ name: BASE_FILE, text: base }];
  const fileOf = new Map<string, string>();
  for (const single of singles(themes)) {
    const changed = differing(project, paths, { ...rest, ...single }, usual);
    const [[id = "", value = ""] = []] = Object.entries(single);
    const trait = project.themes[id];
    if (changed.length === 0 || !trait) continue;
    const name = fileName(trait.name, trait.values[value]?.name ?? value);
    fileOf.set(value, name);
    files.push({ name, text: textOf(treeOf(entriesOf(changed, around))) });
  }
  return [resolverFile(project, paths, rest, fileOf), ...files];
};
