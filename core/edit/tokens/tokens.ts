import { ownRecords } from "../../world";
import type { Id } from "../../basics";
import { boundValue, isAlias, tokenValue, tokensFor } from "../../looks";
import { apply, inOrder, newId, orderAfter, remove, same, set } from "../../project";
import type { Change, Op, Piece, Project, Token, TokenType, TokenValue } from "../../project";
import { isBound, property } from "../../properties";
import type { Property, SpecifiedValue } from "../../properties";
import { followInstead, keepMotion, motionsIn, tokensOfMotion } from "../behaviour/motions";
import { keepNumbers, numberTokensOf, numbersFollow } from "../behaviour/numbers";
import { freeName } from "../pieces";
import type { Made } from "../pieces";
import { editWords } from "../words";
import { pathOf, places, usesOf } from "./uses";
import type { ValuePlace } from "./uses";

/** A new token after the others of its type. */
export const addToken = (
  project: Project,
  type: TokenType,
  name: string,
  value: TokenValue,
  group = "",
): Made => {
  const same = Object.values(project.tokens).filter((t) => t.type === type && t.group === group);
  const token: Token = {
    id: newId(),
    type,
    name: freeName(
      name,
      same.map((t) => t.name),
    ),
    group,
    order: orderAfter(Object.values(project.tokens)),
    value,
  };
  return {
    id: token.id,
    change: { label: editWords.newToken(token.name), ops: [set(["tokens", token.id], token)] },
  };
};

export const setToken = (
  token: Token,
  part: Partial<Pick<Token, "name" | "group" | "value" | "order">>,
): Change => ({
  label: editWords.changeToken(token.name),
  ops: Object.entries(part).map(([key, value]) => set(["tokens", token.id, key], value)),
});

/** The tokens that a value is, or takes parts from. */
const tokensIn = (value: unknown): Id[] => {
  if (typeof value !== "object" || value === null) return [];
  if (isBound(value)) return [value.token];
  if ("alias" in value && typeof value.alias === "string") return [value.alias];
  return Object.values(value).flatMap(tokensIn);
};

const valuesOfToken = (token: Token): Token["value"][] => [
  token.value,
  ...Object.values(token.looks ?? {}).map((look) => look.value),
];

/** The tokens that a token takes its value or parts of it from, in any theme. */
const tokensOf = (token: Token): Id[] => valuesOfToken(token).flatMap(tokensIn);

/** The tokens that take a token's value, or parts of it. */
export const dependentsOf = (project: Project, token: Id): Token[] =>
  Object.values(project.tokens).filter((t) => tokensOf(t).includes(token));

/** What a place says once tokens are gone that it is bound to: the value it has. */
const unboundAt = (project: Project, place: ValuePlace, token: Token): Op[] => {
  const entry = property(place.key);
  if (place.key === "style" && token.type === "style") return unstyledAt(project, place, token);
  const value = entry && boundValue(project.tokens, entry, place.said);
  return [value === undefined ? remove(pathOf(place)) : set(pathOf(place), value)];
};

/** All that a text style says is said by the look itself, where it does not say it yet. */
const unstyledAt = (project: Project, place: ValuePlace, token: Token): Op[] => {
  const style = tokenValue(project.tokens, token.id);
  const at = pathOf(place).slice(0, -1);
  const says = project.pieces[place.piece]?.looks[place.look]?.changes[place.layer] ?? {};
  const said = Object.entries(style ?? {}).filter(([key]) => says[key] === undefined);
  return [...said.map(([key, value]) => set([...at, key], value)), remove(pathOf(place))];
};

/** A value of a token whose parts are not taken from any of the tokens that go. */
const withoutParts = (
  tokens: Project["tokens"],
  gone: ReadonlySet<Id>,
  value: unknown,
): unknown => {
  if (isBound(value)) return gone.has(value.token) ? tokenValue(tokens, value.token) : value;
  if (Array.isArray(value)) return value.map((item) => withoutParts(tokens, gone, item));
  if (typeof value !== "object" || value === null) return value;
  const entries = Object.entries(value).map(
    ([k, v]) => [k, withoutParts(tokens, gone, v)] as const,
  );
  return Object.fromEntries(entries.filter(([, v]) => v !== undefined));
};

/** The places where other tokens take their value, or parts of it, from tokens that go. */
const freed = (project: Project, token: Token, gone: ReadonlySet<Id>): Op[] => {
  const { tokens } = project;
  const free = (value: Token["value"], path: readonly string[]): Op[] => {
    if (isAlias(value)) {
      const own = gone.has(value.alias) ? tokenValue(tokens, value.alias) : undefined;
      return own === undefined ? [] : [set(path, own)];
    }
    const next = withoutParts(tokens, gone, value);
    return JSON.stringify(next) === JSON.stringify(value) ? [] : [set(path, next)];
  };
  return [
    ...free(token.value, ["tokens", token.id, "value"]),
    ...Object.values(token.looks ?? {}).flatMap((look) =>
      free(look.value, ["tokens", token.id, "looks", look.id, "value"]),
    ),
  ];
};

/** Steps, and those after them: both may write what the same rule does. */
const bothOf = (
  project: Project,
  first: readonly Op[],
  then: (after: Project) => readonly Op[],
): readonly Op[] => [...first, ...then(apply(project, first).doc)];

/** The steps that remove tokens; what took its value from them keeps the value it has. */
export const removingTokens = (project: Project, list: readonly Token[]): Op[] => {
  const gone = new Map(list.map((token) => [token.id, token] as const));
  const ids = new Set(gone.keys());
  const ops: Op[] = [];
  for (const place of places(project)) {
    const token = isBound(place.said) ? gone.get(place.said.token) : undefined;
    if (token) ops.push(...unboundAt(project, place, token));
  }
  ops.push(...bothOf(project, keepMotion(project, ids), (after) => keepNumbers(after, ids)));
  for (const token of Object.values(project.tokens))
    if (!ids.has(token.id)) ops.push(...freed(project, token, ids));
  return [...ops, ...list.map((token) => remove(["tokens", token.id]))];
};

/** Removes a token; what was bound to it, or an alias of it, keeps the value it has. */
export const removeToken = (project: Project, token: Token): Change => ({
  label: editWords.deleteToken(token.name),
  ops: removingTokens(project, [token]),
});

const typeFor = (entry: Property, value: SpecifiedValue): TokenType | null => {
  const suited = tokensFor(entry);
  const { type } = entry;
  if (type.is === "fill") {
    if (typeof value === "string") {
      return "colour";
    }
    return typeof value === "object" && "stops" in value ? "gradient" : null;
  }
  return suited[0] ?? null;
};

/**
 * The type of token a property's present value could become; null when it is not the kind of value
 * tokens have.
 */
export const tokenTypeOf = (key: string, value: SpecifiedValue | undefined): TokenType | null => {
  const entry = property(key);
  if (
    !entry ||
    value === undefined ||
    isBound(value) ||
    value === "none" ||
    (Array.isArray(value) && (value.length === 0 || entry.type.is !== "shadows"))
  )
    return null;
  return typeFor(entry, value);
};

/** Equal plain values said in several places that could be one token; the most used first. */
export interface Repeated {
  readonly type: TokenType;
  readonly value: TokenValue;
  readonly places: readonly ValuePlace[];
}

/** Values of these types are often equal without meaning the same. */
const isChance: readonly TokenType[] = ["number", "length", "style", "weight", "family", "stroke"];

/**
 * Colours, gradients and shadows said more than once and bound to nothing. Numbers repeat by
 * chance, so they are not counted.
 */
export const repeatedValues = (project: Project): Repeated[] => {
  const found = new Map<string, { type: TokenType; value: TokenValue; places: ValuePlace[] }>();
  for (const place of places(project)) {
    const type = tokenTypeOf(place.key, place.said);
    if (type === null || isChance.includes(type)) continue;
    const key = `${type} ${JSON.stringify(place.said)}`;
    // what has a type of token is a value of that type
    const entry = found.get(key) ?? { type, value: place.said as TokenValue, places: [] };
    entry.places.push(place);
    found.set(key, entry);
  }
  return [...found.values()]
    .filter((r) => r.places.length > 1)
    .sort((a, b) => b.places.length - a.places.length);
};

/** Binds places to a token. */
const bindPlaces = (list: readonly ValuePlace[], token: Id, label: string): Change => ({
  label,
  ops: list.map((p) => set(pathOf(p), { token })),
});

/** The token that equal values could follow: the first that says just that. */
export const tokenSaying = (project: Project, { type, value }: Repeated): Token | undefined =>
  inOrder(project.tokens).find(
    (token) =>
      token.type === type &&
      token.deprecated === undefined &&
      same(tokenValue(project.tokens, token.id), value),
  );

/** Binds equal values to a token that says the same. */
export const bindToToken = (repeated: Repeated, token: Token): Change =>
  bindPlaces(repeated.places, token.id, editWords.use(token.name));

/** Makes one token of equal values and binds them all to it. */
export const tokenFrom = (project: Project, repeated: Repeated, name: string): Made => {
  const made = addToken(project, repeated.type, name, repeated.value);
  return {
    id: made.id,
    change: {
      label: editWords.createTokenFromValues(name, repeated.places.length).slice(0, 200),
      ops: [...made.change.ops, ...bindPlaces(repeated.places, made.id, "").ops],
    },
  };
};

/** Tokens that nothing uses, and tokens of one type with the same value. */
export const tokenFindings = (project: Project): { unused: Token[]; equal: Token[][] } => {
  const used = new Set<Id>();
  for (const place of places(project)) if (isBound(place.said)) used.add(place.said.token);
  for (const t of Object.values(project.tokens)) for (const id of tokensOf(t)) used.add(id);
  for (const { motion } of motionsIn(Object.values(project.pieces)))
    for (const id of tokensOfMotion(motion)) used.add(id);
  for (const piece of Object.values(project.pieces))
    for (const rule of Object.values(piece.rules))
      for (const id of numberTokensOf(rule)) used.add(id);
  const groups = new Map<string, Token[]>();
  const own = Object.values(ownRecords(project.tokens));
  for (const t of own) {
    if (isAlias(t.value)) continue;
    const looks = Object.values(t.looks ?? {}).map((look) => [look.when, look.value]);
    const key = `${t.type} ${JSON.stringify([t.value, looks])}`;
    groups.set(key, [...(groups.get(key) ?? []), t]);
  }
  return {
    unused: own.filter((t) => !used.has(t.id)),
    equal: [...groups.values()].filter((g) => g.length > 1),
  };
};

/** A value that takes from one token what it took from another. */
const retaken = (value: unknown, from: Id, to: Id): unknown => {
  if (isBound(value)) return value.token === from ? { token: to } : value;
  if (Array.isArray(value)) return value.map((item) => retaken(item, from, to));
  if (typeof value !== "object" || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [k, retaken(v, from, to)]));
};

/** What a token says once one is another: itself, where it would be an alias of itself. */
const mergedValue = (
  project: Project,
  token: Token,
  value: Token["value"],
  from: Id,
  to: Id,
): unknown => {
  if (!isAlias(value)) return retaken(value, from, to);
  if (value.alias !== from) return value;
  return token.id === to ? tokenValue(project.tokens, from) : { alias: to };
};

/** Other tokens that take their value, or parts of it, from a token take them from another one. */
const retakenBy = (project: Project, from: Id, to: Id): Op[] =>
  Object.values(project.tokens)
    .filter((token) => token.id !== from)
    .flatMap((token) => {
      const says: [string[], Token["value"]][] = [
        [["tokens", token.id, "value"], token.value],
        ...Object.values(token.looks ?? {}).map((look): [string[], Token["value"]] => [
          ["tokens", token.id, "looks", look.id, "value"],
          look.value,
        ]),
      ];
      return says.flatMap(([path, value]) => {
        const next = mergedValue(project, token, value, from, to);
        return JSON.stringify(next) === JSON.stringify(value) ? [] : [set(path, next)];
      });
    });

/** What was bound to a token is bound to another one, which it becomes. */
const mergeInto = (project: Project, into: Token, token: Token): Op[] => [
  ...bindPlaces(usesOf(project, token.id), into.id, "").ops,
  ...bothOf(project, followInstead(project, token.id, into.id), (after) =>
    numbersFollow(after, token.id, into.id),
  ),
  ...retakenBy(project, token.id, into.id),
  remove(["tokens", token.id]),
];

/**
 * Makes one token of several: what was bound to the others is bound to the first, and the others
 * go.
 */
export const mergeTokens = (project: Project, tokens: readonly Token[]): Change => {
  const [first, ...others] = tokens;
  const ops = first ? others.flatMap((other) => mergeInto(project, first, other)) : [];
  return { label: editWords.mergeTokens(tokens.length), ops };
};

/** The places of one piece, or of all, where a value is said that equals the given one. */
export const placesSaying = (
  project: Project,
  piece: Id | null,
  same: (place: ValuePlace) => boolean,
): ValuePlace[] =>
  [
    ...places(
      project,
      piece === null
        ? undefined
        : [project.pieces[piece]].filter((p): p is Piece => p !== undefined),
    ),
  ].filter(same);

/** Says another value in all the given places. */
export const replaceAt = (list: readonly ValuePlace[], said: SpecifiedValue): Change => ({
  label: editWords.replacePlace(list.length),
  ops: list.map((p) => set(pathOf(p), said)),
});
