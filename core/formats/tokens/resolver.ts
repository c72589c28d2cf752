import { isList, isObject } from "./json";
import type { Json, JsonObject } from "./json";
import { unescaped } from "./reference";
import { tokenFileWords } from "./words";

/** A file by its name, or tokens written in the resolver itself. */
export type Source = { readonly file: string } | { readonly json: JsonObject };

/** What a theme puts in for each of its values. */
export interface Modifier {
  readonly name: string;
  readonly usual: string;
  readonly contexts: ReadonlyMap<string, readonly Source[]>;
}

/** A resolver's sets and modifiers in the order in which the later are stronger. */
export type Order = readonly (readonly Source[] | Modifier)[];

export const isModifier = (entry: readonly Source[] | Modifier): entry is Modifier =>
  !Array.isArray(entry);

/** Whether a file is a resolver (Resolver Module 2025.10 §4) rather than tokens. */
export const isResolver = (json: Json): json is JsonObject =>
  isObject(json) && isList(json.resolutionOrder);

type Read = { readonly ok: true; readonly order: Order } | { readonly ok: false; reason: string };

const refuse = (reason: string): Read => ({ ok: false, reason });

/** A source; a set that is named stands for its own sources. */
const sourcesOf = (whole: JsonObject, list: Json | undefined): readonly Source[] | null => {
  if (!isList(list)) return null;
  const out: Source[] = [];
  for (const entry of list) {
    if (!isObject(entry)) return null;
    const ref = entry.$ref;
    if (typeof ref !== "string") {
      out.push({ json: entry });
      continue;
    }
    if (!ref.startsWith("#")) {
      out.push({ file: ref });
      continue;
    }
    const name = /^#\/sets\/([^/]+)$/.exec(ref)?.[1];
    const set = name === undefined ? undefined : memberOf(whole.sets, name);
    const inner = set ? sourcesOf({ sets: {} }, set.sources) : null;
    if (!inner) return null;
    out.push(...inner);
  }
  return out;
};

const memberOf = (table: Json | undefined, name: string): JsonObject | undefined => {
  if (!isObject(table) || !Object.hasOwn(table, name)) return undefined;
  const entry = table[name];
  return isObject(entry) ? entry : undefined;
};

const modifierOf = (whole: JsonObject, name: string, said: JsonObject): Modifier | null => {
  if (!isObject(said.contexts)) return null;
  const contexts = new Map<string, readonly Source[]>();
  for (const [value, list] of Object.entries(said.contexts)) {
    const sources = sourcesOf(whole, list);
    if (!sources) return null;
    contexts.set(value, sources);
  }
  const [first] = contexts.keys();
  const usual = typeof said.default === "string" ? said.default : first;
  return usual === undefined || !contexts.has(usual) ? null : { name, usual, contexts };
};

const nameOf = (said: JsonObject): string => (typeof said.name === "string" ? said.name : "");

/** One entry of the order: a reference, or a set or a modifier with a name of its own. */
const entryOf = (whole: JsonObject, entry: Json): readonly Source[] | Modifier | string => {
  if (!isObject(entry)) return tokenFileWords.notResolver;
  const ref = typeof entry.$ref === "string" ? entry.$ref : null;
  const [, kind, name = ""] = /^#\/(sets|modifiers)\/(.+)$/.exec(ref ?? "") ?? [];
  const own = unescaped(name);
  const named = kind === undefined ? undefined : memberOf(whole[kind], own);
  if (ref !== null && !named) return tokenFileWords.setMissing(ref);
  const said = named ?? entry;
  const made = isObject(said.contexts)
    ? modifierOf(whole, named ? own : nameOf(said), said)
    : sourcesOf(whole, said.sources);
  return made ?? tokenFileWords.notResolver;
};

/** Reads a resolver; the reason says what is not as the format has it. */
export const readResolver = (whole: JsonObject): Read => {
  const order: (readonly Source[] | Modifier)[] = [];
  for (const entry of isList(whole.resolutionOrder) ? whole.resolutionOrder : []) {
    const made = entryOf(whole, entry);
    if (typeof made === "string") return refuse(made);
    order.push(made);
  }
  return { ok: true, order };
};
