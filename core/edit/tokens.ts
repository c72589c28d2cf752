import type { Id } from "../basics";
import { boundValue, isAlias, tokenValue, tokensFor } from "../looks";
import { newId, orderAfter, remove, set } from "../project";
import type { Change, Op, Piece, Project, Token, TokenType, TokenValue } from "../project";
import { isBound, property } from "../properties";
import type { SpecifiedValue, ValueType } from "../properties";
import { followMotion, keepMotion, motionsIn, motionUsesOf } from "./behaviour/motions";
import { freeName } from "./pieces";
import type { Made } from "./pieces";
import { editWords } from "./words";

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

/** Where a look says a property: a place a token can be bound at. */
export interface ValuePlace {
  readonly piece: Id;
  readonly look: Id;
  readonly layer: Id;
  readonly key: string;
  readonly said: SpecifiedValue;
}

const places = function* (
  project: Project,
  pieces: readonly Piece[] = Object.values(project.pieces),
): Generator<ValuePlace> {
  for (const piece of pieces)
    for (const look of Object.values(piece.looks))
      for (const [layer, changes] of Object.entries(look.changes)) {
        for (const [key, said] of Object.entries(changes))
          yield { piece: piece.id, look: look.id, layer, key, said };
      }
};

const pathOf = (p: ValuePlace): string[] => [
  "pieces",
  p.piece,
  "looks",
  p.look,
  "changes",
  p.layer,
  p.key,
];

/** The places where a token is bound, in all pieces. */
export const usesOf = (project: Project, token: Id): ValuePlace[] =>
  [...places(project)].filter((p) => isBound(p.said) && p.said.token === token);

/** The tokens that take a token's value. */
export const aliasesOf = (project: Project, token: Id): Token[] =>
  Object.values(project.tokens).filter(
    (t) => typeof t.value === "object" && "alias" in t.value && t.value.alias === token,
  );

/** Removes a token; what was bound to it, or an alias of it, keeps the value it has. */
export const removeToken = (project: Project, token: Token): Change => {
  const ops: Op[] = [];
  for (const place of usesOf(project, token.id)) {
    const entry = property(place.key);
    const value = entry && boundValue(project.tokens, entry.type, place.said);
    const style =
      place.key === "style" && token.type === "style"
        ? tokenValue(project.tokens, token.id)
        : undefined;
    if (style) {
      const at = pathOf(place).slice(0, -1);
      const says = project.pieces[place.piece]?.looks[place.look]?.changes[place.layer] ?? {};
      for (const [key, v] of Object.entries(style))
        if (says[key] === undefined) ops.push(set([...at, key], v));
      ops.push(remove(pathOf(place)));
    } else ops.push(value === undefined ? remove(pathOf(place)) : set(pathOf(place), value));
  }
  if (token.type === "motion") ops.push(...keepMotion(project, token.id));
  const own = tokenValue(project.tokens, token.id);
  for (const alias of aliasesOf(project, token.id))
    if (own !== undefined) ops.push(set(["tokens", alias.id, "value"], own));
  return { label: editWords.deleteToken(token.name), ops: [...ops, remove(["tokens", token.id])] };
};

const typeFor = (type: ValueType, value: SpecifiedValue): TokenType | null => {
  const suited = tokensFor(type);
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
  return typeFor(entry.type, value);
};

/** Equal plain values said in several places that could be one token; the most used first. */
export interface Repeated {
  readonly type: TokenType;
  readonly value: TokenValue;
  readonly places: readonly ValuePlace[];
}

/**
 * Colours, gradients and shadows said more than once and bound to nothing. Numbers repeat by
 * chance, so they are not counted.
 */
export const repeatedValues = (project: Project): Repeated[] => {
  const found = new Map<string, { type: TokenType; value: TokenValue; places: ValuePlace[] }>();
  for (const place of places(project)) {
    const type = tokenTypeOf(place.key, place.said);
    if (type === null || type === "number" || type === "style") continue;
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
  for (const t of Object.values(project.tokens)) if (isAlias(t.value)) used.add(t.value.alias);
  for (const { motion } of motionsIn(Object.values(project.pieces)))
    if (motion.token !== undefined) used.add(motion.token);
  const groups = new Map<string, Token[]>();
  for (const t of Object.values(project.tokens)) {
    if (typeof t.value === "object" && "alias" in t.value) continue;
    const key = `${t.type} ${JSON.stringify(t.value)}`;
    groups.set(key, [...(groups.get(key) ?? []), t]);
  }
  return {
    unused: Object.values(project.tokens).filter((t) => !used.has(t.id)),
    equal: [...groups.values()].filter((g) => g.length > 1),
  };
};

/** What was bound to a token is bound to another one, which it becomes. */
const mergeInto = (project: Project, into: Token, token: Token): Op[] => {
  const bound = bindPlaces(usesOf(project, token.id), into.id, "").ops;
  const followed =
    token.type === "motion" ? followMotion(project, motionUsesOf(project, token.id), into).ops : [];
  const aliases = aliasesOf(project, token.id).map((alias) =>
    set(
      ["tokens", alias.id, "value"],
      alias.id === into.id ? tokenValue(project.tokens, alias.id) : { alias: into.id },
    ),
  );
  return [...bound, ...followed, ...aliases, remove(["tokens", token.id])];
};

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
