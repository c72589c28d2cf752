import { plainText } from "../../basics";
import { limits } from "../../project";
import type { SpecifiedTokenValue } from "../../project";
import { pathText } from "./file";
import type { FileGroup, FileToken, Problem } from "./file";
import { isList, isObject, readJson } from "./json";
import type { Json, JsonObject } from "./json";
import { Maker, OURS, unfit } from "./made";
import type { MadeToken } from "./made";
import { insideOf } from "./reference";
import { isModifier, isResolver, readResolver } from "./resolver";
import type { Modifier, Order, Source } from "./resolver";
import { sameJson } from "./same";
import { Table } from "./table";
import { walk } from "./walk";
import type { Walked } from "./walk";
import { tokenFileWords } from "./words";

/** A file to be read, and the value of a theme it says the tokens of, if it does so. */
export interface TokenFile {
  readonly name: string;
  readonly text: string;
  readonly theme?: { readonly name: string; readonly value: string } | undefined;
}

/** What a token is while themes have certain values. */
export interface ThemedValue {
  /** values by the names of their themes */
  readonly when: Readonly<Record<string, string>>;
  readonly said: SpecifiedTokenValue | { readonly alias: string };
  readonly written?: string;
}

export interface ReadToken extends MadeToken {
  /**
   * whether any file says what it is as usual; if none does, it is what the first theme says, and
   * `themed` is all that any theme says
   */
  readonly isUsual: boolean;
  readonly themed: readonly ThemedValue[];
}

/** A theme that the files speak of; the first value is the usual one. */
interface FileTheme {
  readonly name: string;
  readonly values: readonly string[];
}

/** All that files say. */
export interface ReadTokens {
  readonly tokens: readonly ReadToken[];
  readonly groups: readonly FileGroup[];
  readonly themes: readonly FileTheme[];
  /** what was not taken, and why */
  readonly problems: readonly Problem[];
  /** what was taken but is of no use here, and why */
  readonly notes: readonly Problem[];
}

const MOST_CONTEXTS = 40;
const MOST_PROBLEMS = 500;

/** The last part of a file's way. */
const baseName = (name: string): string => name.split(/[\\/]/).at(-1) ?? name;

/** Reads files once each and puts together what they say. */
class Reading {
  readonly problems: Problem[] = [];
  readonly notes: Problem[] = [];
  readonly #walked = new Map<string | Json, Walked>();
  readonly #json = new Map<string, Json>();
  readonly #fileOf = new Map<string, string>();

  constructor(readonly files: readonly TokenFile[]) {
    for (const file of files) {
      const parsed = readJson(file.text);
      if (parsed.ok) this.#json.set(file.name, parsed.json);
      else this.problems.push({ file: file.name, path: "", reason: parsed.reason });
    }
  }

  /** Sets and themes in the order in which they count: as a resolver says, or as one chose. */
  order(): Order {
    const resolver = this.files.find((f) => isResolver(this.#json.get(f.name) ?? null));
    const json = resolver && this.#json.get(resolver.name);
    if (!resolver || json === undefined || !isResolver(json)) return this.#chosen();
    const read = readResolver(json);
    if (read.ok) return read.order;
    this.problems.push({ file: resolver.name, path: "", reason: read.reason });
    return [];
  }

  /** Tokens for several themes at once, as our resolvers have them beside the format. */
  combined(): { readonly when: Readonly<Record<string, string>>; readonly json: JsonObject }[] {
    const ours = [...this.#json.values()]
      .filter(isResolver)
      .map((json) => insideOf(json, ["$extensions", OURS, "combined"]));
    return ours
      .flatMap((list) => (isList(list) ? list : []))
      .flatMap((entry) => {
        if (!isObject(entry) || !isObject(entry.when) || !isObject(entry.tokens)) return [];
        const when = Object.entries(entry.when).map(([k, v]) => [k, plainText(v)] as const);
        return [{ when: Object.fromEntries(when), json: entry.tokens }];
      });
  }

  #chosen(): Order {
    const all = this.files.filter((f) => this.#json.has(f.name));
    const base = all.filter((f) => !f.theme).map((f): Source => ({ file: f.name }));
    const themes = [...new Set(all.flatMap((f) => (f.theme ? [f.theme.name] : [])))];
    return [base, ...themes.map((name) => this.#modifier(name, all))];
  }

  #modifier(name: string, all: readonly TokenFile[]): Modifier {
    const contexts = new Map<string, Source[]>();
    for (const file of all) {
      if (file.theme?.name !== name) continue;
      const list = contexts.get(file.theme.value) ?? [];
      list.push({ file: file.name });
      contexts.set(file.theme.value, list);
    }
    // what no file is of is as the base says
    return { name, usual: "", contexts };
  }

  walked(source: Source): Walked {
    const name = "file" in source ? source.file : "";
    const key = "file" in source ? source.file : source.json;
    const known = this.#walked.get(key);
    if (known) return known;
    const json = "file" in source ? this.#named(source.file) : source.json;
    const found: Walked =
      json === undefined ? { tokens: [], groups: [], problems: [] } : walk(name, json);
    // an object of texts is no token file, and each of them no problem of its own
    const isNone = found.tokens.length === 0 && found.problems.some((p) => p.path !== "");
    this.problems.push(
      ...(isNone ? [{ file: name, path: "", reason: tokenFileWords.noTokens }] : found.problems),
    );
    for (const token of found.tokens) this.#fileOf.set(pathText(token.path), name);
    this.#walked.set(key, found);
    return found;
  }

  #named(name: string): Json | undefined {
    const file =
      this.files.find((f) => f.name === name) ??
      this.files.find((f) => baseName(f.name) === baseName(name));
    if (!file)
      this.problems.push({ file: name, path: "", reason: tokenFileWords.fileMissing(name) });
    return file && this.#json.get(file.name);
  }

  problem(path: string, reason: string): void {
    this.problems.push({ file: this.#fileOf.get(path) ?? "", path, reason });
  }

  note(path: string, reason: string): void {
    this.notes.push({ file: this.#fileOf.get(path) ?? "", path, reason });
  }
}

/** The tokens while themes have the given values, the rest as usual; later files are stronger. */
const tokensFor = (
  reading: Reading,
  order: Order,
  chosen: ReadonlyMap<string, string>,
): ReadonlyMap<string, FileToken> => {
  const out = new Map<string, FileToken>();
  for (const entry of order) {
    const sources = isModifier(entry)
      ? (entry.contexts.get(chosen.get(entry.name) ?? entry.usual) ?? [])
      : entry;
    for (const source of sources)
      for (const token of reading.walked(source).tokens) out.set(pathText(token.path), token);
  }
  return out;
};

/** All that the files say while themes have certain values. */
interface Context {
  readonly when: Readonly<Record<string, string>>;
  readonly tokens: ReadonlyMap<string, FileToken>;
  readonly maker: Maker;
  /** the paths it speaks of, where not by what differs from the usual */
  readonly only?: ReadonlySet<string>;
}

const contextsOf = (reading: Reading, order: Order): Context[] => {
  const out: Context[] = [];
  for (const entry of order) {
    if (!isModifier(entry)) continue;
    if (entry.contexts.size > MOST_CONTEXTS) {
      reading.problem("", tokenFileWords.tooManyContexts(MOST_CONTEXTS));
      continue;
    }
    for (const value of entry.contexts.keys()) {
      if (value === entry.usual) continue;
      const tokens = tokensFor(reading, order, new Map([[entry.name, value]]));
      out.push(contextOf({ [entry.name]: value }, tokens));
    }
  }
  return [...out, ...combinedOf(reading, order)];
};

const contextOf = (when: Context["when"], tokens: ReadonlyMap<string, FileToken>): Context => ({
  when,
  tokens,
  maker: new Maker(new Table(tokens.values())),
});

/** What our own resolvers say of several themes at once. */
const combinedOf = (reading: Reading, order: Order): Context[] =>
  reading.combined().map(({ when, json }) => {
    const tokens = new Map(tokensFor(reading, order, new Map(Object.entries(when))));
    const own = reading.walked({ json }).tokens;
    for (const token of own) tokens.set(pathText(token.path), token);
    const only = new Set(own.map((token) => pathText(token.path)));
    return { ...contextOf(when, tokens), only };
  });

/** What a context says of a token, as far as that is something else than usual. */
const themedIn = (
  context: Context,
  base: MadeToken,
  isUsual: boolean,
  reading: Reading,
): ThemedValue[] => {
  const token = context.tokens.get(base.at);
  const made = token && context.maker.make(token);
  if (!made) return [];
  const isSame = isUsual && sameJson(made.value, base.value) && made.written === base.written;
  if (context.only ? !context.only.has(base.at) : isSame) return [];
  if (made.type !== base.type) {
    const where = Object.values(context.when).join(", ");
    reading.problem(base.at, tokenFileWords.otherType(base.type, where, made.type));
    return [];
  }
  const written = made.written === undefined ? {} : { written: made.written };
  return [{ when: context.when, said: made.value, ...written }];
};

const themesOf = (order: Order): FileTheme[] =>
  order.filter(isModifier).map(({ name, usual, contexts }) => ({
    name,
    values: [usual, ...[...contexts.keys()].filter((value) => value !== usual)],
  }));

/** Every token that any theme has; what only a theme has is the same in all of them. */
const allTokens = (
  base: ReadonlyMap<string, FileToken>,
  contexts: readonly Context[],
): FileToken[] => {
  const all = new Map(base);
  for (const { tokens } of contexts)
    for (const [path, token] of tokens) if (!all.has(path)) all.set(path, token);
  return [...all.values()];
};

/**
 * Reads token files (Design Tokens Format Module 2025.10 and its older drafts, as JSON or JSON5;
 * Resolver Module 2025.10). Never throws: what cannot be taken is told with file, path and reason.
 */
export const readTokens = (files: readonly TokenFile[]): ReadTokens => {
  const reading = new Reading(files);
  const order = reading.order();
  const contexts = contextsOf(reading, order);
  const usual = tokensFor(reading, order, new Map());
  const found = allTokens(usual, contexts);
  if (found.length > limits.tokens) reading.problem("", tokenFileWords.tooMany(limits.tokens));
  const maker = new Maker(new Table(found));
  const tokens: ReadToken[] = [];
  for (const token of found.slice(0, limits.tokens)) {
    const made = maker.make(token);
    const reason = unfit(made);
    if (reason !== null) {
      reading.problem(made.at, reason);
      continue;
    }
    if (made.note !== undefined) reading.note(made.at, made.note);
    const isUsual = usual.has(made.at);
    const themed = contexts.flatMap((c) => themedIn(c, made, isUsual, reading));
    tokens.push({ ...made, isUsual, themed });
  }
  return {
    tokens,
    groups: groupsOf(reading, order),
    themes: themesOf(order),
    problems: reading.problems.slice(0, MOST_PROBLEMS),
    notes: reading.notes.slice(0, MOST_PROBLEMS),
  };
};

const groupsOf = (reading: Reading, order: Order): FileGroup[] => {
  const groups = new Map<string, FileGroup>();
  for (const entry of order) {
    const sources = isModifier(entry) ? [...entry.contexts.values()].flat() : entry;
    for (const source of sources)
      for (const group of reading.walked(source).groups) groups.set(pathText(group.path), group);
  }
  return [...groups.values()];
};
